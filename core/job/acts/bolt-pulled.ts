import { parseQuantity } from '../../quantity/index.ts'
import { wantedInPass } from '../../joints/index.ts'
import type { ActKind } from '../act.ts'
import { boltCount } from '../joints.ts'
import { HANDS } from '../roles.ts'
import { choice, id, optional, words, type Shaped } from '../shape.ts'
import { stamped, type JointState } from '../state.ts'
import { jointName } from '../words.ts'
import { outOfReach, unknown } from './sense.ts'

const shape = {
  joint: id,
  pass: { is: 'number', whole: true },
  bolt: { is: 'number', whole: true },
  torqueNm: { is: 'number', over: 0, most: 20000 },
  /** What was typed; a bare number is in N·m. */
  text: words(40),
  /** Read off the wrench; or the wrench was set to this and clicked, which is not the same. */
  how: optional(choice(['read', 'clicked'])),
  instrument: optional(words(60)),
} as const

export const boltPulled: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, _, { payload: { joint: name, bolt, pass, text, torqueNm } }) => {
    const joint = plan.joints.get(name)
    if (!joint) return unknown('joint', name)
    const bolts = boltCount(joint)
    if (bolt < 1 || bolt > bolts) return `${joint.title} has bolts 1 to ${bolts}; there is no bolt ${bolt}.`
    if (pass < 1 || pass > joint.passes.length)
      return `${joint.title} is torqued in ${joint.passes.length} passes; there is no pass ${pass}.`
    const read = parseQuantity(text, { kind: 'torque', label: joint.title })
    if (!read.ok) return read.why
    return Math.abs(read.value.value - torqueNm) > 1e-9 * Math.max(1, torqueNm)
      ? `${joint.title}: “${text}” is ${Number(read.value.value.toPrecision(7))} N·m, and ${Number(torqueNm.toPrecision(7))} came with it. Torque it again.`
      : null
  },
  live: (plan, state, { payload }) => {
    const step = plan.sheet.steps.find(one => one.joint?.id === payload.joint && one.joint.act === 'pull')
    return step ? outOfReach(plan, state, step.id) : []
  },
  apply: (state, entry, plan) => {
    const { joint, pass, bolt, torqueNm, how = 'read' } = entry.payload
    const before: JointState = state.joints.get(joint) ?? { passes: [], slackened: false, strays: [] }
    const passes = before.passes.slice()
    for (let i = 0; i < pass; i++) passes[i] ??= []
    const pull = stamped(entry, state, { bolt, torqueNm, how })
    passes[pass - 1] = [...passes[pass - 1]!, pull]
    const { leastNm, mostNm } = wantedInPass(plan.joints.get(joint)!, pass)
    const side = torqueNm > mostNm + 1e-9 ? ('over' as const) : torqueNm < leastNm - 1e-9 ? ('under' as const) : null
    const strays = side ? [...before.strays, { ...pull, pass, side }] : before.strays
    state.joints.set(joint, { passes, slackened: false, strays })
  },
  words: (plan, { joint, pass, bolt, text, how }) =>
    `${jointName(plan, joint)}, pass ${pass}, bolt ${bolt}: ${how === 'clicked' ? `wrench set to ${text}, clicked` : text}`,
}
