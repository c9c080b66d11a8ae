import { clockText } from '../../marks/index.ts'
import type { ActKind } from '../act.ts'
import { HANDS } from '../roles.ts'
import { choice, degrees, id, optional, words, type Shaped } from '../shape.ts'
import { SEVERITIES, stamped } from '../state.ts'
import { partName } from '../words.ts'
import { knownParts } from './sense.ts'

const shape = {
  part: id,
  finding: words(200),
  severity: choice(SEVERITIES),
  deg: optional(degrees),
  seenFrom: optional(words(60)),
} as const

export const partObserved: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, _, { payload }) => knownParts(plan, [payload.part]),
  apply: (state, entry) => {
    state.observations.push(stamped(entry, state, entry.payload))
  },
  words: (plan, { part, finding, severity, deg }) =>
    `${partName(plan, part)}: ${finding} (${severity})${deg === undefined ? '' : ` at ${clockText(deg)}`}`,
}
