import { clockText } from '../marks/index.ts'
import { compareFoundLeft } from '../gauging/index.ts'
import { fixed, type LengthSystem } from '../quantity/index.ts'
import { MOMENTS, STATIONS, type Check, type Moment, type Plan, type Station } from '../sheet/index.ts'
import type { Verdict, WorkingLine } from '../verdict.ts'
import type { AnyEntry } from './entries.ts'
import { fold } from './fold.ts'
import { progressOf } from './joints.ts'
import { showLimits, showValue } from './show.ts'
import { partState, readingKey, type JobState } from './state.ts'
import { viewJob } from './view.ts'

export const MOMENT_WORDS: Record<Moment, string> = {
  asFound: 'as found',
  inspect: 'at inspection',
  build: 'at build',
  asLeft: 'as left',
}
export const STATION_WORDS: Record<Station, string> = {
  'make-safe': 'Make safe',
  'as-found': 'As found',
  'strip': 'Strip',
  'clean': 'Clean',
  'inspect': 'Inspect',
  'decide': 'Decide',
  'build': 'Build',
  'prove': 'Prove',
}

export interface RecordedReading {
  title: string
  moment: string
  value: string
  limits: string
  source: string
  verdict: Verdict
  consequence: string | null
  working: WorkingLine[]
  who: string
  when: string
}

/** A job as it is handed over and printed: everything that was done, found, measured and decided, by whom and when. */
export interface JobRecord {
  title: string
  notice: string
  complaint: string
  signed: { who: string; when: string; cured: string; cause: string } | null
  compared: { title: string; found: string; left: string; change: string; moved: string }[]
  readings: RecordedReading[]
  parts: {
    item: number
    name: string
    cameOff: string
    kept: string
    decision: string
    wentBack: string
    who: string
    when: string
  }[]
  marks: { title: string; where: string; carrier: string; met: string; who: string; when: string }[]
  joints: { title: string; wanted: string; torques: string; verdict: Verdict }[]
  steps: { station: string; title: string; who: string; when: string; skipped: string | null }[]
  findings: { part: string; finding: string; where: string; who: string; when: string }[]
  concessions: { what: string; why: string; who: string; when: string }[]
  lost: { what: string; why: string; who: string; when: string }[]
  corrections: { what: string; why: string; who: string; when: string }[]
  notes: { text: string; who: string; when: string }[]
}

function takenBy(state: JobState, check: Check, moment: Moment): { by: string; at: string } {
  const sources = check.of ? [check.of.outer, check.of.inner] : [check.id]
  const cells = sources.flatMap(id =>
    MOMENTS.slice(0, MOMENTS.indexOf(moment) + 1).flatMap(one => [
      ...(state.readings.get(readingKey(id, one))?.values() ?? []),
    ]),
  )
  return cells.sort((a, b) => a.at.localeCompare(b.at)).at(-1) ?? { by: '', at: '' }
}

export function recordOf(
  plan: Plan,
  entries: readonly AnyEntry[],
  names: ReadonlyMap<string, string>,
  system: LengthSystem = 'mm',
): JobRecord {
  const state = fold(plan, entries)
  const { results } = viewJob(plan, state)
  const who = (id: string) => names.get(id) ?? 'somebody no longer here'
  const act = (one: { by: string; at: string }) => ({ who: one.by ? who(one.by) : '', when: one.at })
  const measured = [...results.values()].filter(one => one.value !== null)
  return {
    title: plan.sheet.title,
    notice: plan.sheet.notice,
    complaint: state.opened?.payload.complaint ?? '',
    signed: state.signed && {
      ...act({ by: state.signed.madeBy, at: state.signed.madeAt }),
      cured: state.signed.payload.cured,
      cause: state.signed.payload.cause ?? '',
    },
    compared: plan.sheet.checks.flatMap(check => {
      const found = results.get(readingKey(check.id, 'asFound'))
      const left = results.get(readingKey(check.id, 'asLeft'))
      if (!found || !left || found.value === null || left.value === null) return []
      const { change, moved } = compareFoundLeft(found.value, left.value, check.limits)
      return [
        {
          title: check.title,
          found: showValue(check, found, system),
          left: showValue(check, left, system),
          change: `${change > 0 ? '+' : ''}${showValue(check, { value: change, span: null }, system)}`,
          moved,
        },
      ]
    }),
    readings: measured.map(result => ({
      title: result.check.title,
      moment: MOMENT_WORDS[result.moment],
      value: showValue(result.check, result, system),
      limits: showLimits(result.check, system),
      source: result.check.source,
      verdict: result.judgement.verdict,
      consequence: result.consequence,
      working: result.working,
      ...act(takenBy(state, result.check, result.moment)),
    })),
    parts: [...plan.parts.values()]
      .filter(one => state.parts.has(one.ref))
      .map(({ ref, part, name }) => {
        const now = partState(state, ref)
        const decision = now.decision?.choice ?? (part.renewal === 'always' ? 'always new' : 'none')
        return {
          item: part.item,
          name,
          cameOff: now.order ? String(now.order) : '',
          kept: now.kept ? `${now.kept.as} ${now.kept.label}` : '',
          decision: now.decision?.why ? `${decision}: ${now.decision.why}` : decision,
          wentBack: now.fitted ? (now.fitted.as === 'new' ? `new, from ${now.renewed?.from}` : 'same') : 'still off',
          ...act(now.fitted ?? now.lifted ?? { by: '', at: '' }),
        }
      }),
    marks: [...state.marks].map(([id, mark]) => {
      const mate = plan.mates.get(id)!
      const answers = [...state.parts.values()].flatMap(
        part => part.fitted?.answers.filter(answer => answer.mate === id) ?? [],
      )
      return {
        title: mate.title,
        where: `${clockText(mark.deg)} seen from the ${mark.seenFrom}`,
        carrier: mark.carrier,
        met: answers.length ? (answers.every(one => one.met) ? 'met' : 'not met') : 'not refitted',
        ...act(mark),
      }
    }),
    joints: plan.sheet.joints
      .filter(joint => state.joints.get(joint.id)?.passes.length)
      .map(joint => {
        const { wanted, pulled, verdict } = progressOf(joint, state)
        return {
          title: joint.title,
          wanted: `${fixed(wanted.targetNm, 0)} N·m, ${fixed(wanted.leastNm, 0)} to ${fixed(wanted.mostNm, 0)}, ${joint.pattern}, ${joint.passes.length} passes`,
          torques: [...pulled]
            .sort((a, b) => a.bolt - b.bolt)
            .map(one => `${one.bolt}: ${fixed(one.torqueNm, 1)}`)
            .join(', '),
          verdict,
        }
      }),
    steps: STATIONS.flatMap(station =>
      plan.sheet.steps
        .filter(step => step.station === station && state.steps.has(step.id))
        .map(step => {
          const done = state.steps.get(step.id)!
          return { station: STATION_WORDS[station], title: step.title, skipped: done.skipped ?? null, ...act(done) }
        }),
    ),
    findings: state.observations.map(one => ({
      part: plan.parts.get(one.part)?.name ?? one.part,
      finding: `${one.finding} (${one.severity})`,
      where: one.deg === undefined ? '' : `${clockText(one.deg)} seen from the ${one.seenFrom}`,
      ...act(one),
    })),
    concessions: [...state.concessions].map(([what, one]) => ({
      what: concessionName(plan, what),
      why: one.why,
      ...act(one),
    })),
    lost: [...state.evidenceLost].map(([what, one]) => ({ what: lostName(plan, what), why: one.why, ...act(one) })),
    corrections: entries.flatMap(entry =>
      entry.kind === 'entry.corrected'
        ? [
            {
              what: entryWords(
                plan,
                entries.find(one => one.id === entry.payload.target),
              ),
              why: entry.payload.why,
              ...act({ by: entry.madeBy, at: entry.madeAt }),
            },
          ]
        : [],
    ),
    notes: state.notes.map(one => ({ text: one.text, ...act(one) })),
  }
}

function concessionName(plan: Plan, obligation: string): string {
  const [kind, id = '', moment] = obligation.split(' ')
  const named =
    plan.checks.get(id)?.title ??
    plan.parts.get(id)?.name ??
    plan.mates.get(id)?.title ??
    plan.steps.get(id)?.title ??
    plan.joints.get(id)?.title ??
    id
  return [`${named}: ${kind}`, moment && moment in MOMENT_WORDS ? MOMENT_WORDS[moment as Moment] : '']
    .filter(Boolean)
    .join(' ')
}

function lostName(plan: Plan, key: string): string {
  const [kind, id = '', moment] = key.split(' ')
  return kind === 'mark'
    ? (plan.mates.get(id)?.title ?? id)
    : `${plan.checks.get(id)?.title ?? id}, ${MOMENT_WORDS[moment as Moment]}`
}

/** One line on an entry, for lists of what was done. */
export function entryWords(plan: Plan, entry: AnyEntry | undefined): string {
  if (!entry) return 'an entry'
  const part = (ref: string) => plan.parts.get(ref)?.name ?? ref
  const parts = (refs: string[]) =>
    refs.length > 2 ? `${part(refs[0]!)} and ${refs.length - 1} more` : refs.map(part).join(' and ')
  const step = (id: string) => plan.steps.get(id)?.title ?? id
  switch (entry.kind) {
    case 'reading.taken':
      return [
        `${plan.checks.get(entry.payload.check)?.title ?? entry.payload.check}, ${MOMENT_WORDS[entry.payload.moment]}`,
        entry.payload.station,
        entry.payload.plane && `plane ${entry.payload.plane}`,
      ]
        .filter(Boolean)
        .join(', ')
    case 'step.done':
      return `Done: ${step(entry.payload.step)}`
    case 'step.skipped':
      return `Left out: ${step(entry.payload.step)}`
    case 'caution.read':
      return `Caution read: ${plan.steps.get(entry.payload.step)?.cautions?.[entry.payload.caution]?.word ?? ''}`
    case 'mark.made':
      return `Mark: ${plan.mates.get(entry.payload.mate)?.title ?? entry.payload.mate}`
    case 'part.lifted':
      return `Off: ${parts(entry.payload.parts)}`
    case 'part.bagged':
      return `Bag ${entry.payload.bag}: ${parts(entry.payload.parts)}`
    case 'part.tagged':
      return `Tag ${entry.payload.tag}: ${parts(entry.payload.parts)}`
    case 'part.observed':
      return `${part(entry.payload.part)}: ${entry.payload.finding}`
    case 'part.decided':
      return `${entry.payload.choice}: ${parts(entry.payload.parts)}`
    case 'part.renewed':
      return `New: ${part(entry.payload.part)}`
    case 'part.refitted':
      return `Fitted: ${part(entry.payload.part)}`
    case 'bolt.pulled':
      return `${plan.joints.get(entry.payload.joint)?.title ?? ''}, bolt ${entry.payload.bolt}: ${entry.payload.text}`
    case 'joint.slackened':
      return `Slackened: ${plan.joints.get(entry.payload.joint)?.title ?? ''}`
    case 'hold.signed':
      return `Hold point: ${step(entry.payload.step)}`
    case 'concession.given':
      return `Concession: ${concessionName(plan, entry.payload.obligation)}`
    case 'evidence.lost':
      return 'Evidence lost'
    case 'note.written':
    case 'addendum.written':
      return `Note: ${entry.payload.text.slice(0, 60)}`
    case 'entry.corrected':
      return 'A correction'
    case 'job.signed':
      return 'Signed'
    case 'job.opened':
      return 'Job opened'
    default:
      return 'An act of a newer version'
  }
}
