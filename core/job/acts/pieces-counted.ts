import type { Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { settled } from '../ledger/seen.ts'
import { choice, id, optional, type Shaped } from '../ledger/shape.ts'
import { countKey, partState, stamped } from '../ledger/state.ts'
import { itemName, partName } from '../ledger/words.ts'
import { unknown } from './sense.ts'

const shape = {
  part: optional(id),
  /** Something put in for the time being, as the sheet's steps leave it. */
  item: optional(id),
  way: choice(['out', 'in']),
  n: { is: 'number', whole: true, least: 0, most: 999 },
} as const

/** Pieces that a step of the sheet leaves in for the time being. */
const piecesLeft = ({ sheet }: Plan, item: string): number =>
  sheet.steps.flatMap(step => step.leaves ?? []).find(debt => debt.id === item)?.pieces ?? 0

/** Pieces counted by hand: out of the machine, or into it. A newer count stands for the older one. */
export const piecesCounted: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { part, item, way } }) => {
    if ((part === undefined) === (item === undefined)) return 'Say what is counted: a part, or an item.'
    if (item !== undefined)
      return plan.sheet.steps.some(step => step.leaves?.some(debt => debt.id === item && debt.pieces))
        ? null
        : unknown('item to count', item)
    const one = plan.parts.get(part!)
    if (!one) return unknown('part', part!)
    if (!one.part.quantity) return `${one.name} is one piece; there is nothing to count.`
    return partState(state, part!).where === (way === 'out' ? 'off' : 'fitted') ||
      (way === 'out' && partState(state, part!).where === 'fitted')
      ? null
      : `${one.name}: count them when they are ${way === 'out' ? 'off' : 'in'}.`
  },
  apply: (state, entry, plan) => {
    const { part, item, way, n } = entry.payload
    const key = countKey((part ?? item)!, way)
    // Of two counts the one that is further from what there should be is the worse.
    const wanted = part === undefined ? piecesLeft(plan, item!) : (plan.parts.get(part)!.part.quantity ?? 0)
    const off = (one: { n: number }) => Math.abs(one.n - wanted)
    const now = stamped(entry, state, { n })
    state.counts.set(
      key,
      settled(state.counts.get(key), now, entry, (one, other) => off(one) > off(other)),
    )
  },
  words: (plan, { part, item, way, n }) =>
    `Counted ${way}: ${n} × ${part !== undefined ? partName(plan, part) : itemName(plan, item!)}`,
}
