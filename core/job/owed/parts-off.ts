import type { Part } from '../../sheet/index.ts'
import { isAway, partState, type PartState } from '../ledger/state.ts'
import type { OwedKind } from './id.ts'
import type { Owing, Source } from './owing.ts'

type PartDebt = Extract<OwedKind, 'keep' | 'decision' | 'renewal' | 'return'>

interface Rule {
  kind: PartDebt
  station: Owing['station']
  owed: (part: Part, now: PartState) => boolean
  what: (part: Part, name: string) => string
  why: (part: Part, now: PartState) => string
}

const isAlways = (part: Part) => part.renewal === 'always'

/** What a part owes while it is off. */
const RULES: Rule[] = [
  {
    kind: 'keep',
    station: 'strip',
    owed: (part, now) => !now.kept && part.keep !== 'lay' && !isAlways(part),
    what: (part, name) => `${part.keep === 'bag' ? 'Bag' : 'Tag'}: ${name}`,
    why: () => 'Off the machine with nothing to say where it came from',
  },
  {
    kind: 'decision',
    station: 'decide',
    owed: (part, now) => !isAlways(part) && !now.decision,
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

export const partsOff: Source = ({ plan, state }) =>
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
