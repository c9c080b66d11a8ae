import type { ActKind } from '../ledger/act.ts'
import { competenceShape, competenceWords, signerRefusal, signerWords } from '../ledger/competence.ts'
import { timeOf } from '../ledger/entry.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { WRITERS } from '../ledger/roles.ts'
import { entriesOf, isSame } from '../ledger/same.ts'
import { by, section, text } from '../ledger/section.ts'
import { entryId, id, list, optional, record, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { holdHindrances, holdStands, workOf } from '../parts/holds.ts'
import { unknown } from './sense.ts'

/** Hold points: a second pair of eyes signs for work, as it was when they looked. */

const refusals = refusalsAbout('hold', {
  changed: () => 'The work it signs for has changed since you looked. Look at it again, then sign',
})

/** `basis`: the acts that are signed for. `on`: the paper the signature rests on, where a role is not enough. */
const shape = { step: id, basis: list(entryId, 2000), on: optional(record(competenceShape)) } as const
type Signature = Shaped<typeof shape>

const signed: ActKind<Signature> = {
  shape,
  // Who signs is the sheet's to say, not the role's.
  by: WRITERS,
  corrected: 'take back',
  neverLate: true,
  signature: true,
  claims: ({ on }) => (on ? [{ competence: on }] : []),
  sense: (plan, _, entry) => {
    const { step, on } = entry.payload
    const hold = plan.steps.get(step)?.hold
    return hold ? signerRefusal(hold, entry.role, on, timeOf(entry)) : unknown('hold point', step)
  },
  live: ({ plan, state }, { payload, madeBy }) => {
    const step = plan.steps.get(payload.step)!
    const hindered = holdHindrances(plan, state, step, madeBy)
    return hindered.length || isSame(payload.basis, entriesOf(workOf(plan, state, step)))
      ? hindered
      : [refusals.changed()]
  },
  apply: (state, entry) => {
    const { step, ...given } = entry.payload
    state.holds.set(step, stamped(entry, state, given))
  },
  words: (plan, { step, on }) => `Hold point signed: ${stepName(plan, step)}${on ? `, ${competenceWords(on)}` : ''}`,
}

const unsigned: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap((step): Owing[] => {
    const stands = step.hold ? holdStands(plan, state, step) : 'signed'
    if (stands === 'signed') return []
    return [
      {
        id: { kind: 'hold', step: step.id },
        station: step.station,
        what: `Hold point: ${step.title}`,
        why:
          stands === 'lapsed'
            ? 'Signed, but what it covers has changed since: look again and sign again'
            : `A second pair of eyes signs here: ${signerWords(step.hold!)}`,
        step: step.id,
        settle: { to: 'step', step: step.id },
        who: step.hold!.by,
      },
    ]
  })

export const slice = () => ({
  /** By step, with the acts they were signed for. */
  holds: new Map<string, Stamp & Omit<Signature, 'step'>>(),
})
export const acts = { 'hold.signed': signed }
export const owes = {
  hold: owedKind({
    by: { step: id },
    words: (plan, { step }) => `Hold point: ${stepName(plan, step)}`,
    basis: ({ plan, state }, { step: name }) => {
      const step = plan.steps.get(name)
      return step ? workOf(plan, state, step) : []
    },
    never: (plan, { step }) => {
      const hold = plan.steps.get(step)?.hold
      return hold && hold.by !== 'lead'
        ? `it is signed by ${signerWords(hold)}; a lead’s word does not stand for that`
        : null
    },
    onceReached: true,
  }),
}
export const sources = [unsigned]
export const sections = {
  holds: section({
    title: 'Hold points',
    in: 'work',
    rows: ({ plan, state, by: signedBy }) =>
      plan.sheet.steps.flatMap(step => {
        const given = state.holds.get(step.id)
        if (!given) return []
        return [
          {
            title: step.title,
            stands: holdStands(plan, state, step) === 'signed' ? 'stands' : 'lapsed: the work changed afterwards',
            signer: given.on ? competenceWords(given.on) : null,
            ...signedBy(given),
          },
        ]
      }),
    columns: [
      { head: 'Step', width: 7, cell: row => text(row.title) },
      { head: 'Stands', width: 4, cell: row => ({ ...text(row.stands), small: row.signer ? [row.signer] : [] }) },
      by(),
    ],
  }),
}
