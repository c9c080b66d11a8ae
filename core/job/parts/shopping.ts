import type { Plan, Ref } from '../../sheet/index.ts'
import { partState } from '../ledger/part.ts'
import type { JobState } from '../ledger/state.ts'

/** One line of what a job wants from the stores. */
export interface Wanted {
  part: Ref
  item: number
  name: string
  pieces: number
  stock: string
  why: string
  /** A new one is in hand, or fitted. */
  taken: boolean
}

export interface WantedFrom {
  /** The kit it comes in, or stock. */
  from: string
  stock: string
  lines: Wanted[]
}

/**
 * What has to be got new, by where it comes from: the always-new parts from the moment the job opens, and whatever is
 * decided to be renewed. Kits in the order of the sheet, stock last.
 */
export function shoppingOf(plan: Plan, state: JobState): WantedFrom[] {
  const lines = [...plan.parts.values()].flatMap(({ ref, part, name }): (Wanted & { kit: string | undefined })[] => {
    const now = partState(state, ref)
    const isAlways = part.renewal === 'always'
    if (!isAlways && now.decision?.choice !== 'renew') return []
    return [
      {
        kit: part.kit,
        part: ref,
        item: part.item,
        name,
        pieces: part.quantity ?? 1,
        stock: part.stock ?? '',
        why: isAlways ? `always new: ${part.renewalWhy ?? 'used up by fitting'}` : (now.decision?.why ?? 'decided'),
        taken: now.renewed !== undefined,
      },
    ]
  })
  const of = (kit: string | undefined) => lines.filter(one => one.kit === kit).map(({ kit: _, ...line }) => line)
  return [
    ...plan.sheet.kits.map(kit => ({ from: kit.name, stock: kit.stock, lines: of(kit.id) })),
    { from: 'Stock', stock: '', lines: of(undefined) },
  ].filter(one => one.lines.length)
}
