import { worstVerdict } from '../../verdict.ts'
import {
  isDecided,
  readingKey,
  type Check,
  type Decision,
  type Moment,
  type PartPlace,
  type Plan,
  type Ref,
} from '../../sheet/index.ts'
import { inSentence } from '../../sums/read.ts'
import { isRead, showFigure, type Cell, type CheckResult } from '../measuring/index.ts'
import type { Payloads } from '../ledger/entry.ts'
import { partState } from '../ledger/part.ts'
import type { JobState } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import { decisionOf, findingsOn, leftToLead, looksAt } from './looks.ts'
import { strangeFinds } from './origins.ts'

/** What becomes of the parts that are off: what readings and findings propose, part by part. */

type Results = ReadonlyMap<string, CheckResult>

/** What is proposed for a part, and what speaks for it. */
export interface Proposal {
  choice: Decision
  /** What was found, as sentences without a full stop; empty where it was looked at and nothing was. */
  because: string[]
  /** The checks that found it out. */
  checks: string[]
}

/** Something that was found of a part; no choice where it may be of another as well. */
interface Finding {
  part: Ref
  choice: Decision | null
  because: string
  check?: string
}

/** Choices by how little of the part is trusted. */
export const WORSE: readonly Decision[] = ['reuse', 'rework', 'send out', 'renew']

/** The moments at which a part is read off the machine, the newest first. */
const OFF: readonly Moment[] = ['build', 'inspect']

/** What a check says of one of its parts alone: of its own places, where some tell of it and not of the others; else the whole. */
export function resultOf(
  result: CheckResult,
  ref: Ref,
): Pick<CheckResult, 'check' | 'value' | 'span' | 'scatter' | 'judgement'> {
  const { check, places } = result
  const own = [...places.values()].filter(({ cell }) => cell.of !== check.of && cell.of.includes(ref))
  const verdict = worstVerdict(own.map(one => one.judgement.verdict))
  const worst = own.find(one => one.judgement.verdict === verdict)
  if (!worst) return result
  return { check, value: valueAt(result, worst.cell), span: null, scatter: null, judgement: worst.judgement }
}

function valueAt({ worked: { answer } }: CheckResult, { key }: Cell): number | null {
  const value = answer?.ok ? answer.value.figures.find(one => one.at === key)?.value : undefined
  return typeof value === 'number' ? value : null
}

/** The part that something tells of: the foremost; null where others of its kind may be meant as well. */
function tellsOf({ parts }: Plan, of: readonly Ref[]): Ref | null {
  const [first] = of
  const kind = parts.get(first!)?.part.id
  return of.some((ref, i) => i > 0 && parts.get(ref)?.part.id === kind) ? null : (first ?? null)
}

/** What is proposed for a part that a check found out: as the sheet says; else it is put right where a step mends it, or renewed. */
const proposedBy = ({ sheet }: Plan, { id, choices, proposes }: Check, value: number | null): Decision =>
  (value === null ? undefined : choices?.[value]?.proposes) ??
  proposes ??
  (sheet.steps.some(step => step.mends?.includes(id)) ? 'reuse' : 'renew')

/** What one place of a check that is out, or the check as a whole, finds. */
function foundBy(plan: Plan, result: CheckResult, of: readonly Ref[], cell?: Cell): Finding[] {
  const { check, value, span } = result
  const own = cell ? valueAt(result, cell) : value
  const { figure, unit } = own === null || (span && !cell) ? { figure: '', unit: '' } : showFigure(own, check)
  const read = figure ? `: ${figure}${unit ? ` ${unit}` : ''}` : ' failed'
  const because = `${[check.title, cell?.name].filter(Boolean).join(', ')}${read}`
  const part = tellsOf(plan, of)
  return part === null
    ? of.map(one => ({ part: one, choice: null, because: `${because}. Which of them is it?`, check: check.id }))
    : [{ part, choice: proposedBy(plan, check, own), because, check: check.id }]
}

/** What a check found of parts that are off: place by place, each as it was read last. */
function findingsOf(plan: Plan, results: Results, check: Check): Finding[] {
  if (check.evidence) return []
  const read = OFF.flatMap(moment => results.get(readingKey(check.id, moment)) ?? [])
  const seen = new Set<string>()
  return read.flatMap((result): Finding[] => {
    const { places, past, judgement, history } = result
    if (places.size)
      return [...places.values()]
        .filter(({ cell }) => !seen.has(cell.key) && !past.has(cell.key) && Boolean(seen.add(cell.key)))
        .filter(one => one.judgement.verdict === 'Out')
        .flatMap(({ cell }) => foundBy(plan, result, cell.of, cell))
    if (seen.size || judgement.verdict === 'Open' || history) return []
    seen.add('')
    // What tells of parts one by one, and is judged as a whole, does not say which.
    const told = [...new Set(result.worked.cells.flatMap(cell => cell.of))]
    return judgement.verdict === 'Out' ? foundBy(plan, result, told.length ? told : check.of) : []
  })
}

/** Whether a part was looked at: measured, or something written of it. Nobody decides for what nobody looked at. */
const isLookedAt = (plan: Plan, state: JobState, results: Results, ref: Ref): boolean =>
  looksAt(state, ref).length > 0 ||
  plan.sheet.checks.some(check => {
    const result = results.get(readingKey(check.id, 'inspect'))
    if (!isRead(result)) return false
    const { worked, read } = result
    return worked.cells.length
      ? worked.cells.some(cell => cell.of[0] === ref && read.has(cell.key))
      : check.of[0] === ref
  })

/** A part that is off and was decided, where something had been found of it, or it was decided against what was proposed. */
interface Judged {
  part: Ref
  name: string
  choice: Decision
  found: string
  why: string
  /** What was proposed instead; null where that is what was decided. */
  against: Decision | null
  /** What was found is for a lead to say of, and it is to go back. */
  isAsked: boolean
}

const isOdd = ({ against, isAsked }: Judged) => against !== null || isAsked

/** What a lead signs for once every part is decided: what was found, what was decided about it, and why where that is odd. Odd ones first. */
function judgedParts(plan: Plan, state: JobState): Judged[] {
  return [...plan.parts.values()]
    .flatMap(({ ref, name }): Judged[] => {
      const { where, decision } = partState(state, ref)
      if (where !== 'off' || !decision) return []
      const { choice, proposed, why = '' } = decision
      const against = proposed !== undefined && proposed !== choice ? proposed : null
      const left = choice === 'reuse' ? leftToLead(plan, state, ref) : null
      const found = [decision.found, left].filter(Boolean).join('; ')
      return found || against ? [{ part: ref, name, choice, found, why, against, isAsked: left !== null }] : []
    })
    .sort((a, b) => Number(isOdd(b)) - Number(isOdd(a)))
}

/** Parts that are off and nobody has decided yet; what is always new decides itself. */
export const undecided = (plan: Plan, state: JobState): PartPlace[] =>
  [...plan.parts.values()].filter(({ ref, part }) => {
    const { where, decision } = partState(state, ref)
    return where === 'off' && isDecided(part) && !decision
  })

/** One line of what is signed for where parts are decided. No full stop at the end of any of it. */
export interface SignedLine {
  what: string
  why: string
  found: string
  /** Decided against what was proposed, or found where it has no business. */
  isOdd: boolean
}

/** What a lead signs for where parts are decided, odd ones first. Empty until every part is. */
export function signedFor(plan: Plan, state: JobState): SignedLine[] {
  if (undecided(plan, state).length) return []
  const finds = strangeFinds(plan, state).map(({ step, word, from }) => ({
    what: `${word[0]!.toUpperCase()}${word.slice(1)}, found at: ${step.title}`,
    why: from ?? 'Not said where it came from',
    found: '',
    isOdd: true,
  }))
  const parts = judgedParts(plan, state).map(one => ({
    what: `${one.name}: ${one.choice}${one.against ? `, where ${one.against} was proposed` : ''}`,
    why: one.why,
    found: one.found,
    isOdd: isOdd(one),
  }))
  return [...finds, ...parts]
}

/** What was found of a part, one line a check however many of its places are out. */
function inFew(found: readonly Finding[]): string[] {
  const isSame = (one: Finding, other: Finding) => one.check !== undefined && one.check === other.check
  return found
    .filter((one, i) => found.findIndex(other => other === one || isSame(other, one)) === i)
    .map(one => {
      const more = found.filter(other => other !== one && isSame(other, one)).length
      return more ? `${one.because} and ${more} ${more > 1 ? 'places' : 'place'} more` : one.because
    })
}

const KNOWN = new WeakMap<JobState, { results: Results; proposals: ReadonlyMap<Ref, Proposal> }>()

/**
 * What is proposed for every part that is off and is not new by rule. A part has no proposal where nobody looked at it, and
 * where what was found may be of another as well.
 */
export function proposalsOf(plan: Plan, state: JobState, results: Results): ReadonlyMap<Ref, Proposal> {
  const known = KNOWN.get(state)
  if (known?.results === results) return known.proposals
  const proposals = proposedAfresh(plan, state, results)
  KNOWN.set(state, { results, proposals })
  return proposals
}

function proposedAfresh(plan: Plan, state: JobState, results: Results): Map<Ref, Proposal> {
  const off = [...plan.parts.values()].filter(
    ({ ref, part }) => part.renewal !== 'always' && partState(state, ref).where === 'off',
  )
  const noted = off.flatMap(({ ref }) =>
    findingsOn(plan, state, ref).map(({ proposes, text }): Finding => ({
      part: ref,
      choice: decisionOf(proposes),
      because: text,
    })),
  )
  const found = [...plan.sheet.checks.flatMap(check => findingsOf(plan, results, check)), ...noted]
  const isRenewed = (ref: Ref) => {
    const { decision } = partState(state, ref)
    return decision ? decision.choice === 'renew' : found.some(one => one.part === ref && one.choice === 'renew')
  }
  const partners = (plan.sheet.sets ?? []).flatMap(({ of, why }) =>
    of.flatMap((part): Finding[] => {
      const other = of.find(ref => ref !== part && isRenewed(ref))
      if (other === undefined) return []
      const because = `Renewed with ${inSentence(partName(plan, other))}: ${inSentence(why)}`
      return [{ part, choice: 'renew', because }]
    }),
  )
  const all = [...found, ...partners]
  return new Map(
    off.flatMap(({ ref }): [Ref, Proposal][] => {
      const own = all.filter(one => one.part === ref)
      const choices = own.flatMap(one => one.choice ?? [])
      const choice = choices.sort((a, b) => WORSE.indexOf(b) - WORSE.indexOf(a))[0]
      // What is for a lead to say of, or may be of another part, proposes nothing; only what is worse does.
      const isUnclear = own.some(one => one.choice === null) && (choice === undefined || choice === 'reuse')
      if (isUnclear || (choice === undefined && !isLookedAt(plan, state, results, ref))) return []
      return [
        [
          ref,
          {
            choice: choice ?? 'reuse',
            because: inFew(own.filter(one => one.choice !== null)),
            checks: [...new Set(own.flatMap(one => one.check ?? []))],
          },
        ],
      ]
    }),
  )
}

/** A decision about parts of which the same is proposed, as its act says it: with what was proposed, and what had been found. */
export const decidedWith = (
  parts: readonly Ref[],
  choice: Decision,
  proposal: Proposal | undefined,
  why?: string,
): Payloads['part.decided'] => ({
  parts,
  choice,
  ...(why ? { why } : {}),
  ...(proposal ? { proposed: proposal.choice } : {}),
  ...(proposal?.because.length ? { found: proposal.because.join('; ').slice(0, 400) } : {}),
})
