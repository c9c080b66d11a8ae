import { parseQuantity } from '../../quantity/index.ts'
import { passesOf, PATTERNS, sideOf, type PassWanted } from '../../joints/index.ts'
import type { Joint } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { boltCount, ordersOf, pullText, tightens } from '../parts/joints.ts'
import { HANDS } from '../ledger/roles.ts'
import { choice, id, optional, words, type Shaped } from '../ledger/shape.ts'
import { NO_JOINT, stamped } from '../ledger/state.ts'
import { jointName } from '../ledger/words.ts'
import { outOfReach, unknown } from './sense.ts'

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

/** What a pull says that its pass does not ask, or says otherwise than it was typed; null when nothing is wrong. */
const SAYS: Record<PassWanted['by'], (joint: Joint, wanted: PassWanted, pull: BoltPulled) => string | null> = {
  torque: ({ title }, _, { text = '', torqueNm, deg, felt }) => {
    if (torqueNm === undefined || deg !== undefined || felt !== undefined)
      return `${title}: this pass is by torque. Give the torque of each bolt.`
    const read = parseQuantity(text, { kind: 'torque', label: title })
    if (!read.ok) return read.why
    return Math.abs(read.value.value - torqueNm) > 1e-9 * Math.max(1, torqueNm)
      ? `${title}: “${text}” is ${Number(read.value.value.toPrecision(7))} N·m, and ${Number(torqueNm.toPrecision(7))} came with it. Torque it again.`
      : null
  },
  turn: ({ title }, _, { torqueNm, deg, felt }) =>
    deg === undefined || torqueNm !== undefined || felt !== undefined
      ? `${title}: this pass is by turn. Say how many degrees each was turned.`
      : null,
  felt: ({ title }, wanted, { torqueNm, deg, felt }) =>
    torqueNm === undefined && deg === undefined && wanted.by === 'felt' && wanted.choices.some(one => one.say === felt)
      ? null
      : `${title}: say how it feels, one of what the sheet names.`,
}

export const boltPulled: ActKind<BoltPulled> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const { joint: name, bolt, pass, order } = payload
    const joint = plan.joints.get(name)
    if (!joint) return unknown('joint', name)
    const bolts = boltCount(joint)
    if (bolt < 1 || bolt > bolts) return `${joint.title} has bolts 1 to ${bolts}; there is no bolt ${bolt}.`
    const passes = passesOf(joint)
    const wanted = passes[pass - 1]
    if (!wanted) return `${joint.title} is drawn up in ${passes.length} passes; there is no pass ${pass}.`
    const begun = state.joints.get(name)
    if (order && !ordersOf(joint).includes(order))
      return `${joint.title} is not drawn up in the order “${order}”. ${joint.why}.`
    const now = begun?.order ?? joint.pattern
    if (order && order !== now && begun?.passes.some(one => one.length))
      return `${joint.title} is begun in the order “${now}”. Slacken it to begin in another.`
    return SAYS[wanted.by](joint, wanted, payload)
  },
  live: (plan, state, { payload }) => {
    const step = plan.sheet.steps.find(one => tightens(one) && one.joint.id === payload.joint)
    return step ? outOfReach(plan, state, step.id) : []
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
