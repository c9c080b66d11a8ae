import { leftOver, readSheet, settledFor } from '../expand.ts'
import { fullVariants, planFor, type Sums } from '../plan.ts'
import type { Sheet, SheetSource, ShelfSheet, Variants } from '../types.ts'
import { COLLECTIONS, combinationFaults, frameFaults, tooMuch } from './frame.ts'
import { hangingFaults } from './hangings.ts'
import { RULES } from './rules.ts'
import { shapeFaults, type Shape } from './shape.ts'
import { combinationsOf, coupledAxes, coupledVariants } from '../variants.ts'

const SHAPES: Record<keyof typeof COLLECTIONS, Shape> = {
  assembly: 'Assembly',
  part: 'Part',
  mate: 'Mate',
  check: 'Check',
  look: 'Look',
  complaint: 'Complaint',
  cause: 'FailureCause',
  joint: 'Joint',
  step: 'Step',
  loop: 'Loop',
  set: 'PartSet',
  kit: 'Kit',
}

/** The items of a sheet settled for one machine, with what is left open of them, or what does not fit their types. */
function itemFaults(shelf: ShelfSheet, variants: Variants, known: WeakSet<object>): string[] {
  const sheet = settledFor(shelf as Sheet, fullVariants(shelf, variants))
  const faults = (shape: Shape, one: object, where: string): string[] => {
    // Most items are the same for every machine: those are looked at once.
    if (known.has(one)) return []
    known.add(one)
    const open = leftOver(one, where)
    return open.length ? open : shapeFaults(shape, one, where)
  }
  return [
    ...Object.entries(COLLECTIONS).flatMap(([word, key]) =>
      (sheet[key] ?? []).flatMap(one => faults(SHAPES[word as keyof typeof COLLECTIONS], one, `${word} ${one.id}`)),
    ),
    ...leftOver(sheet.service, 'service'),
    ...shapeFaults('Service', sheet.service, 'service'),
  ]
}

/** Until something is decided on the job, what is there can be read without it. */
function undecidedFaults(shelf: ShelfSheet): string[] {
  const known = shelf.axes.filter(axis => !axis.decided)
  return known.length === shelf.axes.length
    ? []
    : coupledVariants({ ...shelf, axes: known }).flatMap(variants => itemFaults(shelf, variants, new WeakSet()))
}

/**
 * Examines a sheet, as it is written or as it lies on the shelf, in every variant it offers. Whatever comes is answered with
 * sentences that name the place: what is too much, missing, misspelt, of the wrong kind or unknown; steps that wait for
 * themselves, parts that come off and never go back, marks never met, checks without limits, joints that cannot be pulled,
 * sums that cannot be worked out. Empty when the sheet is sound. `sums` are those at hand.
 */
export function examineSheet(source: unknown, sums: Sums = new Map()): string[] {
  const faults = frameFaults(source)
  if (faults.length) return faults
  const shelf = readSheet(source as SheetSource)
  const much = tooMuch(shelf)
  if (much) return [much]
  const groups = coupledAxes(shelf)
  const found = [...hangingFaults(shelf), ...combinationFaults(combinationsOf(groups))]
  if (found.length) return found
  const all = coupledVariants(shelf, groups)
  const known = new WeakSet<object>()
  const misfits = [...all.flatMap(variants => itemFaults(shelf, variants, known)), ...undecidedFaults(shelf)]
  // The rules go by the types.
  if (misfits.length) return [...new Set(misfits)]
  return [
    ...new Set(
      all.flatMap(variants => {
        const plan = planFor(shelf, variants, sums)
        return RULES.flatMap(rule => rule(plan))
      }),
    ),
  ]
}
