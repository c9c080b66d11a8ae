import { describe, expect, it } from 'vitest'
import { entryOf } from '../../../tests/pump.ts'
import { librarySheet, worker } from '../../../tests/sheets.ts'
import { entryWords, recordOf, refusalOf } from '../index.ts'
import { inSentence } from '../../sums/read.ts'
import { codesFor } from './looks.ts'
import { isNotedOn, isSameThing, NOTED, notedAt, notedName, settleOf } from './noted.ts'

const one = worker(librarySheet('m14-axially-split-pump'))
const IDS = {
  step: 'look-seal',
  part: 'rotating-face',
  reading: 'float',
  mate: 'key-top',
  joint: 'case',
  look: 'seal-faces',
}

describe('a note on something', () => {
  it.each(NOTED.filter(what => what !== 'joint'))('on a %s has its name, and leads to it', what => {
    const on = { what, id: IDS[what], ...(what === 'look' ? { part: IDS.part } : {}) }
    expect(notedName(one.plan, on)).toEqual(expect.any(String))
    const at = settleOf(one.plan, on)!
    expect(notedAt(at)).toEqual(on)
  })
  it('on a joint, too', () => {
    const [joint] = one.plan.joints.keys()
    const on = { what: 'joint', id: joint! } as const
    expect(notedAt(settleOf(one.plan, on)!)).toEqual(on)
    expect(notedName(one.plan, on)).toBe(one.plan.joints.get(joint!)!.title)
  })
  it('on what the sheet does not have is refused, and one on nothing is of the job', () => {
    const on = { what: 'part', id: 'moon' } as const
    const refused = refusalOf(one.opened, one.folded, entryOf('note.written', { text: 'x', on }, { role: 'fitter' }))
    expect(refused?.code).toBe('sheet.unknown')
    expect(notedAt({ to: 'gate' })).toBeNull()
  })
  it('is of a part where it is of a look at it, and of nothing else, however it is written', () => {
    const look = { part: IDS.part, id: IDS.look, what: 'look' } as const
    expect(isNotedOn(look, { what: 'look', id: IDS.look, part: IDS.part })).toBe(true)
    expect(isNotedOn(look, { what: 'part', id: IDS.part })).toBe(true)
    expect(isNotedOn(look, { what: 'look', id: IDS.look, part: 'stationary-seat' })).toBe(false)
    expect(isNotedOn(look, null)).toBe(false)
    expect(isNotedOn(undefined, null)).toBe(true)
    // Only a look is of a part beside what it is, and only of its own.
    expect(notedName(one.plan, { what: 'step', id: IDS.step, part: IDS.part })).toBeUndefined()
    expect(notedName(one.plan, { ...look, part: 'shaft' })).toBeUndefined()
  })
  it('of a finding is of the look that found it, and of no other finding', () => {
    const look = { what: 'look', id: IDS.look, part: IDS.part } as const
    const [first, second] = codesFor(one.plan, IDS.part, IDS.look).codes
    const on = { ...look, finding: first!.id }
    expect(notedName(one.plan, on)).toBe(`${notedName(one.plan, look)}: ${inSentence(first!.say)}`)
    expect(isNotedOn(on, look)).toBe(true)
    expect(isNotedOn(on, { what: 'part', id: IDS.part })).toBe(true)
    expect(isNotedOn(on, on)).toBe(true)
    expect(isNotedOn(on, { ...look, finding: second!.id })).toBe(false)
    expect(isNotedOn(look, on)).toBe(false)
    expect(isSameThing(on, look)).toBe(false)
    // In passing, too; and only where something is looked at, by a code there is.
    const passing = { what: 'part', id: IDS.part, finding: 'other' } as const
    expect(notedName(one.plan, passing)).toMatch(/^Rotating face: /)
    expect(isNotedOn(passing, { what: 'part', id: IDS.part })).toBe(true)
    for (const none of [{ ...look, finding: 'moon' }, { what: 'step', id: IDS.step, finding: first!.id } as const])
      expect(notedName(one.plan, none)).toBeUndefined()
  })
  it('stands on the record beside what it is on', () => {
    const note = one.act('note.written', { text: 'Dry at the back', on: { what: 'part', id: IDS.part } })
    expect(entryWords(one.plan, note)).toBe('Note on rotating face: Dry at the back')
    expect(recordOf(one.plan, one.folded.entries, new Map()).notes).toMatchObject([
      { text: 'Dry at the back', on: 'Rotating face' },
    ])
  })
})
