import { recordOf, type JobRecord, type JobState } from '../core/job/index.ts'
import { coupledVariants, everyVariant, planFor, type Plan, type Sheet, type Variants } from '../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { Technician } from '../demo/technician.ts'
import { findingsOf, furthest, librarySheet, worker } from './sheets.ts'
import { seenOn } from './seen.ts'
import { WALKS } from './walks/index.ts'

/** A machine's record, as it is while the job is half done and once it is signed. */
export interface MadeRecord {
  name: string
  half: JobRecord
  signed: JobRecord
  /** Names that a sheet gives its things for itself, and nobody reads. */
  ids: ReadonlySet<string>
  /** The job as it stood before it was signed, by the plan it had come to, and after. */
  before: { plan: Plan; state: JobState }
  after: JobState
}

const PEOPLE = new Map([
  ['rena', 'R. Okell'],
  ['odd', 'O. Hallam'],
])

/** Names of things in a sheet that no word of the trade is spelt like. */
function idsOf(sheet: Sheet, variants: Variants): Set<string> {
  const { whole, parts } = planFor(sheet, variants, SUMS_BY_NAME)
  const items = [
    whole.parts,
    whole.mates,
    whole.checks,
    whole.joints,
    whole.steps,
    whole.kits,
    whole.loops ?? [],
  ].flat()
  return new Set([...items.map(one => one.id), ...parts.keys()].filter(id => /[-@]/.test(id)))
}

/** Goes through a machine and keeps its record on the way: something is found, renewed and noted besides. */
export function madeRecord(
  sheet: Sheet,
  read: (variants: Variants) => Parameters<typeof findingsOf>[0],
  variants: Variants,
  { Who = Technician, choices = {} }: { Who?: typeof Technician; choices?: Variants } = {},
): MadeRecord {
  const one = worker(sheet, findingsOf(read(variants), true), variants, Who)
  const record = () => recordOf(one.plan, one.folded.entries, PEOPLE)
  for (const axis of sheet.axes.filter(({ id }) => choices[id])) {
    one.workUntil(axis.decided!.step)
    one.act('variant.changed', { axis: axis.id, choice: choices[axis.id]!, why: 'Wanted so' }, 'lead')
  }
  one.workUntil('decide')
  const off = [...one.folded.state.parts].find(([, now]) => now.where === 'off')?.[0]
  if (off) one.act('part.looked', seenOn(off, 'Track is dull', { grade: 1, deg: 75, seenFrom: sheet.ends.left }))
  one.act('note.written', { text: 'Half way' })
  const half = record()
  one.workUntil()
  const before = { plan: one.plan, state: one.folded.state }
  one.act('job.signed', { cured: 'yes', cause: 'Wear' }, 'lead')
  const name = Object.values(variants).join(', ')
  return { name, half, signed: record(), ids: idsOf(sheet, variants), before, after: one.folded.state }
}

/** The machines there may be of a library sheet: choices that hang together in every combination, each of the others once. */
export const machinesOf = (sheet: Sheet): Variants[] =>
  coupledVariants({ ...sheet, axes: sheet.axes.filter(axis => !axis.decided) })

/** What may be decided on the job, in every combination. */
export const decisionsOf = (sheet: Sheet): Variants[] =>
  everyVariant({ axes: sheet.axes.filter(axis => axis.decided) }).filter(choices => Object.keys(choices).length)

/** Records of a library sheet: of its first machine, and of its last taken as far apart as may be decided. Every machine's are gone through by `library/walks.test.ts`. */
export function* recordsOf(name: string): Generator<MadeRecord> {
  const sheet = librarySheet(name)
  const { figures } = WALKS.find(walk => walk.sheet === name)!
  const known = machinesOf(sheet)
  yield madeRecord(sheet, figures, known[0]!)
  yield madeRecord(sheet, figures, { ...known.at(-1)!, ...furthest(sheet) })
}
