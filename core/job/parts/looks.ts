import {
  codesOf,
  OTHER,
  type CodeSetName,
  type FindingCode,
  type GradeNumber,
  type Proposed,
} from '../../looks/codes.ts'
import { clockText } from '../../marks/index.ts'
import { viewWords, type Decision, type Part, type PartKind, type Plan, type Ref } from '../../sheet/index.ts'
import { worstVerdict, type Verdict } from '../../verdict.ts'
import type { Payloads } from '../ledger/entry.ts'
import { changedAt } from '../ledger/part.ts'
import type { Contested } from '../ledger/seen.ts'
import type { JobState, Stamp } from '../ledger/state.ts'

/** What is seen on parts: for a look of the sheet, or in passing. */

/** A part that was looked at, and what was found on it; nothing where it is clean. */
export type Looked = Stamp & Payloads['part.looked']
/** One thing that was found. */
export type Finding = Looked['findings'][number]

/** What a part shows by its kind, where the sheet does not say what to look for. */
const BY_KIND: Partial<Record<PartKind, CodeSetName>> = {
  'shaft': 'journal',
  'rod': 'journal',
  'sleeve': 'journal',
  'housing': 'housing fit',
  'face': 'seal face',
  'soft ring': 'soft ring',
  'lip seal': 'lip seal',
  'gear': 'gear tooth',
  'piston': 'piston',
  'plate': 'joint face',
  'valve': 'valve',
  'winding': 'winding',
  'screw': 'bolt',
  'nut': 'bolt',
  'fastener': 'bolt',
  'element': 'coupling element',
  'bearing': 'rolling track',
  'spring': 'spring',
  'impeller': 'impeller',
}
const surfaceOf = ({ kind, rolls }: Part): CodeSetName =>
  rolls === 'none' ? 'sleeve lining' : (BY_KIND[kind] ?? 'any part')

/** What may be found on a part: for a look of the sheet, else by what it is. */
export function codesFor(plan: Plan, ref: Ref, look?: string): { set: CodeSetName; codes: readonly FindingCode[] } {
  const asked = look === undefined ? undefined : plan.looks.get(look)
  const set = asked?.codes ?? surfaceOf(plan.parts.get(ref)!.part)
  return { set, codes: codesOf(set, asked?.also) }
}

/** The code of a finding; one of another sheet is told in its own words. */
export const codeOf = (plan: Plan, { part, look }: Pick<Looked, 'part' | 'look'>, { code }: Finding): FindingCode =>
  (plan.parts.has(part) ? codesFor(plan, part, look).codes.find(one => one.id === code) : undefined) ?? {
    ...OTHER,
    say: code,
  }

/** How bad a grade of a code is: what wants a new part is out, and so is what at its worst wants work. */
export function verdictOf({ grades }: FindingCode, grade: GradeNumber): Verdict {
  const { proposes } = grades[grade - 1]!
  if (proposes === 'renew' || (proposes === 'rework' && grade === 3)) return 'Out'
  return proposes === 'reuse' ? 'Holds' : 'Thin'
}

const isGrade = (n: number): n is GradeNumber => n === 1 || n === 2 || n === 3
const gradeOf = ({ grade }: Finding): GradeNumber => (isGrade(grade) ? grade : 3)

/** How a finding stands, and what it proposes. */
export function judgedFinding(
  plan: Plan,
  looked: Pick<Looked, 'part' | 'look'>,
  finding: Finding,
): { verdict: Verdict; proposes: Proposed } {
  const code = codeOf(plan, looked, finding)
  const grade = gradeOf(finding)
  return { verdict: verdictOf(code, grade), proposes: code.grades[grade - 1]!.proposes }
}

/** How a part stands by what was found on it; a clean one holds. */
export const verdictOfLooked = (plan: Plan, looked: Pick<Looked, 'part' | 'look' | 'findings'>): Verdict =>
  looked.findings.length ? worstVerdict(looked.findings.map(one => judgedFinding(plan, looked, one).verdict)) : 'Holds'

/** Where something was seen on a part, in words: at an hour, or from hour to hour clockwise. Empty where it was not said. */
export const whereText = ({ deg, toDeg }: Pick<Finding, 'deg' | 'toDeg'>, seenFrom?: string): string =>
  deg === undefined
    ? ''
    : [
        toDeg === undefined ? `at ${clockText(deg)}` : `from ${clockText(deg)} round to ${clockText(toDeg)}`,
        ...(seenFrom === undefined ? [] : [`seen from ${viewWords(seenFrom)}`]),
      ].join(' ')

/** A finding in words: what it is, how bad, where and on which face, and what was noted of it. */
export function findingText(plan: Plan, looked: Pick<Looked, 'part' | 'look' | 'seenFrom'>, finding: Finding): string {
  const code = codeOf(plan, looked, finding)
  const grade = code.grades[gradeOf(finding) - 1]!.say
  const { zone, face, note } = finding
  const what = finding.code === OTHER.id ? `${note} (${grade})` : `${code.say}, ${grade}`
  const where = [face, zone, whereText(finding, looked.seenFrom)].filter(Boolean)
  return [what, ...where, ...(note && finding.code !== OTHER.id ? [note] : [])].join(', ')
}

/** What was found on a part, in one line. */
export const lookedText = (plan: Plan, looked: Pick<Looked, 'part' | 'look' | 'seenFrom' | 'findings'>): string =>
  looked.findings.length
    ? looked.findings.map(one => findingText(plan, looked, one)).join('; ')
    : 'clean, nothing found'

/** A look at a part, as one text for maps: of the sheet's looks the newest stands, what is seen in passing stands beside it. */
export const lookKey = (part: Ref, look: string): string => `${part} ${look}`

/** What was found on the part as it is now: what was seen of it before it was renewed or came back is history. */
export const looksAt = (state: JobState, ref: Ref): Contested<Looked>[] => {
  const changed = changedAt(state, [ref])
  return [...state.looks.values()].filter(one => one.part === ref && one.n > changed)
}

/** What was found first, look by look, as parts came off: what was seen of them after rework or renewal says nothing of that. */
export function foundOff({ pastLooks, looks }: Pick<JobState, 'pastLooks' | 'looks'>): Contested<Looked>[] {
  const seen = new Set<string>()
  return [...pastLooks, ...looks.values()].filter(({ part, look, entry }) => {
    const key = lookKey(part, look ?? entry)
    return !seen.has(key) && Boolean(seen.add(key))
  })
}

/** What stands of a look of the sheet at a part as it is now; undefined where nobody has looked at it yet. */
export function standingLook(state: JobState, look: string, ref: Ref): Contested<Looked> | undefined {
  const looked = state.looks.get(lookKey(ref, look))
  return looked && looked.n > changedAt(state, [ref]) ? looked : undefined
}

/** Every finding on a part as it is now. */
export const findingsOn = (plan: Plan, state: JobState, ref: Ref) =>
  looksAt(state, ref).flatMap(looked =>
    looked.findings.map(finding => ({
      looked,
      finding,
      text: findingText(plan, looked, finding),
      ...judgedFinding(plan, looked, finding),
    })),
  )

/** What was found on a part that is left to a lead; null where nothing is. */
export const leftToLead = (plan: Plan, state: JobState, ref: Ref): string | null =>
  findingsOn(plan, state, ref).find(one => one.proposes === 'ask')?.text ?? null

/** What a finding proposes for its part; nothing where it is left to a lead. */
export const decisionOf = (proposes: Proposed): Decision | null => (proposes === 'ask' ? null : proposes)
