import { describe, expect, it } from 'vitest'
import { refusal } from '../../../tests/pump.ts'
import { furthest, librarySheet, librarySheetNames, sheetNamed, worker } from '../../../tests/sheets.ts'
import { WALKS } from '../../../tests/walks/index.ts'
import type { Technician } from '../../../demo/technician.ts'
import type { Sheet, Step } from '../../sheet/index.ts'
import { asksOf, lacks, nextStep, sentenceOf, viewJob } from '../index.ts'

const owed = (one: Technician, kind: string) =>
  viewJob(one.plan, one.folded.state).owed.filter(debt => debt.kind === kind)

/** Takes, at every step that fits something, each thing for another that looks alike; what happens is looked at, and undone. */
function swapped(one: Technician, look: (step: Step, place: string, part: string) => void): number {
  let swaps = 0
  for (let step = nextStep(one.plan, one.folded.state); step; step = nextStep(one.plan, one.folded.state)) {
    one.prepare(step)
    const before = one.folded
    for (const { place, candidates } of step.trial ? [] : asksOf(one.plan, before.state, step).hands)
      for (const { part } of candidates.filter(each => each.part !== place)) {
        swaps++
        look(step, place, part)
        one.folded = before
      }
    one.doStep(step)
    if (!one.folded.state.steps.has(step.id)) throw new Error(`${step.id} could not be done`)
  }
  return swaps
}

const MACHINES: [string, Sheet, (sheet: Sheet) => Technician][] = [
  ...librarySheetNames().flatMap((name): [string, Sheet, (sheet: Sheet) => Technician][] => {
    const walk = WALKS.find(one => one.sheet === name)
    return walk ? [[name, librarySheet(name), sheet => worker(sheet, walk.figures({}), furthest(sheet))]] : []
  }),
  ['linear-conveyor', sheetNamed('linear-conveyor'), sheet => worker(sheet)],
  ['turbo-blower', sheetNamed('turbo-blower'), sheet => worker(sheet)],
]

describe.each(MACHINES)('%s', (_, sheet, open) => {
  it('names whatever is taken for another that looks alike, before it goes in and after; of the right one nothing is said', () => {
    const one = open(sheet)
    const swaps = swapped(one, (step, place, part) => {
      const where = `${step.id}: ${part} for ${place}`
      const said = one.said(step)
      const taken = { ...said, hands: { ...said.hands, [place]: part } }
      const asks = asksOf(one.plan, one.folded.state, step)
      expect(lacks(one.plan, asks, said).join(), where).not.toContain('is in the hand for')
      expect(lacks(one.plan, asks, taken).join(), where).toContain('is in the hand for')
      // Fitted there all the same, it stays named until it is out.
      one.act('part.refitted', { part, step: step.id, place })
      if (one.folded.state.parts.get(part)?.where !== 'fitted') return
      expect(
        owed(one, 'wrong place')
          .map(debt => debt.what)
          .join(),
        where,
      ).toContain('is in the place of')
      expect(refusal(one, 'part.refitted', { part: place, step: step.id, place }), where).toMatchObject({
        code: expect.stringMatching(/taken|isOn/),
      })
    })
    expect(swaps).toBeGreaterThan(0)
    expect(owed(one, 'wrong place')).toEqual([])
  }, 60_000)
})

it('what is of another kind and does not look alike goes nowhere else', () => {
  const one = worker(sheetNamed('linear-conveyor'))
  const step = [...one.plan.steps.values()].find(each => each.fits?.includes('long'))!
  one.workUntil(step.id)
  const why = refusal(one, 'part.refitted', { part: 'piston@left', step: step.id, place: 'long' })
  expect(sentenceOf(why!)).toMatch(/it is another part/)
})

it('is out again once its step is taken up again, and the right one goes in', () => {
  const one = worker(
    librarySheet('m14-axially-split-pump'),
    WALKS.find(each => each.sheet.startsWith('m14'))!.figures({}),
  )
  one.workUntil('cap-on-de')
  const step = one.plan.steps.get('cap-on-de')!
  one.doStep(step, { hands: { 'cap-screws@de': 'gland-screws' }, swapped: ['cap-screws@de'] })
  expect(one.folded.state.flags).toEqual([])
  expect(owed(one, 'wrong place')).toMatchObject([
    { what: expect.stringMatching(/^Gland plate screws M12 is in the place of Cap screws M12, drive end/) },
  ])
  one.act('step.reopened', { step: 'cap-on-de', why: 'The screws are of the gland plate' })
  expect(owed(one, 'wrong place')).toEqual([])
  expect(one.folded.state.parts.get('gland-screws')?.where).toBe('off')
  one.workUntil()
  expect(one.folded.state.parts.get('gland-screws')?.fitted?.place).toBe('gland-screws')
  expect(one.folded.state.parts.get('cap-screws@de')?.fitted?.place).toBe('cap-screws@de')
})
