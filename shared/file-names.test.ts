import fc from 'fast-check'
import { expect, it } from 'vitest'
import { reportFileName, savedAs } from './file-names.ts'

it.each([
  ['P-214B', 'record-P-214B-7.pdf'],
  ['Ω-1', 'record-Ω-1-7.pdf'],
  ['../x', 'record-x-7.pdf'],
  ['P-1"x', 'record-P-1-x-7.pdf'],
  ['..', 'record-7.pdf'],
  ['A/B\\C:D', 'record-A-B-C-D-7.pdf'],
])('the record of %s is saved as %s', (tag, name) => expect(reportFileName('record', tag, 7)).toBe(name))

it('a part of a long record says which', () =>
  expect(reportFileName('record', 'P-1', 7, { n: 2, of: 5 })).toBe('record-P-1-7-part-2-of-5.pdf'))

it('any tag makes a header that is one, and a name that leads to no other folder', () =>
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 40 }), tag => {
      const name = reportFileName('record', tag.toWellFormed(), 7)
      expect(name).toMatch(/^record-.*\.pdf$/u)
      expect(name).not.toMatch(/[/\\"<>|:*?\p{C}]|\.\./u)
      const header = savedAs(name)
      expect(() => new Headers({ 'content-disposition': header })).not.toThrow()
      expect(decodeURIComponent(/filename\*=UTF-8''(\S+)$/.exec(header)![1]!)).toBe(name)
      expect(header.match(/"/g)).toHaveLength(2)
    }),
  ))
