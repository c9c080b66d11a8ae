import {
  coveredAt,
  decidedWith,
  doorOf,
  isWanted,
  markOf,
  newFrom,
  partState,
  proposalsOf,
  readingKey,
  viewJob,
  type CheckResult,
  type Obligation,
} from '../../core/job/index.ts'
import type { Moment } from '../../core/sheet/index.ts'
import { rightAnswer, type Technician } from '../../demo/technician.ts'

/** Takes a step up again, with what is proposed to come off. */
const reopen = (by: Technician, step: string) => by.act('step.reopened', { step, why: 'Found wrong' }, 'lead')

/** Something that is out, by the door that is offered; what no door is offered for is decided: renewed, and measured again. */
function mendOut(by: Technician, { check, moment }: { check: string; moment: Moment }) {
  const { plan } = by
  const { state } = by.folded
  const { results } = viewJob(plan, state)
  const result = results.get(readingKey(check, moment))!
  const door = doorOf(plan, state, result)
  const proposals = proposalsOf(plan, state, results)
  const renewed = [...plan.parts.keys()].filter(
    ref =>
      partState(state, ref).where === 'off' &&
      !partState(state, ref).renewed &&
      proposals.get(ref)?.choice === 'renew' &&
      proposals.get(ref)!.checks.includes(check),
  )
  // What is renewed in sets goes with it.
  const partners = (plan.sheet.sets ?? []).flatMap(({ of }) => (of.some(ref => renewed.includes(ref)) ? of : []))
  if (door?.to === 'choice')
    return by.act('variant.changed', { axis: door.axis, choice: door.choice, why: 'Found out' }, 'lead')
  if (door?.to === 'round') return beginRound(by, door.loop, result)
  if (door?.to === 'reopen') return reopen(by, door.step)
  if (door && (result.check.remedies || !renewed.length)) {
    by.act('check.remedied', { check, moment, remedy: result.check.remedies?.[0] ?? 'Put right' })
    return by.measure(plan.checks.get(check)!, moment)
  }
  if (!renewed.length) throw new Error(`There is no way on from ${result.check.title}, ${moment}.`)
  for (const part of new Set([...renewed, ...partners])) renew(by, part)
}

function renew(by: Technician, part: string) {
  const { state } = by.folded
  const proposal = proposalsOf(by.plan, state, viewJob(by.plan, state).results).get(part)
  by.act('part.decided', decidedWith([part], 'renew', proposal, 'Found out'))
  by.act('part.renewed', { part, from: newFrom(by.plan.parts.get(part)!.part) })
}

function beginRound(by: Technician, loop: string, of: Pick<CheckResult, 'check'>) {
  // What was done after the rounds comes off before there is another.
  const later = by.plan.sheet.steps.find(step => step.after?.includes(loop) && by.folded.state.steps.has(step.id))
  if (later) return reopen(by, later.id)
  const { changes } = by.plan.loops.get(loop)!
  const { say } = changes.find(one => one.voids.includes(of.check.id)) ?? changes[0]!
  by.act('round.begun', { loop, changed: [say] })
}

/** What was read and does not count: read again, and corrected. */
function readAgain(by: Technician, check: string, moment: Moment) {
  const loop = [...by.plan.loops.values()].find(one =>
    by.plan.checks.get(check)!.at.some(at => at.moment === moment && one.steps.includes(at.step)),
  )
  if (loop) by.act('round.voided', { loop: loop.id, checks: [check], cause: 'Read wrong' })
  by.measure(by.plan.checks.get(check)!, moment)
}

/** One thing that is owed and wrong, put right by the door that stands beside it; whether there is one. */
function mendOne(by: Technician, { id }: Obligation): boolean {
  const { plan } = by
  const { state } = by.folded
  if (id.kind === 'wrong way') {
    const mate = plan.mates.get(id.mate)!
    const covered = coveredAt(plan, state, { mate: mate.id })
    const { needs = [] } = plan.steps.get(mate.asked ?? '') ?? {}
    if (covered) reopen(by, covered.step.id)
    // It cannot be got at before what comes before it is done again.
    else if (needs.some(need => !state.steps.has(need) && isWanted(plan, state, plan.steps.get(need)!))) return false
    else by.act('mate.answered', { mate: mate.id, ...rightAnswer(mate, markOf(state, mate)) })
  } else if (id.kind === 'wrong place') {
    const { fitted, trial } = partState(state, id.part)
    const { place } = (fitted ?? trial)!
    const on = plan.sheet.steps.find(step => (trial ? step.trial?.on : step.fits)?.includes(place))!
    reopen(by, on.id)
  } else if (id.kind === 'pieces')
    by.act('pieces.counted', { part: id.part, way: id.way, n: plan.parts.get(id.part)!.part.quantity! })
  else if (id.kind === 'out') mendOut(by, id)
  else if (id.kind === 'finding') renew(by, id.part)
  else if (id.kind === 'round') {
    const result = viewJob(plan, state).results
    const loop = plan.loops.get(id.loop)!
    const short = [...result.values()].find(
      one => loop.until.includes(one.check.id) && one.judgement.verdict !== 'Holds',
    )!
    beginRound(by, id.loop, short)
  } else if (id.kind === 'joint' && state.joints.get(id.joint)?.passes.length)
    by.act('joint.slackened', { joint: id.joint })
  else if (id.kind === 'reading' && viewJob(plan, state).results.get(readingKey(id.check, id.moment))!.again)
    readAgain(by, id.check, id.moment)
  else if (id.kind === 'origin')
    by.act('origin.said', { step: id.step, word: id.word, from: 'It came off a worn part' })
  // What was decided again is signed for again.
  else if (id.kind === 'hold' && state.steps.has(id.step)) by.signHold(id.step, plan.steps.get(id.step)!.hold!)
  else return false
  return true
}

/** Puts right what is wrong on a machine, one thing after the other, by the doors that are offered. */
export function mend(by: Technician, known: ReadonlySet<string>, renews: readonly string[] = []): void {
  for (const part of renews) renew(by, part)
  const mended: string[] = []
  for (let i = 0; i < 30; i++) {
    const { owed } = viewJob(by.plan, by.folded.state)
    const wrong = owed.find(one => !known.has(one.key) && mendOne(by, one))
    if (!wrong) return
    mended.push(wrong.what)
  }
  throw new Error(`It does not come right: ${mended.slice(-4).join('; ')}.`)
}
