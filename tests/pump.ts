import { librarySheet } from './shelf.ts'
import { SOUND } from '../demo/figures.ts'
import { wornFindings, type Wear } from '../demo/findings.ts'
import { Technician } from '../demo/technician.ts'
import {
  refusalOf,
  sentenceOf,
  type AnyEntry,
  type EntryKind,
  type Payloads,
  type Refusal,
  type Role,
} from '../core/job/index.ts'
import { planFor, type Plan } from '../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'

/** The axially split pump, and a technician at it: what the tests of the job are done on. */
export const sheet = librarySheet('m14-axially-split-pump')
export const plan = planFor(sheet, { faces: 'carbon', flush: 'water' }, SUMS_BY_NAME)
export const people = { fitter: 'rena', lead: 'odd' }

export function technician(wear: Wear = { general: 0.4 }, own: Plan = plan): Technician {
  let n = 0
  let passed = 0
  const worker = new Technician(own, wornFindings(wear, people, SOUND[sheet.id]), {
    id: () => `0198a000-0000-7000-8000-${String(++n).padStart(12, '0')}`,
    now: () => new Date(Date.UTC(2026, 4, 1) + n * 60_000 + passed).toISOString(),
    pass: ms => {
      passed += ms
    },
  })
  worker.open('P-214B', 'Seal weeps')
  return worker
}

let made = 0
/** An entry by somebody, arriving the moment it is made. */
export function entryOf<K extends EntryKind>(
  kind: K,
  payload: Payloads[K],
  { role = 'fitter', by = role === 'lead' ? 'odd' : 'rena', ...more }: Partial<AnyEntry> & { by?: string } = {},
): AnyEntry {
  const id = `x${++made}`
  const madeAt = '2026-05-02T00:00:00.000Z'
  return { id, kind, payload, act: id, madeBy: by, role, madeAt, receivedAt: madeAt, seq: null, ...more } as AnyEntry
}

/** What the server would say to an act now, in a sentence with nothing missing from it: null when it is taken. */
export function refusal<K extends EntryKind>(
  worker: Technician,
  kind: K,
  payload: Payloads[K],
  role: Role = 'fitter',
  by?: string,
): Refusal | null {
  const why = refusalOf(worker.opened, worker.folded, entryOf(kind, payload, { role, ...(by ? { by } : {}) }))
  if (why && /undefined|NaN|\[object/.test(sentenceOf(why))) throw new Error(`Says too little: ${sentenceOf(why)}`)
  return why
}

/** A reading by gauge: figures in the check's own unit, millimetres in these tests; in the only place, unless it is named. */
export const reading = (
  check: string,
  moment: Payloads['reading.taken']['moment'],
  tries: readonly (readonly (number | string)[])[],
  { station, plane, ...more }: Partial<Payloads['reading.taken']> & { station?: string; plane?: string } = {},
): Payloads['reading.taken'] => ({
  check,
  moment,
  field: 'readings',
  ...(more.field ? {} : { column: plane ?? 'value' }),
  ...(station ? { place: station } : {}),
  tries: tries.map(row => row.map(String)),
  ...more,
})

/** An answer to a check that is asked. */
export const answer = (
  check: string,
  moment: Payloads['reading.taken']['moment'],
  said: string,
  place?: string,
): Payloads['reading.taken'] => reading(check, moment, [[said]], { column: 'said', ...(place ? { place } : {}) })

/** The start of the pump tried with its locks on, as kinds and payloads. */
export const START_TRIED: [EntryKind, object][] = [
  ...['at the machine', 'from the control room'].map((place): [EntryKind, object] => [
    'reading.taken',
    answer('try-start', 'inspect', 'nothing moves', place),
  ]),
  ['step.done', { step: 'try-start' }],
]

/** One figure of a sum of the Gauge room, read at the bench. */
export const figure = (
  check: string,
  moment: Payloads['reading.taken']['moment'],
  field: string,
  said: string,
  more: Partial<Payloads['reading.taken']> = {},
): Payloads['reading.taken'] => reading(check, moment, [[said]], { field, ...more })
