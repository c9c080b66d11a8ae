import { beforeEach, describe, expect, it } from 'vitest'
import { emptyFold, fold, type AnyEntry, type Folded } from '~~/core/job'
import { plan, technician } from '~~/tests/pump'
import { createAhead } from './ahead'

const one = technician({ general: 0.3 })
one.workUntil('cap-off')
one.act('entry.corrected', { target: one.act('note.written', { text: 'x' }).id, why: 'Wrong machine' })
const all = one.folded.entries
const MINUTE = 60_000
const later = (time: string, ms: number) => new Date(Date.parse(time) + ms).toISOString()

/** Entries as they wait here: without a number, and not received. */
const waits = (entries: readonly AnyEntry[]) =>
  entries.map((entry): AnyEntry => ({ ...entry, seq: null, receivedAt: null }))
/** The same as the server hands them out. */
const taken = (entries: readonly AnyEntry[], from: number, afterMs = 40) =>
  entries.map((entry, i): AnyEntry => ({ ...entry, seq: from + i, receivedAt: later(entry.madeAt, afterMs) }))
const presses = [...new Set(all.slice(1).map(entry => entry.act))].map(act =>
  waits(all.filter(entry => entry.act === act)),
)

let ahead: ReturnType<typeof createAhead>
let confirmed: Folded
beforeEach(() => {
  ahead = createAhead(plan)
  confirmed = { ...emptyFold() }
  confirmed = ahead.landed(confirmed, taken([all[0]!], 1))
})

describe('what waits to be sent', () => {
  it('is folded once where it lands as it was folded', () => {
    for (const press of presses) {
      expect(ahead.refusal(confirmed, [], press)).toBeNull()
      const here = ahead.folded(confirmed, [press])
      expect(here.entries.at(-1)!.seq).toBeNull()
      confirmed = ahead.landed(confirmed, taken(press, confirmed.entries.length + 1))
      expect(confirmed.state).toBe(here.state)
    }
    expect(confirmed.state).toEqual(fold(plan, confirmed.entries))
  })
  it('stands on what waits before it, and is not folded again as that lands', () => {
    const queue = presses.slice(0, 6)
    for (const [i, press] of queue.entries()) expect(ahead.refusal(confirmed, queue.slice(0, i), press)).toBeNull()
    const whole = ahead.folded(confirmed, queue)
    for (const [i, press] of queue.entries()) {
      confirmed = ahead.landed(confirmed, taken(press, confirmed.entries.length + 1))
      expect(ahead.folded(confirmed, queue.slice(i + 1)).state).toBe(whole.state)
    }
    expect(whole.state).toEqual(fold(plan, confirmed.entries))
  })
  it('is folded anew where somebody wrote in between', () => {
    const [press] = presses
    const note = taken([one.act('note.written', { text: 'from elsewhere' })], 2)
    const here = ahead.folded(confirmed, [press!])
    confirmed = ahead.landed(confirmed, note)
    expect(ahead.folded(confirmed, [press!]).state.notes).toHaveLength(1)
    confirmed = ahead.landed(confirmed, taken(press!, 3))
    expect(confirmed.state).not.toBe(here.state)
    expect(confirmed.state).toEqual(fold(plan, confirmed.entries))
  })
  it('is folded anew where it arrives late, or was vouched for', () => {
    const [press] = presses
    for (const landed of [
      taken(press!, 2, 20 * MINUTE),
      taken(press!, 2).map((entry): AnyEntry => ({ ...entry, vouchedBy: 'odd' })),
    ]) {
      const here = ahead.folded(confirmed, [press!])
      const after = ahead.landed(confirmed, landed)
      expect(after.state).not.toBe(here.state)
      expect(after.state).toEqual(fold(plan, after.entries))
    }
  })
  it('is refused as it would be on arrival, and leaves nothing behind', () => {
    const [press] = presses
    const nonsense = { ...press![0]!, kind: 'step.done', payload: { step: 'no such step' } } as AnyEntry
    expect(ahead.refusal(confirmed, [], [...press!, nonsense])).toMatchObject({ code: 'sheet.unknown' })
    expect(ahead.folded(confirmed, [])).toBe(confirmed)
  })
})
