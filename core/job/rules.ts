import type { Plan } from '../sheet/index.ts'
import type { Entry, EntryKind } from './entries.ts'
import { actOf, cautionKey, cellKey, lostKey, partState, readingKey, type JobState, type JointState } from './state.ts'

/**
 * One rule a kind: `sense` says why an entry makes no sense where it stands (null when it does), `apply` takes it in.
 * The fold flags what makes no sense; the server refuses it when it arrives live. `apply` may trust `sense`.
 */
interface Rule<K extends EntryKind> {
  sense: (plan: Plan, state: JobState, entry: Entry<K>) => string | null
  apply: (state: JobState, entry: Entry<K>, plan: Plan) => void
}

const unknown = (what: string, id: string) =>
  `This machine's sheet has no ${what} called “${id.slice(0, 60)}”. Reload the job; the sheet may be another version.`
const always = () => null

const knownParts = (plan: Plan, refs: readonly string[]) => {
  const stranger = refs.find(ref => !plan.parts.has(ref))
  return stranger === undefined ? null : unknown('part', stranger)
}

const offParts = (plan: Plan, state: JobState, refs: readonly string[]) =>
  knownParts(plan, refs) ??
  refs
    .filter(ref => partState(state, ref).where !== 'off')
    .map(ref => `${plan.parts.get(ref)!.name} is not off the machine.`)[0] ??
  null

const emptyJoint: JointState = { passes: [], slackened: false }

export const RULES: { [K in EntryKind]: Rule<K> } = {
  'job.opened': {
    sense: (_, state) => (state.opened ? 'This job is open already.' : null),
    apply: (state, entry) => {
      state.opened = entry
    },
  },
  'caution.read': {
    sense: (plan, _, { payload: { step, caution } }) =>
      plan.steps.get(step)?.cautions?.[caution] ? null : unknown('caution', `${step} ${caution}`),
    apply: (state, { payload: { step, caution } }) => {
      state.cautions.add(cautionKey(step, caution))
    },
  },
  'step.done': {
    sense: (plan, state, { payload }) =>
      !plan.steps.has(payload.step)
        ? unknown('step', payload.step)
        : state.steps.has(payload.step)
          ? `“${plan.steps.get(payload.step)!.title}” is done already.`
          : null,
    apply: (state, entry, plan) => {
      const { step, note } = entry.payload
      state.steps.set(step, { ...actOf(entry), note })
      const joint = plan.steps.get(step)!.joint
      if (joint?.act === 'slacken') state.joints.set(joint.id, { passes: [], slackened: true })
    },
  },
  'step.skipped': {
    sense: (plan, state, { payload }) =>
      !plan.steps.has(payload.step)
        ? unknown('step', payload.step)
        : state.steps.has(payload.step)
          ? 'This step is settled already.'
          : null,
    apply: (state, entry) => {
      state.steps.set(entry.payload.step, { ...actOf(entry), skipped: entry.payload.why })
    },
  },
  'evidence.lost': {
    sense: (plan, _, { payload: { check, mate } }) =>
      (check && plan.checks.has(check)) || (mate && plan.mates.has(mate))
        ? null
        : unknown('evidence', check ?? mate ?? ''),
    apply: (state, entry) => {
      state.evidenceLost.set(lostKey(entry.payload), { ...actOf(entry), why: entry.payload.why })
    },
  },
  'mark.made': {
    sense: (plan, state, { payload: { mate } }) => {
      const known = plan.mates.get(mate)
      if (!known) return unknown('mate', mate)
      return partState(state, known.a).where === 'on' && partState(state, known.b).where === 'on'
        ? null
        : `${known.title}: the parts have parted; a mark made now would say nothing. Say it was lost, with the reason.`
    },
    apply: (state, entry) => {
      const { deg, seenFrom, carrier, mate } = entry.payload
      state.marks.set(mate, { ...actOf(entry), deg, seenFrom, carrier })
    },
  },
  'part.lifted': {
    sense: (plan, state, { payload: { parts } }) =>
      knownParts(plan, parts) ??
      parts
        .filter(ref => partState(state, ref).where === 'off')
        .map(ref => `${plan.parts.get(ref)!.name} is off already.`)[0] ??
      null,
    apply: (state, entry) => {
      for (const ref of entry.payload.parts) {
        state.liftedCount += 1
        state.parts.set(ref, {
          ...partState(state, ref),
          where: 'off',
          fitted: undefined,
          order: state.liftedCount,
          lifted: { ...actOf(entry), method: entry.payload.method },
        })
      }
    },
  },
  'part.bagged': {
    sense: (plan, state, { payload }) => offParts(plan, state, payload.parts),
    apply: (state, { payload }) =>
      payload.parts.forEach(ref =>
        state.parts.set(ref, { ...partState(state, ref), kept: { as: 'bag', label: payload.bag } }),
      ),
  },
  'part.tagged': {
    sense: (plan, state, { payload }) => offParts(plan, state, payload.parts),
    apply: (state, { payload }) =>
      payload.parts.forEach(ref =>
        state.parts.set(ref, { ...partState(state, ref), kept: { as: 'tag', label: payload.tag } }),
      ),
  },
  'part.observed': {
    sense: (plan, _, { payload }) => knownParts(plan, [payload.part]),
    apply: (state, entry) => {
      state.observations.push({ ...actOf(entry), ...entry.payload })
    },
  },
  'part.decided': {
    sense: (plan, _, { payload: { parts, choice } }) =>
      knownParts(plan, parts) ??
      parts
        .map(ref => plan.parts.get(ref)!)
        .filter(({ part }) => part.renewal === 'always' && choice !== 'renew')
        .map(
          ({ name, part }) => `${name} is always renewed: ${part.renewalWhy ?? 'it is used up by the first fitting'}.`,
        )[0] ??
      null,
    apply: (state, entry) => {
      const { choice, why } = entry.payload
      for (const ref of entry.payload.parts)
        state.parts.set(ref, { ...partState(state, ref), decision: { ...actOf(entry), choice, why } })
    },
  },
  'part.renewed': {
    sense: (plan, state, { payload: { part } }) => {
      const wrong = offParts(plan, state, [part])
      if (wrong) return wrong
      return plan.parts.get(part)!.part.renewal === 'always' || partState(state, part).decision?.choice === 'renew'
        ? null
        : `Decide first that ${plan.parts.get(part)!.name} is renewed.`
    },
    apply: (state, entry) => {
      const { part, from, batch } = entry.payload
      state.parts.set(part, { ...partState(state, part), renewed: { ...actOf(entry), from, batch } })
    },
  },
  'part.refitted': {
    sense: (plan, state, { payload }) => {
      const here = plan.parts.get(payload.part)
      if (!here) return unknown('part', payload.part)
      const now = partState(state, payload.part)
      if (now.where !== 'off')
        return `${here.name} is ${now.where === 'on' ? 'still on the machine' : 'fitted already'}; it cannot be fitted again.`
      if (payload.place && !plan.parts.has(payload.place)) return unknown('place', payload.place)
      if (here.part.renewal === 'always' && !now.renewed)
        return `${here.name} is always renewed. Take a new one from the kit or from stock first.`
      return now.decision?.choice === 'renew' && !now.renewed
        ? `${here.name} was to be renewed. Take the new one first, or change the decision.`
        : null
    },
    apply: (state, entry) => {
      const { part, place, answers } = entry.payload
      const before = partState(state, part)
      state.parts.set(part, {
        ...before,
        where: 'fitted',
        fitted: { ...actOf(entry), as: before.renewed ? 'new' : 'same', place: place ?? part, answers },
      })
    },
  },
  'reading.taken': {
    sense: (plan, state, { payload: { check: id, moment, station, plane, tries } }) => {
      const check = plan.checks.get(id)
      if (!check) return unknown('check', id)
      if (check.kind === 'clearance')
        return `${check.title} is worked out from two other checks; it has no reading of its own.`
      if (!check.at.some(at => at.moment === moment)) return `${check.title} is not taken at that moment.`
      if (
        (check.stations && !check.stations.includes(station ?? '')) ||
        (check.planes && !check.planes.includes(plane ?? ''))
      )
        return `${check.title} has no such place to measure.`
      if (!tries.length) return `${check.title}: there is no reading in it.`
      const figures =
        check.kind === 'runout' ? (check.sweep ?? 8) : check.kind === 'endFloat' || check.kind === 'lift' ? 2 : 1
      if (tries.some(row => row.length !== figures)) return `${check.title} takes ${figures} figures a try.`
      // What was found is never written over: another figure for the same place is a correction, with its reason.
      const before = state.readings.get(readingKey(id, moment))?.get(cellKey(station, plane))
      if (before && before.tries.length >= (check.tries ?? 1))
        return `${check.title} is measured there already. Correct that reading, with the reason.`
      const [low, high] = check.span
      return tries.flat().some(figure => !(figure >= low && figure <= high))
        ? `${check.title}: a figure lies outside what can be believed (${low} to ${high}). Check it and take it again.`
        : null
    },
    apply: (state, entry) => {
      const { check, moment, station, plane } = entry.payload
      const key = readingKey(check, moment)
      const cells = state.readings.get(key) ?? new Map()
      cells.set(cellKey(station, plane), { ...actOf(entry), ...entry.payload })
      state.readings.set(key, cells)
    },
  },
  'bolt.pulled': {
    sense: (plan, _, { payload: { joint: id, bolt, pass } }) => {
      const joint = plan.joints.get(id)
      if (!joint) return unknown('joint', id)
      const bolts = joint.layout.kind === 'circle' ? joint.layout.bolts : joint.layout.points.length
      if (bolt < 1 || bolt > bolts) return `${joint.title} has bolts 1 to ${bolts}; there is no bolt ${bolt}.`
      return pass < 1 || pass > joint.passes.length
        ? `${joint.title} is pulled in ${joint.passes.length} passes; there is no pass ${pass}.`
        : null
    },
    apply: (state, entry) => {
      const { joint, pass, bolt, torqueNm } = entry.payload
      const before = state.joints.get(joint) ?? emptyJoint
      const passes = before.passes.slice()
      for (let i = 0; i < pass; i++) passes[i] ??= []
      passes[pass - 1] = [...passes[pass - 1]!, { ...actOf(entry), bolt, torqueNm }]
      state.joints.set(joint, { passes, slackened: false })
    },
  },
  'joint.slackened': {
    sense: (plan, _, { payload }) => (plan.joints.has(payload.joint) ? null : unknown('joint', payload.joint)),
    apply: (state, { payload }) => {
      state.joints.set(payload.joint, { passes: [], slackened: true })
    },
  },
  'hold.signed': {
    sense: (plan, _, { payload, role }) =>
      !plan.steps.get(payload.step)?.hold
        ? unknown('hold point', payload.step)
        : role === 'lead'
          ? null
          : 'A hold point is signed by a lead. Ask one to sign.',
    apply: (state, entry) => {
      state.holds.set(entry.payload.step, actOf(entry))
    },
  },
  'concession.given': {
    sense: (_, __, { role }) => (role === 'lead' ? null : 'A concession is given by a lead. Ask one to sign.'),
    apply: (state, entry) => {
      state.concessions.set(entry.payload.obligation, { ...actOf(entry), why: entry.payload.why })
    },
  },
  'note.written': {
    sense: always,
    apply: (state, entry) => {
      state.notes.push({ ...actOf(entry), text: entry.payload.text })
    },
  },
  'entry.corrected': { sense: always, apply: () => {} },
  'job.signed': {
    sense: (_, state) => (state.signed ? 'This job is signed already.' : null),
    apply: (state, entry) => {
      state.signed = entry
    },
  },
  'addendum.written': {
    sense: (_, state) => (state.signed ? null : 'An addendum follows the signature. Write a note instead.'),
    apply: (state, entry) => {
      state.notes.push({ ...actOf(entry), text: entry.payload.text, addendum: true })
    },
  },
}
