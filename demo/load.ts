import { v7 as uuid } from 'uuid'
import type { Pool } from 'workerpool'
import { sentenceOf } from '../core/refusal.ts'
import { readSheet, type ShelfSheet } from '../core/sheet/index.ts'
import type { Database, Transaction } from '../server/db/client.ts'
import { librarySources, shelveLibrary } from '../server/db/library.ts'
import { takeLabels } from '../server/db/labels.ts'
import { addPast } from '../server/db/past.ts'
import { addPerson } from '../server/db/people.ts'
import { keepPicture } from '../server/db/photos.ts'
import { area, equipment, equipmentState } from '../server/db/schema.ts'
import { writeService } from '../server/db/services.ts'
import { changeSite } from '../server/db/site.ts'
import type { SignedInPerson } from '../shared/answers.ts'
import { LABELS_EACH, type Crew, type Done } from './overhaul.ts'
import { SERVICES } from './services.ts'
import { startThreads } from './threads.ts'
import { AREAS, FITTER, FLEET, LEAD, PEOPLE, sheetOf, SITE_NAME, type DemoMachine } from './thornmere.ts'
import type { Asked } from './worker.ts'

/** How far the loading is: overhauls that are in, of all. */
export type OnProgress = (done: number, all: number) => void

/** Somebody of the works, by their name. */
type Named = (name: string) => SignedInPerson

/** Every overhaul of the fleet, the oldest first. */
const overhaulsOf = () =>
  FLEET.flatMap(machine => machine.overhauls.map((one, overhaul) => ({ machine, one, overhaul }))).sort((a, b) =>
    a.one.on.localeCompare(b.one.on),
  )

/** The fleet's past, the oldest first, as the threads work through it. */
function workThroughPast(threads: Pool, sheetFor: (machine: DemoMachine) => ShelfSheet, named: Named): Promise<Done>[] {
  const now = Date.now()
  const works = overhaulsOf().map(({ machine, overhaul }, nth): Promise<Done> => {
    const { tag, fitter = FITTER } = machine
    const crew: Crew = { fitter: named(fitter), lead: named(LEAD) }
    const asked: Asked = { tag, overhaul, sheet: sheetFor(machine), crew, nth, now }
    return Promise.resolve(threads.exec('work', [asked]))
  })
  // One that fails is told of by whoever waits for it; the others end with the threads.
  for (const one of works) one.catch(() => {})
  return works
}

async function addMachines(tx: Transaction): Promise<void> {
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
}

async function addOverhauls(
  tx: Transaction,
  past: readonly Promise<Done>[],
  sheetFor: (machine: DemoMachine) => ShelfSheet,
  onProgress: OnProgress,
): Promise<void> {
  for (const [nth, { machine, one }] of overhaulsOf().entries()) {
    const { id, variants, shots, ...done } = await past[nth]!
    const sheet = sheetFor(machine)
    const opened = {
      id,
      equipmentTag: machine.tag,
      sheetId: sheet.id,
      sheetVersion: sheet.version,
      variants,
      complaint: one.complaint,
      hoursAtOpen: one.hours,
      openedAt: done.entries[0]!.madeAt,
    }
    await addPast(tx, sheet, opened, done)
    for (const { sha256, file } of shots) await keepPicture(tx, sha256, file)
    onProgress(nth + 1, past.length)
  }
  await takeLabels(tx, past.length * LABELS_EACH)
}

async function addServices(tx: Transaction, by: SignedInPerson): Promise<void> {
  for (const [tag, services] of Object.entries(SERVICES))
    for (const { service, on, hours, uses = {}, note = '' } of services) {
      const doneAt = `${on}T10:00:00.000Z`
      const told = { id: uuid(), service, doneAt, hoursRun: hours, uses, note }
      const refused = await writeService(tx, tag, told, by, doneAt)
      if (refused) throw new Error(`${tag}, ${on}: ${sentenceOf(refused)}`)
    }
}

/** Loads Thornmere into an empty database, all or nothing; false when something is there already. */
export async function loadThornmere(db: Database, onProgress: OnProgress = () => {}): Promise<boolean> {
  if ((await db.select().from(area).limit(1)).length) {
    await shelveLibrary(db)
    return false
  }
  const threads = await startThreads()
  try {
    const sources = librarySources()
    const sheets = new Map(sources.map(one => [one.id, readSheet(one)]))
    const sheetFor = (machine: DemoMachine) => sheets.get(sheetOf(machine))!
    await db.transaction(async tx => {
      await changeSite(tx, { name: SITE_NAME })
      const people: SignedInPerson[] = []
      for (const one of PEOPLE) people.push((await addPerson(tx, one)).person)
      const named: Named = name => people.find(one => one.name === name)!
      const past = workThroughPast(threads, sheetFor, named)
      // Sheets are examined and shelved while the first overhauls are worked through.
      await shelveLibrary(db, sources)
      await addMachines(tx)
      await addOverhauls(tx, past, sheetFor, onProgress)
      await addServices(tx, named(FITTER))
    })
  } finally {
    await threads.terminate(true)
  }
  return true
}
