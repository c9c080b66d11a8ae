import { clockText } from '../../../marks/index.ts'
import { viewWords } from '../../../sheet/index.ts'
import type { ActKind } from '../../ledger/act.ts'
import { SEVERITIES } from '../../ledger/part.ts'
import { HANDS } from '../../ledger/roles.ts'
import { choice, degrees, id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped, type Stamp } from '../../ledger/state.ts'
import { partName } from '../../ledger/words.ts'
import { knownParts, notSeenFrom } from '../sense.ts'

const shape = {
  part: id,
  finding: words(200),
  severity: choice(SEVERITIES),
  deg: optional(degrees),
  seenFrom: optional(words(60)),
} as const
export type Observation = Stamp & Shaped<typeof shape>

export const partObserved: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, _, { payload: { part, deg, seenFrom } }) =>
    knownParts(plan, [part]) ?? (deg === undefined && seenFrom === undefined ? null : notSeenFrom(plan, seenFrom)),
  apply: (state, entry) => {
    state.observations.push(stamped(entry, state, entry.payload))
  },
  words: (plan, { part, finding, severity, deg, seenFrom }) =>
    `${partName(plan, part)}: ${finding} (${severity})${deg === undefined ? '' : ` at ${clockText(deg)} seen from ${viewWords(seenFrom!)}`}`,
}
