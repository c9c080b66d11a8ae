import { describe, expect, it } from 'vitest'
import { asksOf, confirmationOf, lacks, nextStep, viewJob, type Said } from '../core/job/index.ts'
import type { Step } from '../core/sheet/index.ts'
import { saidOtherwise } from '../demo/technician.ts'
import { Asking } from '../tests/asking.ts'
import { mend } from '../tests/mistakes/mend.ts'
import { findingsOf, librarySheet, worker, type Read } from '../tests/sheets.ts'
import { WALKS } from '../tests/walks/index.ts'

/** One thing done otherwise at a step: said so, or read so. */
interface Slip {
  said?: Said
  read?: Read
}

/** Everything that can be said or read otherwise at a step. */
function slipsAt(one: Asking, step: Step): Slip[] {
  const { counts, mates, lubricants } = asksOf(one.plan, one.folded.state, step)
  const wrongWay = mates.flatMap((mate): Slip[] => {
    const { rule } = mate
    if (rule.kind === 'aligned') return [{ said: { mates: { [mate.id]: { deg: 180 + (rule.deg ?? 0) } } } }]
    const say = rule.kind === 'seen' ? rule.choices.findLast(choice => !choice.met)?.say : undefined
    return say === undefined ? [] : [{ said: { mates: { [mate.id]: { say } } } }]
  })
  const wrongMedium = lubricants.map(({ on, medium, never }): Slip => ({
    said: { lubricants: { [on]: medium === 'dry' ? 'oil' : (never ?? 'dry') } },
  }))
  const fewer = counts.filter(count => count.part).map((count): Slip => ({ said: { counts: { [count.key]: 0 } } }))
  const out = (one.plan.checksAt.get(step.id) ?? []).flatMap(({ check, moment }): Slip[] => {
    const { max } = check.limits
    const worst = check.choices?.findLast(choice => choice.verdict === 'Out')?.say
    if (moment === 'asFound' || !viewJob(one.plan, one.folded.state).results.get(`${check.id} ${moment}`)?.owed)
      return []
    if (worst !== undefined) return [{ read: { [`${check.id} ${moment}`]: worst } }]
    return ['sum', 'clearance'].includes(check.kind) || max === undefined
      ? []
      : [{ read: { [`${check.id} ${moment}`]: max + 0.03 } }]
  })
  return [...wrongWay, ...wrongMedium, ...fewer, ...out]
}

/** Does a step, one thing of it otherwise, and sends it as a tablet would; throws where that is not taken. */
function slip(one: Asking, step: Step, figures: Read, { said = {}, read }: Slip): Asking {
  const fork = new Asking(one.opened, { ...findingsOf({ ...figures, ...read }, true) }, one.clock, one.label)
  fork.folded = one.folded
  fork.prepare(step)
  const told = saidOtherwise(fork.said(step), said)
  const asks = asksOf(fork.plan, fork.folded.state, step, told)
  if (lacks(fork.plan, asks, told).length) throw new Error('It is said at once.')
  fork.acts(confirmationOf(fork.plan, fork.folded.state, step, told))
  const rested = new Asking(one.opened, { ...findingsOf(figures, true) }, one.clock, one.label)
  rested.folded = fork.folded
  return rested
}

/** A whole overhaul by somebody who does every third step otherwise, as the numbers pick. */
describe.each(WALKS.filter(({ sheet }) => /^m(3|8|10|14)-/.test(sheet)))('$sheet', ({ sheet, figures }) => {
  it.each([1, 2])('every third step done otherwise is put right, and the record is signed: walk %i', seed => {
    const read = figures({})
    let one = worker(librarySheet(sheet), findingsOf(read, true), {}, Asking) as Asking
    const counted = { tried: 0, atOnce: 0, told: 0, stopped: 0 }
    const slipped = new Set<string>()
    let pick = seed * 7919
    for (let i = 0; i < 600; i++) {
      const step = nextStep(one.plan, one.folded.state)
      if (!step) break
      const slips = i % 3 === 2 && !slipped.has(step.id) ? slipsAt(one, step) : []
      pick = (pick * 1103515245 + 12345) % 2147483648
      const chosen = slips[pick % Math.max(1, slips.length)]
      if (chosen) {
        counted.tried += 1
        slipped.add(step.id)
        const before = new Set(viewJob(one.plan, one.folded.state).owed.map(owed => owed.key))
        try {
          one = slip(one, step, read, chosen)
          const { owed } = viewJob(one.plan, one.folded.state)
          expect(
            owed.some(debt => debt.wrong !== null && !before.has(debt.key)),
            `${step.id}: ${JSON.stringify(chosen)}`,
          ).toBe(true)
          counted.told += 1
          continue
        } catch (error) {
          if (!(error instanceof Error) || !/refused|at once/.test(error.message)) throw error
          counted.atOnce += 1
        }
      }
      try {
        one.doStep(step)
      } catch (error) {
        // What is wrong stops it: it is put right by the door that stands beside it.
        if (!(error instanceof Error) || !/refused/.test(error.message)) throw error
        counted.stopped += 1
        mend(one, new Set())
      }
    }
    mend(one, new Set())
    one.workUntil()
    expect(viewJob(one.plan, one.folded.state).owed.map(owed => owed.what)).toEqual([])
    one.act('job.signed', { cured: 'yes' }, 'lead')
    expect(one.folded.state.flags).toEqual([])
    expect(counted.tried).toBeGreaterThan(10)
    expect(counted.atOnce + counted.told).toBe(counted.tried)
  })
})
