import { clockText } from '../../marks/index.ts'
import { compareFoundLeft } from '../../gauging/index.ts'
import { fixed, type LengthSystem } from '../../quantity/index.ts'
import { placesOf, STATIONS, viewWords, type Plan } from '../../sheet/index.ts'
import type { Verdict, WorkingLine } from '../../verdict.ts'
import { actOf } from '../acts/index.ts'
import { rootOf } from '../ledger/corrections.ts'
import { clockOf, timeOf, type AnyEntry, type Payloads } from '../ledger/entry.ts'
import { fold } from '../fold.ts'
import { newestOf } from '../measuring/results.ts'
import { competenceWords } from '../ledger/competence.ts'
import { basisOf } from '../owed/basis.ts'
import { isSame } from '../ledger/same.ts'
import { holdStands } from '../parts/holds.ts'
import { drawingText, isLocked, progressOf, pullText } from '../parts/joints.ts'
import { roundsOf, type RoundGoal } from '../parts/rounds.ts'
import { answerText, markOf, markText, mateMet } from '../parts/mates.ts'
import { owedOf, owedWords } from '../owed/index.ts'
import type { Role } from '../ledger/roles.ts'
import { unitOf } from '../measuring/cells.ts'
import { showLimits, showTyped, showValue } from '../measuring/show.ts'
import { allSaid, type Contested } from '../ledger/seen.ts'
import { cautionKey, NO_JOINT, partState, readingKey, type Stamp } from '../ledger/state.ts'
import { leftOut, planIn } from '../switching.ts'
import { viewJob } from '../view.ts'
import { isOwnWork } from '../acts/concession-given.ts'
import { lostOf } from '../acts/evidence-lost.ts'
import {
  itemName,
  choiceName,
  kitWords,
  mateName,
  MOMENT_WORDS,
  partName,
  stepName,
  STATION_WORDS,
} from '../ledger/words.ts'

/** Who did something, in which role and when; `clock` says where the time they gave is not the one shown. */
export interface Signed {
  who: string
  role: Role | ''
  when: string
  clock: '' | 'late' | 'ahead'
}

export interface RecordedReading extends Signed {
  title: string
  moment: string
  value: string
  limits: string
  source: string
  verdict: Verdict
  consequence: string | null
  working: WorkingLine[]
  history: boolean
  /** Why it does not count. */
  again: string | null
  /** What two tablets read without having seen each other. */
  unseen: string[]
}

/** A job as it is handed over and printed: everything that was done, found, measured and decided, by whom and when. */
export interface JobRecord {
  title: string
  notice: string
  complaint: string
  signed: (Signed & { cured: string; cause: string }) | null
  cancelled: (Signed & { why: string }) | null
  compared: { title: string; found: string; left: string; change: string; moved: string }[]
  readings: RecordedReading[]
  parts: (Signed & {
    item: number
    name: string
    cameOff: string
    method: string
    kept: string
    decision: string
    decidedBy: string
    unseen: string[]
    wentBack: string
  })[]
  marks: (Signed & { title: string; made: string; stands: string })[]
  mates: (Signed & { title: string; stands: string; met: string; unseen: string[] })[]
  counted: (Signed & { what: string; way: string; n: number; of: number | null; unseen: string[] })[]
  rounds: (Signed & { loop: string; n: number; changed: string; read: string[]; voided: string[] })[]
  joints: {
    title: string
    wanted: string
    torques: string
    verdict: Verdict
    outOfTurn: string[]
    putRight: string[]
    locked: string | null
  }[]
  steps: (Signed & { station: string; title: string; found: string | null; skipped: string | null })[]
  holds: (Signed & { title: string; stands: string; signer: string | null })[]
  cautions: (Signed & { step: string; caution: string })[]
  findings: (Signed & { part: string; finding: string; where: string })[]
  decided: (Signed & { what: string; why: string; leaves: string[] })[]
  troubles: (Signed & { what: string; was: string })[]
  concessions: (Signed & { what: string; why: string })[]
  lost: (Signed & { what: string; why: string })[]
  corrections: (Signed & { what: string; first: Signed; now: string; why: string })[]
  late: (Signed & { what: string; why: string })[]
  notes: (Signed & { text: string })[]
}

const HOW_LATE = {
  live: 'without having seen what came before it',
  late: 'done without the network',
  ahead: 'the clock of the device was ahead',
}

/**
 * The record of a job, from its sheet and ledger.
 * @param names who is who; somebody who is on no list any more keeps their act
 * @param system how lengths are shown
 */
export function recordOf(
  opened: Plan,
  entries: readonly AnyEntry[],
  names: ReadonlyMap<string, string>,
  system: LengthSystem = 'mm',
): JobRecord {
  const state = fold(opened, entries)
  const plan = planIn(opened, state)
  const { results } = viewJob(plan, state)
  const byId = new Map(entries.map(one => [one.id, one]))
  const who = (id: string) => names.get(id) ?? 'somebody no longer here'
  const doer = (id: string, entry: AnyEntry | undefined) =>
    entry?.vouchedBy ? `${who(id)} (vouched for by ${who(entry.vouchedBy)})` : who(id)
  const clock = (entry: AnyEntry | undefined): Signed['clock'] => {
    const at = entry ? clockOf(entry) : 'live'
    return at === 'live' ? '' : at
  }
  const by = (one: Stamp | null | undefined): Signed =>
    one
      ? { who: doer(one.by, byId.get(one.entry)), role: one.role, when: one.at, clock: clock(byId.get(one.entry)) }
      : { who: '', role: '', when: '', clock: '' }
  const byEntry = (entry: AnyEntry): Signed => ({
    who: doer(entry.madeBy, entry),
    role: entry.role,
    when: timeOf(entry),
    clock: clock(entry),
  })
  /** What a concession on a reading lets pass: the figure, and what it was held against; or that it is another by now. */
  const conceded = ({ check, moment }: { check?: string; moment?: string }) => {
    const result = check && moment ? results.get(readingKey(check, moment)) : undefined
    return result?.value == null
      ? ''
      : `: ${showValue(result.check, result, system)}, limit ${showLimits(result.check, system)}`
  }
  const stands = ({ of, basis = [] }: Payloads['concession.given']) =>
    isSame(basis, basisOf(plan, state, owedOf(of)!, results))
  /** What others said of the same thing, none of them having seen the others: how, and who. */
  const unseen = <T extends Stamp>(said: Contested<T>, words: (one: T) => string): string[] =>
    allSaid<T>(said)
      .slice(1)
      .map(one => `${who(one.by)}, not having seen this: ${words(one)}`)
  const measured = [...results.values()].filter(one => one.value !== null)
  return {
    title: plan.sheet.title,
    notice: plan.sheet.notice,
    complaint: state.opened?.payload.complaint ?? '',
    signed: state.signed && { ...by(state.signed), cured: state.signed.cured, cause: state.signed.cause ?? '' },
    cancelled: state.cancelled && { ...by(state.cancelled), why: state.cancelled.why },
    compared: plan.sheet.checks.flatMap(check => {
      if (check.choices) return []
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
      working: result.working(system),
      history: result.history,
      again: result.again,
      unseen: result.rivals.flatMap(({ cell, said: [stands, ...others] }) =>
        others.map(
          one =>
            `${cell.name ? `${cell.name}: ` : ''}${who(stands!.by)} read ${showTyped(stands!, unitOf(cell))}, and ${who(one.by)}, not having seen that, ${showTyped(one, unitOf(cell))}; the worse stands`,
        ),
      ),
      ...by(newestOf(result)),
    })),
    parts: plan.whole.parts
      .flatMap(placesOf)
      .filter(one => state.parts.has(one.ref))
      .map(({ ref, part, name }) => {
        const now = partState(state, ref)
        const decision = now.decision?.choice ?? (part.renewal === 'always' ? 'always new' : 'none')
        return {
          item: part.item,
          name,
          cameOff: now.order ? String(now.order) : '',
          method: now.lifted?.method ?? '',
          kept: now.kept ? `${now.kept.as} ${now.kept.label}` : '',
          decidedBy: now.decision ? by(now.decision).who : '',
          unseen: now.decision ? unseen(now.decision, one => one.choice) : [],
          decision: now.decision?.why ? `${decision}: ${now.decision.why}` : decision,
          wentBack: now.fitted
            ? `${now.fitted.as === 'new' ? `new, from ${kitWords(plan, now.renewed?.from)}` : 'same'}${now.fitted.place === ref ? '' : `, in the place of ${partName(plan, now.fitted.place)}`}`
            : (now.settled?.to ?? 'still off'),
          ...by(now.fitted ?? now.lifted),
        }
      }),
    marks: [...state.marks].map(([id, mark]) => {
      const answer = state.mates.get(id)
      return {
        title: mateName(plan, id),
        made: markText(plan, mark),
        stands: answer ? answerText(answer) : '',
        ...by(mark),
      }
    }),
    mates: plan.sheet.mates.flatMap(mate => {
      const answer = state.mates.get(mate.id)
      if (!answer) return []
      const met = answer.notYet ? 'open' : mateMet(mate, markOf(state, mate), answer) ? 'met' : 'not met'
      return [{ title: mate.title, stands: answerText(answer), met, unseen: unseen(answer, answerText), ...by(answer) }]
    }),
    counted: [...state.counts].map(([key, one]) => {
      const [what, way] = [key.slice(0, key.lastIndexOf(' ')), key.slice(key.lastIndexOf(' ') + 1)]
      const part = plan.parts.get(what)
      return {
        ...{ what: part?.name ?? itemName(plan, what), way, n: one.n, of: part?.part.quantity ?? null },
        unseen: unseen(one, each => String(each.n)),
        ...by(one),
      }
    }),
    rounds: [...plan.loops.values()].flatMap(loop => {
      if (!loop.steps.some(step => state.steps.has(step)) && !state.rounds.has(loop.id)) return []
      return roundsOf(plan, state, results, loop).map(round => {
        const say = ({ result }: RoundGoal) =>
          `${result.check.title}: ${showValue(result.check, result, system)}, ${result.judgement.verdict}`
        const goals = [...round.goals.values()]
        return {
          loop: loop.title,
          n: round.n,
          changed: round.begun?.changed.join('; ') ?? '',
          read: goals.filter(one => one.void === null).map(say),
          voided: goals.filter(one => one.void !== null).map(one => `${say(one)}; void: ${one.void}`),
          ...by(round.begun),
        }
      })
    }),
    joints: plan.sheet.joints
      .filter(joint => {
        const { passes, strays, eased } = state.joints.get(joint.id) ?? NO_JOINT
        return passes.length || strays.length || eased.length
      })
      .map(joint => {
        const { pulled, verdict } = progressOf(joint, state)
        const { order, locked, strays, outOfTurn } = state.joints.get(joint.id)!
        return {
          title: joint.title,
          wanted: `${drawingText(joint)}${order && order !== joint.pattern ? `; drawn up ${order}, which is allowed` : ''}`,
          torques: [...pulled]
            .sort((a, b) => a.bolt - b.bolt)
            .map(one => `${one.bolt}: ${pullText(one)}`)
            .join(', '),
          verdict: isLocked(joint, { locked }) || verdict !== 'Holds' ? verdict : ('Open' as const),
          outOfTurn: outOfTurn.map(
            one => `bolt ${one.bolt} eased in the turn of ${one.turnOf}, ${who(one.by)}. ${joint.slacken!.why}`,
          ),
          putRight: strays.map(
            one =>
              `bolt ${one.bolt}, pass ${one.pass}: ${one.torqueNm === undefined ? pullText(one) : `${fixed(one.torqueNm, 1)} N·m`}, ${one.side}, ${who(one.by)}`,
          ),
          locked: locked
            ? `Locked: ${locked.say}${locked.newPieces === undefined ? '' : `, ${locked.newPieces} new`}`
            : null,
        }
      }),
    steps: STATIONS.flatMap(station =>
      plan.sheet.steps
        .filter(step => step.station === station && state.steps.has(step.id))
        .map(step => {
          const done = state.steps.get(step.id)!
          return {
            station: STATION_WORDS[station],
            title: step.title,
            found: done.note ?? null,
            skipped: done.skipped ?? null,
            ...by(done),
          }
        }),
    ),
    holds: plan.sheet.steps.flatMap(step => {
      const signed = state.holds.get(step.id)
      if (!signed) return []
      return [
        {
          title: step.title,
          stands: holdStands(plan, state, step) === 'signed' ? 'stands' : 'lapsed: the work changed afterwards',
          signer: signed.on ? competenceWords(signed.on) : null,
          ...by(signed),
        },
      ]
    }),
    cautions: plan.sheet.steps.flatMap(step =>
      (step.cautions ?? []).flatMap((caution, i) =>
        [...(state.cautions.get(cautionKey(step.id, i))?.values() ?? [])].map(read => ({
          step: step.title,
          caution: caution.word,
          ...by(read),
        })),
      ),
    ),
    findings: state.observations.map(one => ({
      part: partName(plan, one.part),
      finding: `${one.finding} (${one.severity})`,
      where: one.deg === undefined ? '' : `${clockText(one.deg)} seen from ${viewWords(one.seenFrom!)}`,
      ...by(one),
    })),
    decided: state.chosen.map((one, i, all) => ({
      what: choiceName(plan, one.axis, one.choice),
      why: one.why,
      // What the choices leave out stays to be read, once, with the last of them.
      leaves: i === all.length - 1 ? leftOut(plan) : [],
      ...by(one),
    })),
    troubles: [...state.troubles.values()].map(one => ({
      what: `${stepName(plan, one.step)}: ${one.sign}`,
      was: one.cleared?.means ?? 'not known',
      ...by(one.cleared ?? one),
    })),
    concessions: [...state.concessions.values()].map(one => ({
      what: `${owedWords(plan, owedOf(one.of)!)}${stands(one) ? conceded(one.of) : ' (lapsed: it is another since)'}`,
      why: one.onlyLead
        ? `${one.why} (by the only lead here${isOwnWork(plan, state, owedOf(one.of)!, one.by) ? ', over their own work' : ''})`
        : one.why,
      ...by(one),
    })),
    lost: [...state.evidenceLost.values()].map(one => ({
      what: owedWords(plan, lostOf(one)!),
      why: one.why,
      ...by(one),
    })),
    corrections: entries.flatMap(entry => {
      if (entry.kind !== 'entry.corrected') return []
      const target = byId.get(entry.payload.target)
      const root = rootOf(entries, entry.payload.target)
      const { replacement } = entry.payload
      return [
        {
          what: entryWords(plan, target),
          first: target ? byEntry(target) : by(null),
          now:
            replacement && root
              ? entryWords(plan, { ...root, payload: replacement } as AnyEntry)
              : target?.kind === 'entry.corrected'
                ? 'the correction taken back'
                : 'taken back',
          why: entry.payload.why,
          ...byEntry(entry),
        },
      ]
    }),
    late: entries.flatMap(entry => {
      const at = clockOf(entry)
      const passed = state.late.filter(one => one.entry === entry.id).map(one => one.why)
      if (at === 'live' && !passed.length) return []
      const says = HOW_LATE[at]
      // How far the tablet's clock was off is said where it is not the network's delay.
      const { clock: own } = entry
      const off =
        own && Math.abs(own.behindMs) > 2000
          ? [`its clock was ${fixed(Math.abs(own.behindMs) / 1000, 0)} s ${own.behindMs > 0 ? 'behind' : 'ahead'}`]
          : []
      return [
        {
          what: entryWords(plan, entry),
          why: [`${says}, given as ${entry.madeAt.slice(0, 16).replace('T', ' ')} UTC`, ...off, ...passed].join('. '),
          ...byEntry(entry),
        },
      ]
    }),
    notes: state.notes.map(one => ({ text: one.text, ...by(one) })),
  }
}

/** One line on an entry, for lists of what was done. */
export function entryWords(plan: Plan, entry: AnyEntry | undefined): string {
  if (!entry) return 'an entry'
  return actOf(entry)?.words(plan, entry.payload) ?? 'An act of a newer version'
}
