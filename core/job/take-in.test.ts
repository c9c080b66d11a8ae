import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { entryOf, plan, reading, technician } from '../../tests/pump.ts'
import { librarySheet, worker } from '../../tests/sheets.ts'
import { M10 } from '../../tests/walks/m10.ts'
import { emptyFold, extend, fold, isSameGround, planIn, projectJob, refusalOf, takeIn, type AnyEntry } from './index.ts'

const one = technician()
one.workUntil('decide')
const { folded } = one
const mine = folded.entries.filter(entry => entry.madeBy === 'rena')
const readings = mine.filter(entry => entry.kind === 'reading.taken')

const takenBack = (target: AnyEntry) => entryOf('entry.corrected', { target: target.id, why: 'again' })
const readAgain = (target: AnyEntry) =>
  entryOf('entry.corrected', { target: target.id, why: 'misread', replacement: target.payload as object })
const note = () => entryOf('note.written', { text: 'seen' })

/** One by one, as they would be alone. */
function oneByOne(entries: readonly AnyEntry[]) {
  let now = folded
  for (const entry of entries) {
    const why = refusalOf(plan, now, entry)
    if (why) return { why, entry }
    now = extend(plan, now, [entry])
  }
  return { now }
}
const told = ({ state }: typeof folded) => ({ ...state, readings: [...state.readings] })

describe('entries that come together', () => {
  it('come to what they come to one by one, corrections judged together', () => {
    const batches = fc.array(
      fc.oneof(
        fc.constantFrom(...readings).map(target => () => readAgain(target)),
        fc.constantFrom(...mine.slice(-12)).map(target => () => takenBack(target)),
        fc.constant(note),
      ),
      { minLength: 1, maxLength: 8 },
    )
    fc.assert(
      fc.property(batches, makers => {
        const entries = makers.map(make => make())
        const alone = oneByOne(entries)
        const together = takeIn(plan, folded, entries)
        // What may come in one by one may come in together, and comes to the same.
        if (alone.now) {
          expect(together.ok).toBe(true)
          if (together.ok) expect(told(together.folded)).toEqual(told(alone.now))
        } else if (!together.ok) expect({ why: together.why, entry: together.entry }).toEqual(alone)
        // And never to a ledger that does not bear itself.
        if (together.ok)
          expect(told(together.folded)).toEqual(told({ ...folded, state: fold(plan, together.folded.entries) }))
      }),
      { numRuns: 60 },
    )
  })
  it('the first that may not come in is named, the others with it', () => {
    const bad = entryOf('entry.corrected', { target: folded.entries[0]!.id, why: 'no' })
    const taken = takeIn(plan, folded, [readAgain(readings[0]!), bad, note()])
    expect(taken).toMatchObject({ ok: false, entry: { id: bad.id }, why: { code: 'job.stands' } })
  })
  it('one target is not corrected twice in one breath', () => {
    const taken = takeIn(plan, folded, [readAgain(readings[0]!), readAgain(readings[0]!)])
    expect(taken).toMatchObject({ ok: false, why: { code: 'entry.corrected' } })
  })
  it('a replacement that could not have been is refused in a crowd, too', () => {
    const target = readings.find(entry => entry.payload.check === 'float')!
    const unread = reading('float', 'asFound', [[0, 99]])
    const bad = entryOf('entry.corrected', { target: target.id, why: 'typed wrong', replacement: unread })
    const good = readings
      .filter(entry => entry !== target)
      .slice(0, 5)
      .map(readAgain)
    expect(takeIn(plan, folded, [...good, bad])).toMatchObject({ ok: false, entry: { id: bad.id } })
    expect(takeIn(plan, folded, good).ok).toBe(true)
  })
})

describe('a projection', () => {
  it('is another only where its ground is', () => {
    const walked = worker(librarySheet('m10-gear-unit'), M10)
    walked.workUntil()
    let now = extend(walked.opened, emptyFold(), walked.folded.entries.slice(0, 1))
    let last = projectJob(planIn(walked.opened, now.state), now.state)
    let spared = 0
    for (const entry of walked.folded.entries.slice(1)) {
      const next = extend(walked.opened, now, [entry])
      const made = projectJob(planIn(walked.opened, next.state), next.state)
      if (isSameGround(now.state, next.state)) {
        spared++
        expect(made).toEqual(last)
      }
      ;[now, last] = [next, made]
    }
    expect(spared).toBeGreaterThan(150)
  })
})
