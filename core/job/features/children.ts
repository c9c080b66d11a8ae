import { inSentence } from '../../sums/read.ts'
import { VERDICT_WORDS, VERDICTS } from '../../verdict.ts'
import type { Plan, Ref } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { HANDS, OPENERS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { choice, id, list, optional, record, why, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type JobState, type Stamp } from '../ledger/state.ts'
import { partName, utcText } from '../ledger/words.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { childStands, isAway, LONGEST_LEFT, MOST_LEFT, saidAt, type ChildState } from '../parts/children.ts'
import { offParts } from './sense.ts'

/** A sub-assembly on a bench of its own: it goes to a job by its own sheet, and comes back when that is signed. */

const refusals = refusalsAbout('child', {
  stands: () =>
    'Its job is open, and that stands here. A lead cancels that job; then it is said here what becomes of the part.',
  noBench: ({ part }: { part: string }) => `${part} has no bench of its own in this sheet. It is worked on here.`,
  away: ({ part, job }: { part: string; job: number }) =>
    `${part} is on its own bench already: job ${job}. Go on with that one.`,
  none: ({ part }: { part: string }) => `${part} is in no job of its own. Reload the page.`,
  leadSays: ({ part, job }: { part: string; job: number }) =>
    `Job ${job} of ${part} was cancelled. A lead says what becomes of it now.`,
})

const numberOf = (state: JobState, part: Ref) => state.children.get(part)?.child?.opened.number ?? 0

/** A part that is off and may go to a bench of its own; else why not. */
export function benchRefusal(plan: Plan, state: JobState, ref: Ref): Refusal | null {
  const off = offParts(plan, state, [ref])
  if (off) return off
  return plan.parts.get(ref)!.part.bench ? null : refusals.noBench({ part: partName(plan, ref) })
}

const opening = {
  part: id,
  job: words(40),
  number: { is: 'number', whole: true, least: 1 },
  equipment: words(40),
} as const

const opened: ActKind<Shaped<typeof opening>> = {
  shape: opening,
  by: OPENERS,
  corrected: 'never',
  instead: refusals.stands(),
  serverOnly: true,
  sense: (plan, state, { payload: { part } }) => {
    const wrong = benchRefusal(plan, state, part)
    if (wrong) return wrong
    return isAway(state.children.get(part)?.child)
      ? refusals.away({ part: partName(plan, part), job: numberOf(state, part) })
      : null
  },
  apply: (state, entry) => {
    const { part, ...child } = entry.payload
    state.children.set(part, { child: { opened: stamped(entry, state, child) } })
  },
  words: (plan, { part, number }) => `To its own bench, job ${number}: ${partName(plan, part)}`,
}

/** Why a part is not away in this job; null when it is. */
function awayAs(plan: Plan, state: JobState, part: Ref, job: string): Refusal | null {
  const child = state.children.get(part)?.child
  return isAway(child) && child!.opened.job === job ? null : refusals.none({ part: partName(plan, part) })
}

const returning = {
  part: id,
  job: words(40),
  /** SHA-256 of that job's ledger up to its signature, hexadecimal. */
  digest: words(64),
  cured: words(20),
  /** What was read as it was built up and proved. */
  left: optional(
    list(record({ what: words(LONGEST_LEFT), value: words(LONGEST_LEFT), verdict: choice(VERDICTS) }), MOST_LEFT),
  ),
} as const

const returned: ActKind<Shaped<typeof returning>> = {
  shape: returning,
  by: ['lead'],
  corrected: 'never',
  serverOnly: true,
  sense: (plan, state, { payload: { part, job } }) => awayAs(plan, state, part, job),
  apply: (state, entry) => {
    const { part, digest, cured, left = [] } = entry.payload
    const { opened: from } = state.children.get(part)!.child!
    state.children.set(part, { child: { opened: from, returned: stamped(entry, state, { digest, cured, left }) } })
  },
  words: (plan, { part }) => `Back from its own bench: ${partName(plan, part)}`,
}

const giving = { part: id, job: words(40), why } as const

const cancelled: ActKind<Shaped<typeof giving>> = {
  shape: giving,
  by: ['lead', 'planner'],
  corrected: 'never',
  serverOnly: true,
  sense: (plan, state, { payload: { part, job } }) => awayAs(plan, state, part, job),
  apply: (state, entry) => {
    const { part, why: given } = entry.payload
    const { opened: from } = state.children.get(part)!.child!
    state.children.set(part, { child: { opened: from, cancelled: stamped(entry, state, { why: given }) } })
  },
  words: (plan, { part, why: given }) => `Its own job was cancelled: ${partName(plan, part)}. ${given}`,
}

const without = { part: id, why } as const

const none: ActKind<Shaped<typeof without>> = {
  shape: without,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { part }, role }) => {
    const wrong = benchRefusal(plan, state, part)
    if (wrong) return wrong
    const { child } = state.children.get(part) ?? {}
    const about = { part: partName(plan, part), job: numberOf(state, part) }
    if (isAway(child)) return refusals.away(about)
    return child?.cancelled && role !== 'lead' ? refusals.leadSays(about) : null
  },
  apply: (state, entry) => {
    const { part, why: given } = entry.payload
    state.children.set(part, { ...state.children.get(part), none: stamped(entry, state, { why: given }) })
  },
  words: (plan, { part, why: given }) => `Goes back without a job of its own: ${partName(plan, part)}. ${given}`,
}

/** Sub-assemblies that are away, or of which nothing is said. */
const onTheirBench: Source = ({ plan, state }) =>
  [...plan.parts].flatMap(([ref, { name }]): Owing[] => {
    const stands = childStands(plan, state, ref)
    if (stands === null || stands === 'back' || stands === 'without') return []
    const job = numberOf(state, ref)
    const said = {
      unsaid: {
        what: `${name}: to its own bench, or back as it is?`,
        why: 'It may be overhauled by a sheet of its own',
      },
      away: { what: `${name} is on its own bench, job ${job}`, why: 'It goes in once that job is signed' },
      cancelled: { what: `Job ${job} of ${name} was cancelled`, why: 'A lead says what becomes of it now' },
    }[stands]
    const step = stands === 'unsaid' ? saidAt(plan, ref) : (plan.fittedBy.get(ref)?.id ?? null)
    return [
      {
        ...said,
        id: { kind: 'own bench', part: ref },
        station: (step && plan.steps.get(step)?.station) || 'build',
        step,
        settle: { to: 'child', part: ref },
        who: stands === 'cancelled' ? 'lead' : 'fitter',
      },
    ]
  })

export const slice = () => ({
  /** By part, of those with a bench of their own. */
  children: new Map<Ref, ChildState>(),
})
export const acts = {
  'child.opened': opened,
  'child.returned': returned,
  'child.cancelled': cancelled,
  'child.none': none,
}
export const owes = {
  'own bench': owedKind({
    by: { part: id },
    words: (plan, { part }) => `Own bench: ${partName(plan, part)}`,
    never: () => 'its job is signed or cancelled; of one that was cancelled a lead says on its pad what becomes of it',
  }),
}
export const sources = [onTheirBench]

/** What became of it, the last said last. */
function became({ child, none: kept }: ChildState): { how: string; small: string[]; last: Stamp }[] {
  const from = child && [`Job ${child.opened.number} on ${child.opened.equipment}, from ${utcText(child.opened.at)}`]
  return [
    ...(child?.returned
      ? [
          {
            how: 'Back, its job signed',
            small: [
              ...from!,
              `Cured: ${child.returned.cured}`,
              ...child.returned.left.map(one => `${one.what}: ${one.value}, ${inSentence(VERDICT_WORDS[one.verdict])}`),
              `Ledger ${child.returned.digest}`,
            ],
            last: child.returned,
          },
        ]
      : child?.cancelled
        ? [{ how: 'Its job was cancelled', small: [...from!, child.cancelled.why], last: child.cancelled }]
        : child
          ? [{ how: 'In a job of its own', small: from!, last: child.opened }]
          : []),
    ...(kept ? [{ how: 'Goes back without a job of its own', small: [kept.why], last: kept }] : []),
  ]
}

export const sections = {
  children: section({
    title: 'On their own bench',
    in: 'work',
    rows: ({ plan, state, by: signed }) =>
      [...state.children].flatMap(([ref, one]) =>
        became(one).map(({ how, small, last }) => ({ what: partName(plan, ref), how, small, ...signed(last) })),
      ),
    columns: [
      { head: 'What', width: 4, cell: row => text(row.what) },
      { head: 'How', width: 6, cell: row => ({ text: row.how, small: row.small }) },
      by(),
    ],
  }),
}
export const pads = { child: { part: id } } as const
