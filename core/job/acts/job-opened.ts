import type { ActKind } from '../ledger/act.ts'
import type { Entry } from '../ledger/entry.ts'
import { OPENERS } from '../ledger/roles.ts'
import { id, names, words, type Shaped } from '../ledger/shape.ts'

const shape = {
  equipment: id,
  sheet: id,
  version: { is: 'number', whole: true },
  variants: names,
  complaint: { ...words(400), empty: true },
} as const

export const jobOpened: ActKind<Shaped<typeof shape>> = {
  shape,
  by: OPENERS,
  corrected: 'never',
  sense: (_, state) => (state.opened ? 'This job is open already.' : null),
  apply: (state, entry) => {
    state.opened = { ...entry, kind: 'job.opened' } as Entry<'job.opened'>
  },
  words: () => 'Job opened',
}
