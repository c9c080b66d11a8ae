import type { Plan, PartPlace } from '../../sheet/index.ts'
import { partState, type PartState } from '../ledger/part.ts'
import { accountedFor, countKey, type JobState } from '../ledger/state.ts'

export interface TrayItem extends PartPlace {
  now: PartState
}

/** Where every part that came off is: the count that must come out at nought. */
export interface Tray {
  /** Off the machine, last off first. */
  off: TrayItem[]
  bags: number
  sentOut: number
  /** Parts that are off and not known of, and pieces that were counted short: each may lie in the machine. */
  notAccountedFor: number
}

/** Pieces fewer than came off, went back or were put in for the time being, as they were last counted. */
function piecesShort({ parts, sheet }: Plan, state: JobState): number {
  const n = (what: string, way: 'out' | 'in') => {
    const count = state.counts.get(countKey(what, way))
    return count && accountedFor(count)
  }
  const short = (wanted: number, counted: number | undefined) => Math.max(0, wanted - (counted ?? wanted))
  const ofParts = [...parts.values()].map(({ ref, part }) => {
    const { where } = partState(state, ref)
    if (where === 'on' || !part.quantity) return 0
    // What did not come off and what did not go back may be the same piece; all that are back are all there are.
    const back = where === 'fitted' ? n(ref, 'in') : undefined
    return back === part.quantity ? 0 : Math.max(short(part.quantity, n(ref, 'out')), short(part.quantity, back))
  })
  const items = sheet.steps.flatMap(step => step.leaves ?? []).filter(debt => debt.pieces)
  const ofItems = items.map(({ id, pieces }) => short(n(id, 'in') ?? pieces!, n(id, 'out')))
  return [...ofParts, ...ofItems].reduce((sum, one) => sum + one, 0)
}

/** Reconciles the parts ledger by place. A part off is known of once it is bagged, tagged, laid out by rule, or given up for a new one. */
export function trayOf(plan: Plan, state: JobState): Tray {
  const all = [...plan.parts.values()].map(place => ({ ...place, now: partState(state, place.ref) }))
  const off = all
    .filter(one => one.now.where === 'off' && !one.now.trial)
    .sort((a, b) => (b.now.order ?? 0) - (a.now.order ?? 0))
  const known = (one: TrayItem) =>
    one.now.kept || one.part.keep === 'lay' || one.part.renewal === 'always' || one.now.renewed
  return {
    off,
    bags: new Set(off.flatMap(one => (one.now.kept?.as === 'bag' ? one.now.kept.label : []))).size,
    sentOut: off.filter(one => one.now.decision?.choice === 'send out' && !one.now.returned).length,
    notAccountedFor: off.filter(one => !known(one)).length + piecesShort(plan, state),
  }
}
