import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { AnyEntry } from '~~/core/job'
import {
  dismiss,
  landed,
  isSendable,
  nextFor,
  put,
  readBatch,
  refuse,
  refused,
  vouch,
  waiting,
  type Outbox,
} from './outbox'

const entry = (id: string, madeBy = 'rena', act = id) =>
  ({
    id,
    act,
    kind: 'note.written',
    payload: { text: id },
    madeBy,
    role: 'fitter',
    madeAt: '2026-05-01T10:00:00.000Z',
  }) as AnyEntry
/** Signed in since some minute past ten. */
const as = (id: string, minute = 0) => ({ id, since: `2026-05-01T10:${String(minute).padStart(2, '0')}:00.000Z` })
const three: Outbox = ['a', 'b', 'c'].reduce<Outbox>((box, id) => put(box, [entry(id)], false), [])

describe('the outbox', () => {
  it('sends in the order of the acts, each by who did it', () => {
    expect(nextFor(three, as('rena'))!.act).toBe('a')
    expect(nextFor(three, as('timo'))).toBeNull()
    expect(nextFor(put([], [entry('x', 'timo')], false), as('timo'))!.act).toBe('x')
    expect(nextFor([], as('rena'))).toBeNull()
    expect(nextFor(three, null)).toBeNull()
  })
  it('lands a refusal on the batch it is about, whatever stands first by now', () => {
    const later = refuse(landed(three, new Set(['a'])), 'b', 'No.')
    expect(refused(later).map(batch => batch.act)).toEqual(['b'])
    expect(waiting(later).map(batch => batch.act)).toEqual(['c'])
    expect(refuse(later, 'gone', 'No.')).toEqual(later)
    expect(dismiss(later, 'b').map(batch => batch.act)).toEqual(['c'])
  })
  it('keeps a batch until all of it has landed', () => {
    const two = put([], [entry('x', 'rena', 'act'), entry('y', 'rena', 'act')], false)
    expect(landed(two, new Set(['x']))).toHaveLength(1)
    expect(landed(two, new Set(['x', 'y']))).toHaveLength(0)
  })
  it('comes back from the device as it went', () => {
    fc.assert(
      fc.property(fc.array(fc.uuid(), { maxLength: 8 }), ids => {
        const box = ids.reduce<Outbox>((all, id) => put(all, [entry(id)], false), [])
        expect(box.map(batch => readBatch(JSON.parse(JSON.stringify({ ...batch, job: 'j', n: 1 }))))).toEqual(box)
      }),
    )
  })
  it.each([
    null,
    7,
    {},
    { act: 'a' },
    { act: 'a', entries: [{ id: 1 }], refused: null, unverified: false, vouched: null },
    { act: 'a', entries: [entry('a')], refused: null },
    { act: 'a', entries: [entry('a')], refused: null, unverified: false, vouched: 7 },
  ])('says when what is kept cannot be read: %j', kept => expect(readBatch(kept)).toBeNull())

  it('what was done without a PIN waits until its doer gives one after it, or a lead vouches', () => {
    const box = put([], [entry('a')], true)
    const before = { id: 'rena', since: '2026-05-01T09:00:00.000Z' }
    expect(nextFor(box, before)).toBeNull()
    expect(nextFor(box, as('rena', 5))!.act).toBe('a')
    expect(nextFor(box, as('lead', 5))).toBeNull()
    const vouched = vouch(box, 'rena', 'lead')
    expect(nextFor(vouched, as('lead', 5))!.act).toBe('a')
    // Vouched for by one lead, it does not go out under another's name.
    expect(isSendable(vouched[0]!, as('other', 5))).toBe(false)
    // What was done under a PIN is nobody's to vouch for.
    expect(vouch(three, 'rena', 'lead')).toEqual(three)
  })
  it('nothing overtakes what waits for another’s PIN: later acts may stand on it', () => {
    const box = put(put([], [entry('a', 'timo')], true), [entry('b')], false)
    expect(nextFor(box, as('rena'))).toBeNull()
    expect(nextFor(vouch(box, 'timo', 'rena'), as('rena'))!.act).toBe('a')
  })
})
