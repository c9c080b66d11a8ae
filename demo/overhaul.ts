import { v7 as uuid } from 'uuid'
import { fold, takeIn, type AnyEntry, type Folded } from '../core/job/index.ts'
import { sentenceOf } from '../core/refusal.ts'
import { durationMs, planFor, type Plan, type ShelfSheet, type Variants } from '../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { unheldBy } from '../server/db/claims.ts'
import { projectionOf } from '../server/db/folded.ts'
import type { Past } from '../server/db/past.ts'
import type { SignedInPerson } from '../shared/answers.ts'
import { finderOf, seenBy, SOUND } from './figures.ts'
import { wornFindings } from './findings.ts'
import { findingShot, machineShot, type Shot } from './pictures.ts'
import { Technician } from './technician.ts'
import type { DemoMachine, Overhaul } from './thornmere.ts'

/** Whose hands and whose signature an overhaul has. */
export interface Crew {
  fitter: SignedInPerson
  lead: SignedInPerson
}

/** An overhaul as it was done, judged act by act as the server judges it, with the pictures taken in it. */
export interface Done extends Past {
  id: string
  variants: Variants
  shots: Shot[]
}

/** Numbers of tags and bags an overhaul has to itself: each begins a new strip of labels. */
export const LABELS_EACH = 100

/** The serial of a machine, invented from its tag so that no two have the same: written as the sheet shows it. */
const serialOf = (tag: string, example: string): string =>
  example.replace(
    /\d+/,
    String(2000 + ([...tag].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 7919, 7) % 7000)),
  )

const DAY_MIN = 24 * 60
const WORKING_MIN = 480
const MINUTE_MS = 60_000

/** Acts of the past stand four minutes apart in working days that start at seven, and end with a step. */
function workingClock(from: string) {
  let minutes = 0
  const start = Date.parse(`${from}T07:00:00Z`)
  return {
    now: () => {
      minutes += 4
      return new Date(start + minutes * MINUTE_MS).toISOString()
    },
    id: () => uuid({ msecs: start + minutes * MINUTE_MS }),
    pass: (ms: number) => {
      minutes += Math.ceil(ms / MINUTE_MS)
    },
    between: () => {
      if (minutes % DAY_MIN > WORKING_MIN) minutes = (Math.floor(minutes / DAY_MIN) + 1) * DAY_MIN
    },
  }
}

/** Strips of labels have no end that anybody comes to; an overhaul that does would take its neighbour's. */
function stripOf(nth: number) {
  let used = 0
  return () => {
    if (used === LABELS_EACH) throw new Error(`An overhaul takes more than ${LABELS_EACH} labels.`)
    return nth * LABELS_EACH + ++used
  }
}

/** The pictures that are taken in an overhaul, by what they are of. */
async function shotsOf(plan: Plan, { wear, stood }: Overhaul): Promise<Map<string, Shot>> {
  const seen = seenBy(finderOf(wear.figures ?? {}))
  const shots = new Map<string, Shot>()
  if (stood) shots.set(JSON.stringify(null), await machineShot(plan, stood))
  for (const look of plan.looks.values())
    for (const part of look.of) {
      const [finding] = seen(part, look)
      const of = { what: 'look', id: look.id, part }
      if (finding) shots.set(JSON.stringify(of), await findingShot(plan, part, look.id, finding))
    }
  return shots
}

/** The same acts, so much later. */
function later(entries: readonly AnyEntry[], ms: number): AnyEntry[] {
  const moved = (at: string) => new Date(Date.parse(at) + ms).toISOString()
  return entries.map(one => ({ ...one, madeAt: moved(one.madeAt), receivedAt: moved(one.receivedAt!) }))
}

/** A technician whose every act is judged as it comes, as the server judges it. Throws what is refused. */
class JudgedTechnician extends Technician {
  constructor(
    readonly crew: Crew,
    ...rest: ConstructorParameters<typeof Technician>
  ) {
    super(...rest)
  }

  protected override take(entries: readonly AnyEntry[]): Folded {
    const { fitter, lead } = this.crew
    for (const one of entries) {
      const unheld = unheldBy(one.madeBy === lead.id ? lead : fitter, one)
      if (unheld) throw new Error(`${one.kind} is refused: ${sentenceOf(unheld)}`)
    }
    const taken = takeIn(this.opened, this.folded, entries)
    if (!taken.ok) throw new Error(`${taken.entry.kind} is refused: ${sentenceOf(taken.why)}`)
    return taken.folded
  }
}

/**
 * Works through one overhaul of a machine, the `nth` of the fleet's; where it stands and waits, what it waits for was
 * begun so long before `now`.
 */
export async function workThrough(
  machine: DemoMachine,
  one: Overhaul,
  sheet: ShelfSheet,
  crew: Crew,
  nth: number,
  now: number,
): Promise<Done> {
  const { fitter, lead } = crew
  const clock = workingClock(one.on)
  const plan = planFor(sheet, machine.variants, SUMS_BY_NAME)
  const shots = await shotsOf(plan, one)
  const worker = new JudgedTechnician(
    crew,
    plan,
    {
      ...wornFindings(one.wear, { fitter: fitter.id, lead: lead.id }, SOUND[sheet.id]),
      held: { fitter: fitter.competences, lead: lead.competences },
      shot: of => shots.get(JSON.stringify(of)),
      fact: (name, example) => (name === 'serial' ? serialOf(machine.tag, example) : example),
    },
    clock,
    stripOf(nth),
  )
  worker.open(machine.tag, one.complaint, one.signs)
  worker.photograph(null)
  worker.workUntil(one.until, one.slips)
  if (one.waitsSince) worker.begin(one.until!)
  if (!one.until) worker.sign('yes', one.cause)
  const taken = new Set(worker.folded.state.photos.map(each => each.sha256))
  const kept = [...shots.values()].filter(({ sha256 }) => taken.has(sha256))
  for (const { sha256 } of kept) worker.act('photo.arrived', { sha256 })
  const { entries } = worker.folded
  const dated = one.waitsSince ? later(entries, now - durationMs(one.waitsSince) - Date.parse(clock.now())) : entries
  const state = one.waitsSince ? fold(plan, dated) : worker.folded.state
  return {
    id: clock.id(),
    variants: worker.opened.variants,
    entries: dated,
    projected: projectionOf({ plan, folded: { entries: dated, state } }),
    closed: { signed: state.signed, cancelled: state.cancelled },
    shots: kept,
  }
}
