import { passesOf, PATTERNS, sideOf, type PassWanted } from '../../../joints/index.ts'
import { parseQuantity } from '../../../quantity/index.ts'
import type { Joint } from '../../../sheet/index.ts'
import type { ActKind } from '../../ledger/act.ts'
import { refusalsAbout, type Refusal } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { choice, id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped } from '../../ledger/state.ts'
import { jointName } from '../../ledger/words.ts'
import { isBegun, NO_JOINT, ordersOf, pullText, tightens } from '../../parts/joints.ts'
import { outOfReach, unknown, wrongBefore } from '../sense.ts'
import { noSuchBolt } from './eased.ts'

const refusals = refusalsAbout('bolt.pulled', {
  unreadable: ({ why }: { why: string }) => why,
  byTorque: ({ joint }: { joint: string }) => `${joint}: this pass is by torque. Give the torque of each bolt.`,
  differs: ({ joint, text, reads, came }: { joint: string; text: string; reads: number; came: number }) =>
    `${joint}: “${text}” is ${reads} N·m, and ${came} came with it. Torque it again.`,
  byTurn: ({ joint }: { joint: string }) => `${joint}: this pass is by turn. Say how many degrees each was turned.`,
  byFeel: ({ joint }: { joint: string }) => `${joint}: say how it feels, one of what the sheet names.`,
  noPass: ({ joint, passes, pass }: { joint: string; passes: number; pass: number }) =>
    `${joint} is drawn up in ${passes} passes; there is no pass ${pass}.`,
  notOrder: ({ joint, order, why }: { joint: string; order: string; why: string }) =>
    `${joint} is not drawn up in the order “${order}”. ${why}.`,
  begun: ({ joint, order }: { joint: string; order: string }) =>
    `${joint} is begun in the order “${order}”. Slacken it to begin in another.`,
})

const shape = {
  joint: id,
  pass: { is: 'number', whole: true },
  bolt: { is: 'number', whole: true },
  /** One of the three, as the pass wants it. */
  torqueNm: optional({ is: 'number', over: 0, most: 20000 }),
  deg: optional({ is: 'number', least: 0, most: 1080 }),
  felt: optional(words(80)),
  /** What was typed of a torque; a bare number is in N·m. */
  text: optional(words(40)),
  /** Read off the wrench; or the wrench was set to this and clicked, which is not the same. */
  how: optional(choice(['read', 'clicked'])),
  /** The order the joint is begun in, where it is another than the sheet's own. */
  order: optional(choice(PATTERNS)),
  instrument: optional(words(60)),
} as const
type BoltPulled = Shaped<typeof shape>

const shown = (torqueNm: number) => Number(torqueNm.toPrecision(7))

/** What a pull says that its pass does not ask, or says otherwise than it was typed; null when nothing is wrong. */
const SAYS: Record<PassWanted['by'], (joint: Joint, wanted: PassWanted, pull: BoltPulled) => Refusal | null> = {
  torque: ({ title }, _, { text = '', torqueNm, deg, felt }) => {
    if (torqueNm === undefined || deg !== undefined || felt !== undefined) return refusals.byTorque({ joint: title })
    const read = parseQuantity(text, { kind: 'torque', label: title })
    if (!read.ok) return refusals.unreadable({ why: read.why })
    return Math.abs(read.value.value - torqueNm) > 1e-9 * Math.max(1, torqueNm)
      ? refusals.differs({ joint: title, text, reads: shown(read.value.value), came: shown(torqueNm) })
      : null
  },
  turn: ({ title }, _, { torqueNm, deg, felt }) =>
    deg === undefined || torqueNm !== undefined || felt !== undefined ? refusals.byTurn({ joint: title }) : null,
  felt: ({ title }, wanted, { torqueNm, deg, felt }) =>
    torqueNm === undefined && deg === undefined && wanted.by === 'felt' && wanted.choices.some(one => one.say === felt)
      ? null
      : refusals.byFeel({ joint: title }),
}

export const boltPulled: ActKind<BoltPulled> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const { joint: name, bolt, pass, order } = payload
    const joint = plan.joints.get(name)
    if (!joint) return unknown('joint', name)
    const strange = noSuchBolt(joint, bolt)
    if (strange) return strange
    const passes = passesOf(joint)
    const wanted = passes[pass - 1]
    if (!wanted) return refusals.noPass({ joint: joint.title, passes: passes.length, pass })
    if (order && !ordersOf(joint).includes(order))
      return refusals.notOrder({ joint: joint.title, order, why: joint.why })
    const now = state.joints.get(name)?.order ?? joint.pattern
    if (order && order !== now && isBegun(state, name)) return refusals.begun({ joint: joint.title, order: now })
    return SAYS[wanted.by](joint, wanted, payload)
  },
  live: (at, { payload }) => {
    // A joint that is drawn up for a trial, or nipped first, has several steps: what is wrong is looked for at the one at hand.
    const steps = at.plan.sheet.steps.filter(one => tightens(one) && one.joint.id === payload.joint)
    const now = steps.find(one => !at.state.steps.has(one.id))
    return [...(now ? wrongBefore(at, now.id) : []), ...(steps[0] ? outOfReach(at, steps[0].id) : [])]
  },
  apply: (state, entry, plan) => {
    const { joint: name, pass, bolt, torqueNm, deg, felt, how = 'read', order } = entry.payload
    const before = state.joints.get(name) ?? NO_JOINT
    const passes = before.passes.slice()
    for (let i = 0; i < pass; i++) passes[i] ??= []
    const done = torqueNm === undefined ? (deg === undefined ? { felt } : { deg }) : { torqueNm, how }
    const pull = stamped(entry, state, { bolt, ...done })
    passes[pass - 1] = [...passes[pass - 1]!, pull]
    const side = sideOf(passesOf(plan.joints.get(name)!)[pass - 1]!, pull)
    const strays = side === 'inside' ? before.strays : [...before.strays, { ...pull, pass, side }]
    state.joints.set(name, {
      ...{ passes, strays, slackened: false, eased: [], outOfTurn: before.outOfTurn },
      ...(order || before.order ? { order: order ?? before.order } : {}),
    })
  },
  words: (plan, { joint, pass, bolt, text, ...pull }) => {
    const what = pull.how === 'clicked' ? `wrench set to ${text}, clicked` : (text ?? pullText({ bolt, ...pull }))
    return `${jointName(plan, joint)}, pass ${pass}, bolt ${bolt}: ${what}`
  },
}
