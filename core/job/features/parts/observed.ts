import { clockText } from '../../../marks/index.ts'
import { viewWords } from '../../../sheet/index.ts'
import type { ActKind } from '../../ledger/act.ts'
import { SEVERITIES } from '../../ledger/part.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { choice, degrees, id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped, type Stamp } from '../../ledger/state.ts'
import { partName } from '../../ledger/words.ts'
import { knownParts, notSeenFrom } from '../sense.ts'

const shape = {
  part: id,
  finding: words(200),
  severity: choice(SEVERITIES),
  /** Where it is; with `toDeg`, from there clockwise to that. */
  deg: optional(degrees),
  toDeg: optional(degrees),
  seenFrom: optional(words(60)),
} as const
export type Observation = Stamp & Shaped<typeof shape>

const refusals = refusalsAbout('observation', {
  from: () => 'Say where it begins, then where it ends.',
})

/** Where something was seen on a part, in words: at an hour, or from hour to hour clockwise. Empty where it was not said. */
export const whereText = ({ deg, toDeg, seenFrom }: Pick<Observation, 'deg' | 'toDeg' | 'seenFrom'>): string =>
  deg === undefined
    ? ''
    : `${toDeg === undefined ? 'at' : 'from'} ${clockText(deg)}${toDeg === undefined ? '' : ` round to ${clockText(toDeg)}`} seen from ${viewWords(seenFrom!)}`

export const partObserved: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, _, { payload: { part, deg, toDeg, seenFrom } }) =>
    knownParts(plan, [part]) ??
    (toDeg !== undefined && deg === undefined ? refusals.from() : null) ??
    (deg === undefined && seenFrom === undefined ? null : notSeenFrom(plan, seenFrom)),
  apply: (state, entry) => {
    state.observations.push(stamped(entry, state, entry.payload))
  },
  words: (plan, { part, finding, severity, ...at }) =>
    [`${partName(plan, part)}: ${finding} (${severity})`, whereText(at)].filter(Boolean).join(' '),
}
