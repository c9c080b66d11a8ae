import { recordOf, type JobRecord } from '../core/job/index.ts'
import { coupledVariants, everyVariant, planFor, type Sheet, type Variants } from '../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { findingsOf, librarySheet, worker } from './sheets.ts'
import { seenOn } from './seen.ts'
import { WALKS } from './walks/index.ts'

/** A machine's record, as it is while the job is half done and once it is signed. */
export interface MadeRecord {
  name: string
  half: JobRecord
  signed: JobRecord
  /** Names that a sheet gives its things for itself, and nobody reads. */
  ids: ReadonlySet<string>
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
function madeRecord(
  sheet: Sheet,
  read: (variants: Variants) => Parameters<typeof findingsOf>[0],
  variants: Variants,
): MadeRecord {
  const one = worker(sheet, findingsOf(read(variants), true), variants)
  const record = () => recordOf(one.plan, one.folded.entries, PEOPLE)
  one.workUntil('decide')
  const off = [...one.folded.state.parts].find(([, now]) => now.where === 'off')?.[0]
  if (off) one.act('part.looked', seenOn(off, 'Track is dull', { deg: 75, seenFrom: sheet.ends.left }))
  one.act('note.written', { text: 'Half way' })
  const half = record()
  one.workUntil()
  one.act('job.signed', { cured: 'yes', cause: 'Wear' }, 'lead')
  return { name: Object.values(variants).join(', '), half, signed: record(), ids: idsOf(sheet, variants) }
}

/** The records of every machine there may be of a library sheet, those in which something is not decided yet among them. */
export function* recordsOf(name: string): Generator<MadeRecord> {
  const sheet = librarySheet(name)
  const { figures } = WALKS.find(walk => walk.sheet === name)!
  const known = coupledVariants({ ...sheet, axes: sheet.axes.filter(axis => !axis.decided) })
  const decided = everyVariant({ axes: sheet.axes.filter(axis => axis.decided) })
  for (const variants of known) yield madeRecord(sheet, figures, variants)
  for (const choices of decided.filter(one => Object.keys(one).length))
    yield madeRecord(sheet, figures, { ...known.at(-1)!, ...choices })
}
