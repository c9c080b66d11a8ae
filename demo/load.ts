import { v7 as uuid } from 'uuid'
import { sentenceOf } from '../core/refusal.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { planFor, type Plan, type ShelfSheet } from '../core/sheet/index.ts'
import type { SignedInPerson } from '../shared/answers.ts'
import type { Database, Transaction } from '../server/db/client.ts'
import { takeLabels } from '../server/db/labels.ts'
import { append } from '../server/db/append.ts'
import { keepPicture, sayArrived } from '../server/db/photos.ts'
import { writeService } from '../server/db/services.ts'
import { addPerson } from '../server/db/people.ts'
import { changeSite } from '../server/db/site.ts'
import { area, equipment, equipmentState, job } from '../server/db/schema.ts'
import { librarySheets, shelveLibrary } from '../server/db/library.ts'
import { finderOf, seenBy, SOUND } from './figures.ts'
import { wornFindings } from './findings.ts'
import { findingShot, machineShot, type Shot } from './pictures.ts'
import { Technician } from './technician.ts'
import { SERVICES } from './services.ts'
import { AREAS, FLEET, PEOPLE, sheetOf, SITE_NAME, type DemoMachine, type Overhaul } from './thornmere.ts'

/** The serial of a machine, invented from its tag so that no two have the same: written as the sheet shows it. */
const serialOf = (tag: string, example: string): string =>
  example.replace(
    /\d+/,
    String(2000 + ([...tag].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 7919, 7) % 7000)),
  )

const DAY_MIN = 24 * 60
const WORKING_MIN = 480

/** Acts of the past stand four minutes apart in working days that start at seven, and end with a step. */
function workingClock(from: string) {
  let minutes = 0
  const start = Date.parse(`${from}T07:00:00Z`)
  return {
    now: () => {
      minutes += 4
      return new Date(start + minutes * 60_000).toISOString()
    },
    id: () => uuid({ msecs: start + minutes * 60_000 }),
    pass: (ms: number) => {
      minutes += Math.ceil(ms / 60_000)
    },
    between: () => {
      if (minutes % DAY_MIN > WORKING_MIN) minutes = (Math.floor(minutes / DAY_MIN) + 1) * DAY_MIN
    },
  }
}

async function overhaul(
  db: Transaction,
  machine: DemoMachine,
  sheet: ShelfSheet,
  one: Overhaul,
  fitter: SignedInPerson,
  lead: SignedInPerson,
  label: () => number,
): Promise<void> {
  const clock = workingClock(one.on)
  const plan = planFor(sheet, machine.variants, SUMS_BY_NAME)
  const shots = await shotsOf(plan, one)
  const worker = new Technician(
    plan,
    {
      ...wornFindings(one.wear, { fitter: fitter.id, lead: lead.id, held: lead.competences }, SOUND[sheet.id]),
      shot: of => shots.get(JSON.stringify(of)),
      fact: (name, example) => (name === 'serial' ? serialOf(machine.tag, example) : example),
    },
    clock,
    label,
  )
  worker.open(machine.tag, one.complaint, one.signs)
  worker.photograph(null)
  worker.workUntil(one.until, one.slips)
  if (!one.until) worker.sign('yes', one.cause)
  const id = clock.id()
  await db.insert(job).values({
    id,
    equipmentTag: machine.tag,
    sheetId: sheet.id,
    sheetVersion: sheet.version,
    variants: worker.opened.variants,
    complaint: one.complaint,
    hoursAtOpen: one.hours,
    openedAt: worker.folded.entries[0]!.madeAt,
  })
  // Each person's acts go in under their own name, in the order they were done and at the time they were done.
  const { entries } = worker.folded
  for (let from = 0; from < entries.length;) {
    let to = from
    while (to < entries.length && entries[to]!.madeBy === entries[from]!.madeBy) to++
    const by = entries[from]!.madeBy === lead.id ? lead : fitter
    const sent = entries
      .slice(from, to)
      .map(({ id: number, kind, payload, act, madeAt }) => ({ id: number, kind, payload, act, madeAt }))
    const answer = await append(db, id, by, sent, { at: made => made.madeAt, signed: true })
    if (!answer.kept) throw new Error(`${machine.tag}, ${one.on}: ${sentenceOf(answer.refusal)}`)
    from = to
  }
  const taken = new Set(worker.folded.state.photos.map(each => each.sha256))
  for (const { sha256, file } of shots.values()) {
    if (!taken.has(sha256)) continue
    await keepPicture(db, sha256, file)
    await sayArrived(db, id, sha256, fitter, clock.now())
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

/** Loads Thornmere into an empty database, all or nothing; false when something is there already. */
export async function loadThornmere(db: Database): Promise<boolean> {
  await shelveLibrary(db)
  if ((await db.select().from(area).limit(1)).length) return false
  await db.transaction(async tx => {
    await tx.insert(area).values(AREAS.map((one, position) => ({ ...one, position })))
    await tx.insert(equipment).values(
      FLEET.map(one => ({
        tag: one.tag,
        name: one.name,
        areaId: one.area,
        line: one.line,
        sheetId: sheetOf(one),
        variants: one.variants,
        hoursRun: one.hoursRun,
        hoursPerWeek: one.hoursPerWeek,
      })),
    )
    await tx.insert(equipmentState).values(FLEET.map(one => ({ equipmentTag: one.tag })))
    await changeSite(tx, { name: SITE_NAME })
    const people: SignedInPerson[] = []
    for (const one of PEOPLE) people.push((await addPerson(tx, one)).person)
    const sheets = new Map(librarySheets().map(one => [one.id, one]))
    const past = FLEET.flatMap(machine => machine.overhauls.map(one => ({ machine, one }))).sort((a, b) =>
      a.one.on.localeCompare(b.one.on),
    )
    let labels = 0
    for (const { machine, one } of past)
      await overhaul(tx, machine, sheets.get(sheetOf(machine))!, one, people[0]!, people[2]!, () => ++labels)
    for (const [tag, services] of Object.entries(SERVICES))
      for (const { service, on, hours, uses = {}, note = '' } of services) {
        const doneAt = `${on}T10:00:00.000Z`
        const told = { id: uuid(), service, doneAt, hoursRun: hours, uses, note }
        const refused = await writeService(tx, tag, told, people[0]!, doneAt)
        if (refused) throw new Error(`${tag}, ${on}: ${sentenceOf(refused)}`)
      }
    await takeLabels(tx, labels)
  })
  return true
}
