import { isDecided, type Part, type Plan, type Ref } from '../../../sheet/index.ts'
import { owedKind } from '../../ledger/feature.ts'
import { isAway, partState, type PartState } from '../../ledger/part.ts'
import { id } from '../../ledger/shape.ts'
import type { JobState } from '../../ledger/state.ts'
import { partName } from '../../ledger/words.ts'
import { beforeCover, type Owing, type Source } from '../../owed/owing.ts'
import { labelOf } from '../../parts/keeping.ts'
import { onTrial } from '../../parts/rounds.ts'

/** What parts owe: kept, decided, new, back, and in their own place. */

const KEPT_AS: Record<Part['keep'], string> = { bag: 'Bag', tag: 'Tag', lay: 'Lay out', pattern: 'Keep as the pattern' }
const isAlways = (part: Part) => part.renewal === 'always'

interface Rule {
  kind: 'keep' | 'decision' | 'renewal' | 'return'
  station: Owing['station']
  owed: (part: Part, now: PartState) => boolean
  what: (part: Part, name: string) => string
  why: (part: Part, now: PartState) => string
}

/** What a part owes while it is off. */
const RULES: Rule[] = [
  {
    kind: 'keep',
    station: 'strip',
    owed: (part, now) => !now.kept && labelOf(part) !== null,
    what: (part, name) => `${KEPT_AS[part.keep]}: ${name}`,
    why: part =>
      part.keep === 'pattern'
        ? 'The new one is laid on it before it goes in'
        : 'Off the machine with nothing to say where it came from',
  },
  {
    kind: 'decision',
    station: 'decide',
    owed: (part, now) => isDecided(part) && !now.decision,
    what: (_, name) => `Decide: ${name}`,
    why: () => 'Reuse, rework, renew or send out',
  },
  {
    kind: 'renewal',
    station: 'decide',
    owed: (part, now) => (isAlways(part) || now.decision?.choice === 'renew') && !now.renewed,
    what: (_, name) => `New: ${name}`,
    why: part =>
      isAlways(part)
        ? (part.renewalWhy ?? 'Always renewed')
        : part.kit
          ? 'Decided to renew; in the kit'
          : 'Decided to renew; not in the kit',
  },
  {
    kind: 'return',
    station: 'decide',
    owed: (_, now) => isAway(now),
    what: (_, name) => `Not back: ${name}`,
    why: (_, now) => (now.decision!.choice === 'rework' ? 'Decided to rework' : 'Sent out'),
  },
]

const partsOff: Source = ({ plan, state }) =>
  [...plan.parts.values()].flatMap(({ ref, part, name }): Owing[] => {
    const now = partState(state, ref)
    if (now.where !== 'off') return []
    const step = plan.fittedBy.get(ref)?.id ?? null
    return RULES.filter(rule => rule.owed(part, now)).map(rule => ({
      id: { kind: rule.kind, part: ref },
      station: rule.station,
      what: rule.what(part, name),
      why: rule.why(part, now),
      step,
      settle: { to: 'part', part: ref },
    }))
  })

/** The step of a loop that is next: what is read there would be read of the wrong part. */
function nextOfTrial(plan: Plan, state: JobState, ref: Ref): string | null {
  const on = plan.sheet.steps.find(step => step.trial?.on?.includes(ref))
  return plan.loopOf.get(on?.id ?? '')?.steps.find(step => !state.steps.has(step)) ?? null
}

const wrongPlaces: Source = ({ plan, state }) =>
  [...plan.parts.values()].flatMap(({ ref, name, part }): Owing[] => {
    const { fitted, trial, renewed } = partState(state, ref)
    const place = (fitted ?? trial)?.place
    if (!place || place === ref) return []
    return [
      {
        id: { kind: 'wrong place', part: ref },
        station: 'build',
        what: `${name} is ${trial ? 'on trial ' : ''}in the place of ${plan.parts.get(place)?.name}`,
        why: (renewed ? undefined : part.ifSwapped) ?? 'Parts go back to the place they came from',
        step: trial ? nextOfTrial(plan, state, ref) : beforeCover(plan, plan.fittedBy.get(place)?.id),
        ...(trial ? {} : { wrong: { of: [place], at: plan.fittedBy.get(place)?.id, isIn: true } }),
        settle: { to: 'part', part: ref },
      },
    ]
  })

/** Parts that are off and have no way back, since the job was decided otherwise: where do they go? */
const strays: Source = ({ plan, state }) =>
  [...state.parts].flatMap(([ref, now]): Owing[] =>
    now.where === 'off' && !now.settled && !plan.fittedBy.has(ref)
      ? [
          {
            id: { kind: 'stray', part: ref },
            station: 'decide',
            what: `Off, and no step to fit it: ${partName(plan, ref)}`,
            why: 'Put it back, scrap it or keep it aside, and say which',
            step: null,
            settle: { to: 'stray', part: ref },
          },
        ]
      : [],
  )

/** What is on for a trial comes off again: it went on with nothing new, no gasket and no locking. */
const trials: Source = ({ plan, state }) =>
  onTrial(plan, state).map((part): Owing => {
    const off = plan.sheet.steps.find(step => step.trial?.off?.includes(part))
    return {
      id: { kind: 'trial', part },
      station: off?.station ?? 'build',
      what: `On for a trial: ${partName(plan, part)}`,
      why: 'Off again before anything is closed for good',
      step: beforeCover(plan, off?.id),
      settle: { to: 'step', step: off?.id ?? '' },
    }
  })

const about = (words: string) => ({
  by: { part: id },
  words: (plan: Plan, { part }: { part: string }) => `${words}: ${partName(plan, part)}`,
})

export const owes = {
  'keep': owedKind({ ...about('Tag or bag'), withItsStep: true }),
  'decision': owedKind(about('Decision')),
  'renewal': owedKind(about('New part')),
  'return': owedKind(about('Not back')),
  'wrong place': owedKind({
    ...about('In another place'),
    holdsStart: true,
    basis: ({ state }, { part }) =>
      [partState(state, part).fitted ?? partState(state, part).trial].flatMap(one => one ?? []),
  }),
  'stray': owedKind(about('Off, and no step to fit it')),
  'trial': owedKind({ ...about('On for a trial'), never: () => 'take it off', holdsStart: true }),
}
export const sources = [partsOff, wrongPlaces, strays, trials]
