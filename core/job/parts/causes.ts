import type { LengthSystem } from '../../quantity/index.ts'
import { readingKey, type CauseSign, type FailureCause, type Plan, type Step } from '../../sheet/index.ts'
import { isRead, type CheckResult } from '../measuring/results.ts'
import { showValue } from '../measuring/show.ts'
import { partName } from '../ledger/words.ts'
import type { Scene, Settle } from '../owed/owing.ts'
import { findingText, foundOff } from './looks.ts'
import { reportedSigns } from './signs.ts'

/** What it failed of: the causes of the sheet, weighed by what was found. */

/** One thing that was found, or was not, and speaks for a cause or against it. */
export interface CauseEvidence {
  /** What it is of: a check, a look at a part, what was reported. */
  what: string
  /** What was found of it. */
  known: string
  /** How much it speaks for the cause; below nothing, against it. */
  weighs: number
  settle: Settle
}

/** A cause with what speaks for it and against it, and what would tell and is not known. */
export interface WeighedCause {
  id: string
  say: string
  advice: string
  score: number
  /** Something wrong was found that speaks for it. */
  isSuspect: boolean
  speaksFor: CauseEvidence[]
  speaksAgainst: CauseEvidence[]
  notKnown: string[]
}

/** The step at which it is said what it failed of; undefined where nobody asks. */
export const causeStep = ({ sheet }: Plan): Step | undefined => sheet.steps.find(one => one.saysCause)

/** How a check was found before anything was renewed: as it came in, else as it was measured off the machine. */
const foundResult = (results: Scene['results'], check: string): CheckResult | undefined =>
  (['asFound', 'inspect'] as const).map(moment => results.get(readingKey(check, moment))).find(isRead)

const answerOf = ({ check, value }: CheckResult): string | undefined =>
  value === null ? undefined : check.choices?.[value]?.say

/** Whether what was read of a check is what a sign is of. A side counts once the figure is near its limit there, or out. */
function isSo(result: CheckResult, { answers, side, clean }: CauseSign): boolean {
  const { verdict, side: on } = result.judgement
  if (answers) return answers.includes(answerOf(result) ?? '')
  return clean ? verdict === 'Holds' : (verdict === 'Thin' || verdict === 'Out') && on === side
}

/** What a sign comes to: what was found of it; null where it was looked at and is not so, undefined where nobody knows. */
type Told = CauseEvidence[] | null | undefined

function toldByCheck({ plan, results }: Scene, sign: CauseSign, system: LengthSystem): Told {
  const check = plan.checks.get(sign.check!)!
  const result = foundResult(results, check.id)
  if (!result) return undefined
  const settle: Settle = { to: 'reading', check: check.id, moment: result.moment }
  return isSo(result, sign)
    ? [{ what: check.title, known: showValue(result.check, result, system), weighs: sign.weighs, settle }]
    : null
}

/** Of a look, clean only where every part that is meant was looked at and nothing was found. */
function toldByLook({ plan, state }: Scene, { look, of, codes = [], grade: least, clean, weighs }: CauseSign): Told {
  const { id, title, of: all } = plan.looks.get(look!)!
  const parts = of ?? all
  const seen = foundOff(state).filter(one => one.look === id && parts.includes(one.part))
  const evidence = (part: string, known: string): CauseEvidence => ({
    ...{ what: `${title}: ${partName(plan, part)}`, known, weighs },
    settle: { to: 'look', part, look: id },
  })
  if (clean) {
    if (seen.length < parts.length) return undefined
    return seen.every(one => !one.findings.length) ? seen.map(one => evidence(one.part, 'clean')) : null
  }
  const found = seen.flatMap(one =>
    one.findings
      .filter(({ code, grade }) => codes.includes(code) && grade >= (least ?? 1))
      .map(finding => evidence(one.part, findingText(plan, one, finding))),
  )
  if (found.length) return found
  return seen.length < parts.length ? undefined : null
}

/** A complaint that was not reported says nothing: nobody may have stood beside it. */
function toldByComplaint({ plan, state }: Scene, { reported, weighs }: CauseSign): Told {
  const sign = reportedSigns(plan, state).find(one => one.id === reported)
  return sign ? [{ what: 'Reported', known: sign.say, weighs, settle: { to: 'signs' } }] : null
}

const told = (scene: Scene, sign: CauseSign, system: LengthSystem): Told =>
  sign.check !== undefined
    ? toldByCheck(scene, sign, system)
    : sign.look !== undefined
      ? toldByLook(scene, sign)
      : toldByComplaint(scene, sign)

const nameOf = ({ checks, looks }: Plan, { check, look }: CauseSign): string =>
  (check === undefined ? looks.get(look!)?.title : checks.get(check)?.title) ?? ''

function weighed(scene: Scene, { id, say, advice, signs }: FailureCause, system: LengthSystem): WeighedCause {
  const all = signs.map(sign => ({ sign, found: told(scene, sign, system) }))
  const known = all.flatMap(({ sign, found }) => (found ? [{ sign, found }] : []))
  const unknown = all.filter(one => one.found === undefined).map(one => nameOf(scene.plan, one.sign))
  return {
    ...{ id, say, advice },
    // However many parts show it, a sign weighs once.
    score: known.reduce((sum, { sign }) => sum + sign.weighs, 0),
    // What is sound tells between causes, and is no sign of one.
    isSuspect: known.some(({ sign }) => sign.weighs > 0 && !sign.clean),
    speaksFor: known.filter(one => one.sign.weighs > 0).flatMap(one => one.found),
    speaksAgainst: known.filter(one => one.sign.weighs < 0).flatMap(one => one.found),
    notKnown: [...new Set(unknown)],
  }
}

/** The causes of the sheet, those that something wrong speaks for first; of them what speaks for them most. */
export interface WeighedCauses {
  suspects: WeighedCause[]
  /** Nothing that was found speaks for them: they may still be named. */
  others: WeighedCause[]
}

/**
 * The causes of the sheet, weighed by what was found; equal ones stay in the order of the sheet. It advises: a person says
 * what it was.
 */
export function weighCauses(scene: Scene, system: LengthSystem = 'mm'): WeighedCauses {
  const all = (scene.plan.sheet.causes ?? []).map(cause => weighed(scene, cause, system))
  return {
    suspects: all.filter(one => one.isSuspect).sort((a, b) => b.score - a.score),
    others: all.filter(one => !one.isSuspect),
  }
}

/** The cause that more speaks for than for the one that is named; null where none is likelier, or none of the sheet is named. */
export function likelierThan({ suspects, others }: WeighedCauses, cause: string): WeighedCause | null {
  const named = [...suspects, ...others].find(one => one.id === cause)
  const [first] = suspects
  return first && named && (!named.isSuspect || named.score < first.score) ? first : null
}
