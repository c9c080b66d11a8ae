import { describe, expect, it } from 'vitest'
import { librarySheet, worker } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import { hindrances, viewJob, wantedAt } from './index.ts'

/** A machine in good order, its step that draws a joint up reached and nothing of it done. */
function reached(sheet: string, id: string) {
  const one = worker(librarySheet(sheet), WALKS.find(walk => walk.sheet === sheet)!.figures({}))
  one.workUntil(id)
  return { one, step: one.plan.steps.get(id)! }
}
/** What the step wants of the pad, in order; each once. */
function wanted({ one, step }: ReturnType<typeof reached>, isGoneThrough: boolean) {
  const { plan, folded } = one
  const { owed, results } = viewJob(plan, folded.state)
  const hindered = hindrances(plan, folded.state, owed, step)
  const all = wantedAt({ plan, state: folded.state, results }, step, hindered, undefined, isGoneThrough)
  return [...new Set(all.map(({ to }) => to))]
}

describe('at a step that draws a joint up', () => {
  it('what goes back is gone through before it, and what is read of it comes after', () => {
    const diaphragm = reached('m4-dosing-pump', 'diaphragm-on')
    expect(wanted(diaphragm, false)).toEqual(['say', 'joint', 'reading'])
    expect(wanted(diaphragm, true)).toEqual(['joint', 'reading', 'say'])
  })
  it('nobody is sent back to what goes on once a bolt of it is drawn', () => {
    const top = reached('m7-vertical-bowl-pump', 'nut-locked')
    expect(wanted(top, false)[0]).toBe('say')
    top.one.pull(top.step.joint!.id)
    expect(wanted(top, false)[0]).toBe('reading')
  })
  it('what is asked where nothing goes back comes after: it is looked at again as it stands drawn up', () =>
    expect(wanted(reached('m14-axially-split-pump', 'clamp-pull'), false)).toEqual(['joint', 'reading', 'say']))
  it('what has to be in order before it may be drawn up is read before', () =>
    expect(wanted(reached('m17-decanter', 'bracket-pull'), false)).toEqual(['reading', 'joint']))
})
