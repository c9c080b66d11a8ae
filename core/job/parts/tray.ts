import type { Plan, PartPlace } from '../../sheet/index.ts'
import { partState, type PartState } from '../ledger/part.ts'
import type { JobState } from '../ledger/state.ts'

export interface TrayItem extends PartPlace {
  now: PartState
}

/** Where every part that came off is: the count that must come out at nought. */
export interface Tray {
  /** Off the machine, last off first. */
  off: TrayItem[]
  bags: number
  sentOut: number
  /** Lifted, less refitted, less off and known of: anything left over is lost. */
  notAccountedFor: number
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
    notAccountedFor: off.filter(one => !known(one)).length,
  }
}
