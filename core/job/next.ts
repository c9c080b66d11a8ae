import { partsDecidedAt, readingKey, type Step } from '../sheet/index.ts'
import { isRead } from './measuring/results.ts'
import type { Hindrance } from './owed/hindrances.ts'
import type { Scene, Settle } from './owed/owing.ts'
import { asksOf, type Asks } from './parts/confirm.ts'
import { jointAhead, tightens } from './parts/joints.ts'
import { unmetNeeds } from './parts/needs.ts'
import { isForSign } from './parts/signs.ts'
import { notReady } from './parts/starting.ts'
import { waitStands } from './parts/waits.ts'

/** Settled at another step, on the card itself, or where parts and gate are: never the next thing at this step, but where something is wrong. */
const ELSEWHERE: readonly Hindrance['settle']['to'][] = ['step', 'caution', 'part', 'mate', 'stray', 'items', 'ledger']

/** Whether a step asks something that is said on the pad as it is confirmed. */
const isAsking = ({ counts, mates, lubricants, found, facts }: Asks): boolean =>
  counts.length > 0 || mates.length > 0 || lubricants.length > 0 || found !== null || facts.length > 0

/**
 * What a step that is not done yet wants of the pad, the next first: what hinders it, what is worked and said at it, and
 * where there is nothing of these, what was read or chosen there. Empty where it only has to be confirmed.
 * @param hindered what hinders it; see `owed/hindrances.ts`
 * @param asks what it asks, after what was said of it so far
 * @param isGoneThrough whether what goes back was gone through: that comes before the joint that is drawn up over it
 */
export function wantedAt(
  { plan, state, results }: Scene,
  step: Step,
  hindered: readonly Hindrance[],
  asks: Asks = asksOf(plan, state, step),
  isGoneThrough = true,
): Settle[] {
  const { joint, fits = [], removes = [], trial } = step
  const isReached = !unmetNeeds(plan, state, step).length
  // What is wrong is put right before anything else is worked at.
  const first = hindered.flatMap(({ settle, wrong }) =>
    isReached && (wrong || !ELSEWHERE.includes(settle.to)) ? [settle as Settle] : [],
  )
  // What is read at the end of a wait comes after it, what it begins on before it.
  const stands = waitStands(state, step)
  const isEnd = (at: Settle) => at.to === 'reading' && !step.wait?.once?.includes(at.check)
  const begun: Settle[] = stands === 'begun' ? [{ to: 'wait', step: step.id }] : []
  // What was reported is looked into first.
  first.sort((a, b) => Number(isForSign(plan, state, b)) - Number(isForSign(plan, state, a)))
  // What goes back stands right before it is drawn up.
  const own = first.findIndex(({ to }) => to === 'joint')
  if (own >= 0 && !isGoneThrough && jointAhead(plan, state, step)) first.splice(own, 0, { to: 'say' })
  const inOrder = stands ? [...first.filter(at => !isEnd(at)), ...begun, ...first.filter(isEnd)] : first
  const isEasing = joint?.act === 'slacken' && plan.joints.get(joint.id)!.slacken && !removes.length
  const work: (Settle | false | undefined)[] = [
    step === partsDecidedAt(plan.sheet) && { to: 'decide' },
    isEasing && { to: 'slackening', joint: joint.id },
    Boolean(fits.length || removes.length || trial || isAsking(asks)) && { to: 'say' },
    tightens(step) && { to: 'joint', joint: step.joint.id },
  ]
  // What is seen to before it is started comes before anything is read of it running.
  const starting: Settle[] = notReady(asks.starting, asks.started).length ? [{ to: 'say' }] : []
  const wanted = [...starting, ...inOrder, ...work.flatMap(one => one || [])]
  if (wanted.length) return wanted
  const read = (plan.checksAt.get(step.id) ?? []).findLast(({ check, moment }) =>
    isRead(results.get(readingKey(check.id, moment))),
  )
  if (read) return [{ to: 'reading', check: read.check.id, moment: read.moment }]
  const decided = plan.sheet.axes.find(axis => axis.decided?.step === step.id)
  return decided ? [{ to: 'axis', axis: decided.id }] : []
}
