import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { v7 as uuid } from 'uuid'
import workerpool from 'workerpool'
import { sentenceOf } from '../core/refusal.ts'
import type { ShelfSheet } from '../core/sheet/index.ts'
import type { Database, Transaction } from '../server/db/client.ts'
import { shelveLibrary } from '../server/db/library.ts'
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
import { AREAS, FITTER, FLEET, LEAD, PEOPLE, sheetOf, SITE_NAME } from './thornmere.ts'
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

/** Works through the fleet's past in as many threads as there is room for; `add` is given it in its order as it is done. */
async function withPast(named: Named, add: (past: Promise<Done>[]) => Promise<void>): Promise<void> {
  const pool = workerpool.pool(fileURLToPath(new URL('./worker.mjs', import.meta.url)), {
    workerType: 'thread',
    maxWorkers: Math.max(2, availableParallelism()),
    // A job makes much that is soon forgotten: with room for it the threads stop less often to tidy up.
    workerThreadOpts: { resourceLimits: { maxYoungGenerationSizeMb: 128 } },
  })
  try {
    const now = Date.now()
    const works = overhaulsOf().map(({ machine: { tag, fitter = FITTER }, overhaul }, nth): Promise<Done> => {
      const crew: Crew = { fitter: named(fitter), lead: named(LEAD) }
      const asked: Asked = { tag, overhaul, crew, nth, now }
      return Promise.resolve(pool.exec('work', [asked]))
    })
    // One that fails is told of by whoever waits for it; the others end with the pool.
    for (const one of works) one.catch(() => {})
    await add(works)
  } finally {
    await pool.terminate(true)
  }
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
  sheets: readonly ShelfSheet[],
  past: readonly Promise<Done>[],
  onProgress: OnProgress,
): Promise<void> {
  for (const [nth, { machine, one }] of overhaulsOf().entries()) {
    const { id, variants, shots, ...done } = await past[nth]!
    const sheet = sheets.find(one => one.id === sheetOf(machine))!
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
  await db.transaction(async tx => {
    await changeSite(tx, { name: SITE_NAME })
    const people: SignedInPerson[] = []
    for (const one of PEOPLE) people.push((await addPerson(tx, one)).person)
    const named: Named = name => people.find(one => one.name === name)!
    await withPast(named, async past => {
      // Sheets are examined and shelved while the first overhauls are worked through.
      const sheets = await shelveLibrary(db)
      await addMachines(tx)
      await addOverhauls(tx, sheets, past, onProgress)
    })
    await addServices(tx, named(FITTER))
  })
  return true
}
