import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { inSentence } from '../../sums/read.ts'
import type { ActKind, AtHand } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section } from '../ledger/section.ts'
import { settled, type Contested } from '../ledger/seen.ts'
import { id, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { checkResults } from '../measuring/results.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { causeStep, likelierThan, weighCauses, type CauseEvidence, type WeighedCause } from '../parts/causes.ts'
import type { NoCause, Plan } from '../../sheet/index.ts'
import { outOfReach, unknown } from './sense.ts'

/** What it failed of, said by whoever took it apart: of the sheet's causes, another, or that none was found. */

const refusals = refusalsAbout('cause', {
  notAsked: () => 'Nobody asks on this job what it failed of. Decide first that it is to be learnt.',
  inWords: () => 'Say in words what it was.',
  ruledOut: () => 'Write what was looked at and ruled out.',
  likelier: ({ first, cause }: { first: string; cause: string }) =>
    `More that was found speaks for “${first}” than for “${cause}”. Say why it was ${inSentence(cause)} all the same.`,
})

/** What is said where none of the sheet's causes fits. */
export const NONE_OF_THEM: Readonly<Record<NoCause, string>> = { 'other': 'Something else', 'not found': 'Not found' }
const isNone = (cause: string): cause is NoCause => Object.hasOwn(NONE_OF_THEM, cause)

const shape = {
  /** One of the sheet, `other`, or `not found`. */
  cause: id,
  why: optional(words(400)),
} as const
type CauseSaid = Shaped<typeof shape>

/** A cause in words; one of another sheet keeps its name. */
export const causeName = (plan: Plan, cause: string): string =>
  isNone(cause) ? NONE_OF_THEM[cause] : (plan.sheet.causes?.find(one => one.id === cause)?.say ?? cause)

/** That more speaks for another, where no word says why it was this one all the same. */
function likelier({ plan, state }: Pick<AtHand, 'plan' | 'state'>, { cause, why }: CauseSaid): Refusal[] {
  if (isNone(cause) || why?.trim()) return []
  const first = likelierThan(weighCauses({ plan, state, results: checkResults(plan, state) }), cause)
  return first ? [refusals.likelier({ first: first.say, cause: causeName(plan, cause) })] : []
}

const said: ActKind<CauseSaid> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, _, { payload: { cause, why } }) => {
    if (!causeStep(plan)) return refusals.notAsked()
    if (isNone(cause)) {
      if (why?.trim()) return null
      return cause === 'other' ? refusals.inWords() : refusals.ruledOut()
    }
    return plan.sheet.causes?.some(one => one.id === cause) ? null : unknown('cause', cause)
  },
  // What is found or corrected later does not take it back: it was said of what was known then.
  live: (at, { payload }) => [...outOfReach(at, causeStep(at.plan)!.id), ...likelier(at, payload)],
  apply: (state, entry) => {
    // Neither is worse than the other: the first stands until somebody says it again, and both are named.
    state.cause = settled(state.cause ?? undefined, stamped(entry, state, entry.payload), entry, () => false)
  },
  words: (plan, { cause, why }) => `What it failed of: ${causeName(plan, cause)}${why ? `. ${why}` : ''}`,
}

/** Where it is to be learnt what it failed of, it is said before the parts that show it are dealt with. */
const unsaid: Source = ({ plan, state }) => {
  const step = causeStep(plan)
  return step && !state.cause
    ? [
        {
          id: { kind: 'cause' },
          station: step.station,
          what: 'What it failed of',
          why: 'What was found speaks for some causes and against others: say which it was',
          step: step.id,
          settle: { to: 'cause' },
        } satisfies Owing,
      ]
    : []
}

export const slice = () => ({ cause: null as Contested<Stamp & CauseSaid> | null })
export const acts = { 'cause.said': said }
export const owes = {
  cause: owedKind({
    by: {},
    words: () => 'What it failed of',
    never: () => 'say what it was; that none was found is an answer, too',
  }),
}
export const sources = [unsaid]

/** What is said of none of the sheet. */
const UNWEIGHED: Omit<WeighedCause, 'id' | 'say'> = {
  ...{ advice: '', score: 0, isSuspect: false, speaksFor: [], speaksAgainst: [], notKnown: [] },
}
const evidence = ({ what, known }: CauseEvidence) => `${what}: ${known}`

export const sections = {
  causes: section({
    title: 'What it failed of',
    in: 'decisions',
    rows: scene => {
      const { plan, state, system, by: signed, unseen } = scene
      const { cause: now } = state
      if (!now && !causeStep(plan)) return []
      const { suspects, others } = weighCauses(scene, system)
      // What was said is told first where nothing found speaks for it; of none of the sheet nothing speaks either way.
      const named = now && !suspects.some(one => one.id === now.cause) ? now.cause : null
      const own =
        named && (others.find(one => one.id === named) ?? { ...UNWEIGHED, id: named, say: causeName(plan, named) })
      return [...(own ? [own] : []), ...suspects].map(one => {
        const said = now?.cause === one.id ? now : null
        return {
          ...one,
          isSaid: said !== null,
          why: said?.why ?? '',
          unseen: said ? unseen(said, other => causeName(plan, other.cause)) : [],
          ...signed(said),
        }
      })
    },
    columns: [
      {
        head: 'Cause',
        width: 4,
        cell: row => ({
          text: row.isSaid ? `It was: ${inSentence(row.say)}` : row.say,
          small: [...(row.why ? [row.why] : []), ...(row.advice ? [row.advice] : []), ...row.unseen],
        }),
      },
      {
        head: 'Speaks for it',
        width: 5,
        cell: row => ({
          small: row.speaksFor.length ? row.speaksFor.map(evidence) : ['Nothing that was found'],
        }),
      },
      {
        head: 'Speaks against it',
        width: 5,
        cell: row => ({
          small: [...row.speaksAgainst.map(evidence), ...row.notKnown.map(what => `Not known: ${inSentence(what)}`)],
        }),
      },
      by(),
    ],
  }),
}
export const pads = { cause: {} } as const
