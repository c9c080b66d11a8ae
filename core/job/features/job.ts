import type { ActKind } from '../ledger/act.ts'
import type { Entry } from '../ledger/entry.ts'
import { refusalsAbout } from '../../refusal.ts'
import { OPENERS } from '../ledger/roles.ts'
import { choice, id, list, names, optional, record, why, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { partNames } from '../ledger/words.ts'
import { gateOf } from '../owed/gate.ts'
import { curedBy } from '../parts/signs.ts'
import { always } from './sense.ts'

/** The job as a whole: opened, and signed or given up. */

const refusals = refusalsAbout('job', {
  stands: () => 'The opening of a job cannot be taken back. Cancel the job instead.',
  open: () => 'This job is open already.',
  answered: ({ cured }: { cured: string }) =>
    `By what was answered of each sign, the complaint is cured: ${cured}. Look at the answers again`,
  partsOff: ({ parts, n }: { parts: string; n: number }) =>
    `${parts} ${n > 1 ? 'are' : 'is'} off the machine. Fit what is off, or hand the job on`,
  gateShut: ({ n, first }: { n: number; first: string }) =>
    `The gate is shut: ${n} to settle first${first ? `, beginning with “${first}”` : ''}`,
})

const opening = {
  equipment: id,
  sheet: id,
  version: { is: 'number', whole: true },
  variants: names,
  complaint: { ...words(400), empty: true },
  /** What was reported, of what its sheet knows. */
  signs: optional(list(id, 20)),
  /** What the last job on this machine left, of what its sheet asks: base units. */
  last: optional(list(record({ check: id, figure: words(80), value: { is: 'number' } } as const), 200)),
  /** Facts of this machine that earlier jobs kept. */
  kept: optional(list(record({ fact: id, text: words(80) } as const), 200)),
  /** The job it belongs to, where this is the bench of one of its parts. */
  parent: optional(
    record({ job: words(40), number: { is: 'number', whole: true }, part: id, equipment: words(40) } as const),
  ),
} as const

const opened: ActKind<Shaped<typeof opening>> = {
  shape: opening,
  by: OPENERS,
  corrected: 'never',
  instead: refusals.stands(),
  sense: (_, state) => (state.opened ? refusals.open() : null),
  apply: (state, entry) => {
    state.opened = { ...entry, kind: 'job.opened' } as Entry<'job.opened'>
  },
  words: () => 'Job opened',
}

const signature = {
  cured: choice(['yes', 'no', 'not known yet']),
  cause: optional({ ...words(400), empty: true } as const),
} as const

const signed: ActKind<Shaped<typeof signature>> = {
  shape: signature,
  by: ['lead'],
  corrected: 'never',
  neverLate: true,
  signature: true,
  sense: always,
  live: ({ plan, state, owed }, { payload: { cured } }) => {
    const gate = gateOf(plan, state, owed)
    const answered = curedBy(plan, state)
    if (gate.open && gate.guards === 'hand-back')
      return answered === null || answered === cured ? [] : [refusals.answered({ cured: answered })]
    return [refusals.gateShut({ n: gate.reasons.length || 1, first: gate.reasons[0]?.what ?? '' })]
  },
  apply: (state, entry) => {
    state.signed = stamped(entry, state, entry.payload)
  },
  words: (_, { cured }) => `Signed; complaint cured: ${cured}`,
}

const giving = { why } as const

/** A job opened by mistake, or given up. With parts off, the machine is not whole, so it cannot be walked away from. */
const cancelled: ActKind<Shaped<typeof giving>> = {
  shape: giving,
  by: ['lead', 'planner'],
  corrected: 'never',
  neverLate: true,
  signature: true,
  sense: always,
  live: ({ plan, state }) => {
    const off = [...state.parts].filter(([, now]) => now.where === 'off').map(([ref]) => ref)
    return off.length ? [refusals.partsOff({ parts: partNames(plan, off), n: off.length })] : []
  },
  apply: (state, entry) => {
    state.cancelled = stamped(entry, state, entry.payload)
  },
  words: (_, payload) => `Job cancelled: ${payload.why}`,
}

export const slice = () => ({
  opened: null as Entry<'job.opened'> | null,
  signed: null as (Stamp & Shaped<typeof signature>) | null,
  cancelled: null as (Stamp & Shaped<typeof giving>) | null,
})
export const acts = { 'job.opened': opened, 'job.signed': signed, 'job.cancelled': cancelled }
