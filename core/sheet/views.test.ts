import { describe, expect, it } from 'vitest'
import { librarySheet } from '../../tests/sheets.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { examineSheet } from './examination/index.ts'
import { datumSeen, planFor, type SheetSource } from './index.ts'

const plan = planFor(librarySheet('m10-gear-unit'))

describe('what tells where on the clock one is', () => {
  it('is the datum of the assembly a part belongs to', () =>
    expect(datumSeen(plan, 'case-lower', 'input side')).toEqual({ what: 'inspection lid', at: 12 }))
  it('lies on the other side, looked at from the other end', () => {
    expect(datumSeen(plan, 'half@fi-lower', 'input side')).toEqual({ what: 'joint face', at: 3 })
    expect(datumSeen(plan, 'half@fi-lower', 'output side')).toEqual({ what: 'joint face', at: 9 })
    // What is at the top or at the bottom stays there.
    expect(datumSeen(plan, 'case-lower', 'output side')).toMatchObject({ at: 12 })
  })
  it('is none of a part nobody knows', () => expect(datumSeen(plan, 'no-such-part', 'input side')).toBeUndefined())
})

describe('a sheet whose datum is on no clock', () => {
  const faults = (at: unknown) => {
    const sheet = structuredClone(librarySheet('m10-gear-unit')) as unknown as { assemblies: { datum: object }[] }
    sheet.assemblies[0]!.datum = { what: 'inspection lid', at }
    return examineSheet(sheet as unknown as SheetSource, SUMS_BY_NAME).join('\n')
  }
  it.each([13, -1, 'top'])('is faulty: %s', at => expect(faults(at)).toMatch(/assembly case.*at|assembly case datum/))
  it('and is not where it is on one', () => expect(faults(6)).toBe(''))
})
