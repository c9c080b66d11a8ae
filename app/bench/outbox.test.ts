import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { AnyEntry } from '~~/core/job'
import { dismiss, landed, nextFor, put, readOutbox, refuse, refused, waiting, type Outbox } from './outbox'

const entry = (id: string, madeBy = 'rena', act = id) =>
  ({ id, act, kind: 'note.written', payload: { text: id }, madeBy, role: 'fitter', madeAt: 'x' }) as AnyEntry
const three: Outbox = ['a', 'b', 'c'].reduce<Outbox>((box, id) => put(box, [entry(id)]), [])

describe('the outbox', () => {
  it('sends in the order of the acts, each by who did it', () => {
    expect(nextFor(three, 'rena')!.act).toBe('a')
    expect(nextFor(three, 'timo')).toBeNull()
    expect(nextFor(put([], [entry('x', 'timo')]), 'timo')!.act).toBe('x')
    expect(nextFor([], 'rena')).toBeNull()
  })
  it('lands a refusal on the batch it is about, whatever stands first by now', () => {
    const later = refuse(landed(three, new Set(['a'])), 'b', 'No.')
    expect(refused(later).map(batch => batch.act)).toEqual(['b'])
    expect(waiting(later).map(batch => batch.act)).toEqual(['c'])
    expect(refuse(later, 'gone', 'No.')).toEqual(later)
    expect(dismiss(later, 'b').map(batch => batch.act)).toEqual(['c'])
  })
  it('keeps a batch until all of it has landed', () => {
    const two = put([], [entry('x', 'rena', 'act'), entry('y', 'rena', 'act')])
    expect(landed(two, new Set(['x']))).toHaveLength(1)
    expect(landed(two, new Set(['x', 'y']))).toHaveLength(0)
  })
  it('comes back from the device as it went', () => {
    fc.assert(
      fc.property(fc.array(fc.uuid(), { maxLength: 8 }), ids => {
        const box = ids.reduce<Outbox>((all, id) => put(all, [entry(id)]), [])
        expect(readOutbox(JSON.stringify(box))).toEqual(box)
      }),
    )
    expect(readOutbox(null)).toEqual([])
  })
  it.each(['{', '7', '{}', '[{"act":"a"}]', '[{"act":"a","entries":[{"id":1}],"refused":null}]', 'null'])(
    'says when what is kept cannot be read: %s',
    kept => expect(readOutbox(kept)).toBeNull(),
  )
})
