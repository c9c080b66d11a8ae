import { isDecided, type Look, type Plan, type Ref } from '../../sheet/index.ts'
import { OTHER } from '../../looks/codes.ts'
import { VERDICTS } from '../../verdict.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { changedAt, partState } from '../ledger/part.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { hadSeen, settled, type Contested } from '../ledger/seen.ts'
import { degrees, id, list, optional, record, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type JobState } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import { inSentence } from '../../sums/read.ts'
import { keyOf } from '../owed/id.ts'
import { beforeCover, type Owing, type Source } from '../owed/owing.ts'
import {
  codesFor,
  findingsOn,
  findingText,
  lookedText,
  lookKey,
  looksAt,
  standingLook,
  verdictOfLooked,
  type Looked,
} from '../parts/looks.ts'
import { knownParts, notSeenFrom, outOfReach, unknown } from './sense.ts'

/** Evidence by eye: what is found on parts, by code, grade and place. */

const refusals = refusalsAbout('look', {
  notOf: ({ look, part }: { look: string; part: string }) =>
    `“${look}” is not a look at ${part}. Reload the job; the sheet may be another version.`,
  noSuchCode: ({ code }: { code: string }) =>
    `There is no finding “${code}” for it. Take one of those that are offered, or “${OTHER.say}”.`,
  inWords: () => 'Say in words what it is.',
  from: () => 'Say where it begins, then where it ends.',
  noSuchPlace: ({ place }: { place: string }) => `“${place}” is no place of it. Take one of those that are offered.`,
  taken: ({ part, look }: { part: string; look: string }) =>
    `${part}: it was looked at already (${look}). Add what else is seen, or correct it with the reason.`,
  gone: ({ part, step }: { part: string; step: string }) =>
    `${part} could be looked at until “${step}”. Say that it was not, with the reason.`,
})

const finding = {
  code: id,
  /** From 1, the mildest. */
  grade: { is: 'number', whole: true, least: 1, most: 3 },
  /** Where it is; with `toDeg`, from there clockwise to that. */
  deg: optional(degrees),
  toDeg: optional(degrees),
  zone: optional(words(60)),
  face: optional(words(60)),
  note: optional(words(200)),
} as const
const shape = {
  part: id,
  /** The look of the sheet that it answers; left out, it was seen in passing. */
  look: optional(id),
  /** None where it is clean. */
  findings: list(record(finding), 12),
  /** From where its hours are told. */
  seenFrom: optional(words(60)),
} as const
type PartLooked = Shaped<typeof shape>

/** What is wrong with where a finding is said to be. */
function placeFault(plan: Plan, look: Look | undefined, { findings, seenFrom }: PartLooked): Refusal | null {
  for (const { deg, toDeg, zone, face } of findings) {
    if (toDeg !== undefined && deg === undefined) return refusals.from()
    if (!look) continue
    if (zone && !look.zones?.includes(zone)) return refusals.noSuchPlace({ place: zone })
    if (face && !look.faces?.includes(face)) return refusals.noSuchPlace({ place: face })
  }
  return seenFrom === undefined && findings.every(one => one.deg === undefined) ? null : notSeenFrom(plan, seenFrom)
}

function codeFault(plan: Plan, { part, look, findings }: PartLooked): Refusal | null {
  const { codes } = codesFor(plan, part, look)
  const strange = findings.find(one => !codes.some(code => code.id === one.code))
  if (strange) return refusals.noSuchCode({ code: strange.code.slice(0, 60) })
  return findings.some(one => one.code === OTHER.id && !one.note?.trim()) ? refusals.inWords() : null
}

const isWorse = (plan: Plan) => (one: Looked, other: Looked) =>
  VERDICTS.indexOf(verdictOfLooked(plan, one)) > VERDICTS.indexOf(verdictOfLooked(plan, other))

const looked: ActKind<PartLooked> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, entry) => {
    const { payload } = entry
    const { part, look } = payload
    const strange = knownParts(plan, [part])
    if (strange) return strange
    const asked = look === undefined ? undefined : plan.looks.get(look)
    if (look !== undefined && !asked) return unknown('look', look)
    if (asked && !asked.of.includes(part)) return refusals.notOf({ look: asked.title, part: partName(plan, part) })
    const fault = codeFault(plan, payload) ?? placeFault(plan, asked, payload)
    if (fault || !asked) return fault
    // What was seen stays seen: it is added to, or corrected with the reason.
    const before = standingLook(state, asked.id, part)
    return before && hadSeen(entry, before) && !before.rivals
      ? refusals.taken({ part: partName(plan, part), look: lookedText(plan, before) })
      : null
  },
  live: (at, { payload: { part, look } }) => {
    const asked = look === undefined ? undefined : at.plan.looks.get(look)
    if (!asked) return []
    const gone = asked.gone === undefined ? undefined : at.plan.steps.get(asked.gone)
    const after = gone && at.state.steps.get(gone.id)
    // What has come back from rework since is looked at as it is now.
    const isGone = after && !after.skipped && changedAt(at.state, [part]) < after.n
    return [
      ...(isGone ? [refusals.gone({ part: partName(at.plan, part), step: gone.title })] : []),
      ...outOfReach(at, asked.step),
    ]
  },
  apply: (state, entry, plan) => {
    const { part, look } = entry.payload
    const key = lookKey(part, look ?? entry.id)
    const before = state.looks.get(key)
    // Of the part as it came off: it stays what was found, whatever is seen of it once it is back from rework.
    if (before && before.n < changedAt(state, [part])) state.pastLooks.push(before)
    state.looks.set(key, settled(before, stamped(entry, state, entry.payload), entry, isWorse(plan)))
  },
  words: (plan, payload) => `${partName(plan, payload.part)}: ${lookedText(plan, payload)}`,
}

/** Parts that a step waits for somebody to look at; what came back from rework is looked at again before it goes in. */
const unlooked: Source = ({ plan, state }) =>
  (plan.sheet.looks ?? []).flatMap(look =>
    look.of.flatMap((part): Owing[] => {
      const of = { kind: 'look', look: look.id, part } as const
      if (standingLook(state, look.id, part) || state.evidenceLost.has(keyOf(of))) return []
      const again = state.looks.has(lookKey(part, look.id))
      // The old one was looked at, or is gone: what is new need not be.
      if (partState(state, part).renewed && (again || state.steps.has(look.step))) return []
      const gone = look.gone === undefined ? undefined : plan.steps.get(look.gone)
      const fits = plan.fittedBy.get(part)
      return [
        {
          id: of,
          station: again && fits ? fits.station : plan.steps.get(look.step)!.station,
          what: `Look ${again ? 'again at' : 'at'}: ${partName(plan, part)} (${inSentence(look.title)})`,
          why: again
            ? 'It came back from rework, and nobody has looked at it since'
            : gone
              ? `Lost with: ${gone.title}`
              : (look.how ?? 'What is found decides what becomes of it'),
          step: again ? (fits?.id ?? null) : look.step,
          settle: { to: 'look', part, look: look.id },
          perishable: gone !== undefined && !again,
        },
      ]
    }),
  )

/** Whether a part goes back as it is, or never came off. */
function goesBack(plan: Plan, state: JobState, ref: Ref): boolean {
  const { part } = plan.parts.get(ref)!
  const { where, decision, renewed } = partState(state, ref)
  if (renewed || part.renewal === 'always') return false
  if (where === 'on') return !plan.removedBy.has(ref)
  return isDecided(part) ? decision?.choice === 'reuse' : true
}

/** Whether a lead signs for what becomes of the parts, and reads what was found. */
const isReadByLead = ({ sheet }: Plan): boolean =>
  sheet.steps.some(step => step.station === 'decide' && step.hold?.by === 'lead')

/** What was found on a part that goes back, and makes it fail; or is for a lead to say of, where none reads it otherwise. */
const found: Source = ({ plan, state }) =>
  [...new Set([...state.looks.values()].map(one => one.part))].flatMap((part): Owing[] => {
    if (!plan.parts.has(part) || !goesBack(plan, state, part)) return []
    const all = findingsOn(plan, state, part)
    const failed = all.find(one => one.verdict === 'Out')
    const worst = failed ?? (isReadByLead(plan) ? undefined : all.find(one => one.proposes === 'ask'))
    if (!worst) return []
    const fits = plan.fittedBy.get(part)?.id
    const at = worst.looked.look === undefined ? undefined : plan.looks.get(worst.looked.look)?.step
    const isIn = partState(state, part).where !== 'off'
    return [
      {
        id: { kind: 'finding', part },
        station: (at && plan.steps.get(at)?.station) || 'decide',
        what: `${partName(plan, part)}${failed ? ' failed' : ''}: ${worst.text}`,
        why: !failed
          ? 'Whether it goes back is for a lead to say'
          : isIn && !fits
            ? 'It is in the machine as it is'
            : 'Decided for reuse: decide it otherwise, or a lead lets it pass',
        step: beforeCover(plan, fits),
        ...(failed ? { wrong: { of: [part], at, isIn } } : {}),
        settle: { to: 'part', part },
        who: 'lead',
      },
    ]
  })

export const slice = () => ({
  /** What was seen, by part and look; see `lookKey`. */
  looks: new Map<string, Contested<Looked>>(),
  /** What was seen of parts before they were renewed or reworked, and has been looked at again since; the oldest first. */
  pastLooks: [] as Contested<Looked>[],
})
export const acts = { 'part.looked': looked }
export const owes = {
  look: owedKind({
    by: { look: id, part: id },
    words: (plan, { look, part }) =>
      `Look at: ${partName(plan, part)} (${inSentence(plan.looks.get(look)?.title ?? look)})`,
  }),
  finding: owedKind({
    by: { part: id },
    words: (plan, { part }) => `Found on ${partName(plan, part)}`,
    basis: ({ plan, state }, { part }) => [
      ...findingsOn(plan, state, part).map(one => one.looked),
      ...[partState(state, part).decision].flatMap(one => one ?? []),
    ],
    holdsStart: true,
  }),
}
export const sources = [unlooked, found]

const partTitle = (plan: Plan, { part, look }: Looked): { text: string; small: string[] } => ({
  text: partName(plan, part),
  small: look === undefined ? [] : [plan.looks.get(look)?.title ?? look],
})

export const sections = {
  looks: section({
    title: 'Looked at',
    in: 'work',
    rows: ({ plan, state, by: signed, unseen }) =>
      [...state.pastLooks, ...state.looks.values()].map(one => ({
        part: partTitle(plan, one),
        verdict: verdictOfLooked(plan, one),
        found: one.findings.length ? one.findings.map(each => findingText(plan, one, each)) : ['Clean, nothing found'],
        arcs: one.findings.flatMap(({ deg, toDeg }): [number, number][] =>
          deg === undefined ? [] : [[deg, toDeg ?? deg]],
        ),
        history: !looksAt(state, one.part).includes(one),
        unseen: unseen<Looked>(one, said => lookedText(plan, said)),
        ...signed(one),
      })),
    columns: [
      { head: 'Part', width: 4, cell: row => row.part },
      {
        head: 'Found',
        width: 7,
        cell: row => ({
          verdict: row.verdict,
          small: [
            ...row.found,
            ...(row.history ? ['of the part before it was renewed or reworked'] : []),
            ...row.unseen,
          ],
        }),
      },
      { head: 'Where', width: 2, cell: row => (row.arcs.length ? { arcs: row.arcs } : text('')) },
      by(),
    ],
  }),
}
export const pads = { look: { part: id, look: optional(id) } } as const
