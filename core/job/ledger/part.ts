import type { Plan, Ref } from '../../sheet/index.ts'
import type { Payloads } from './entry.ts'
import type { Contested } from './seen.ts'
import type { Draft, JobState, Stamp } from './state.ts'

/** Where a part goes that has no step to fit it any more. */
export const SETTLED = ['put back', 'scrapped', 'kept aside'] as const

/** `off` is in the tray; a part renewed or decided away lies there until its successor is fitted. */
export interface PartState {
  where: 'on' | 'off' | 'fitted'
  /** Order in which it came off, from 1. */
  order?: number
  lifted?: Stamp & { method?: string }
  kept?: { as: 'bag' | 'tag'; label: string }
  decision?: Contested<Stamp & Omit<Payloads['part.decided'], 'parts'>>
  /** Back from rework or from outside. */
  returned?: Stamp & { note?: string }
  /** The new one that is in hand or fitted. */
  renewed?: Stamp & { from: string; batch?: string }
  /** Where it went, where the job as decided has no step that fits it. */
  settled?: Stamp & { to: Payloads['part.settled']['to']; note?: string }
  fitted?: Stamp & { as: 'same' | 'new'; place: Ref }
  /** On for a trial: still off as far as the build is concerned. */
  trial?: Stamp & { place: Ref }
}

/** Where a part is; a part nothing is known of is on the machine. */
export const partState = (state: JobState, ref: Ref): PartState => state.parts.get(ref) ?? ON
const ON: PartState = { where: 'on' }

/** The parts that sit in some places, their own or another's. */
export const partsIn = ({ parts }: Pick<JobState, 'parts'>, places: readonly Ref[]): Ref[] =>
  [...parts].flatMap(([ref, { where, fitted }]) => (where === 'fitted' && places.includes(fitted!.place) ? [ref] : []))

/** The part another is off the machine with: what it lifts with, or what that lifts with; null where it is off by itself, or in. */
export function offWith({ parts }: Pick<Plan, 'parts'>, state: JobState, ref: Ref): Ref | null {
  if (partState(state, ref).where === 'off') return null
  for (let on = parts.get(ref)?.part.liftsWith, n = 0; on && n < parts.size; on = parts.get(on)?.part.liftsWith, n++)
    if (partState(state, on).where === 'off' && !partState(state, on).trial) return on
  return null
}

/** Sent out, or being reworked, and not back yet. */
export const isAway = ({ decision, returned }: PartState): boolean =>
  !returned && (decision?.choice === 'send out' || decision?.choice === 'rework')

export const setPart = (state: Draft, ref: Ref, more: Partial<PartState>) =>
  void state.parts.set(ref, { ...partState(state, ref), ...more })

/**
 * Place in the order of acts at which any of these parts last became another: renewed, or back from rework or from outside; 0
 * where none did.
 */
export const changedAt = (
  { renewals, returns }: Pick<JobState, 'renewals' | 'returns'>,
  refs: readonly Ref[],
): number => Math.max(newestOf(renewals, refs), newestOf(returns, refs))

const newestOf = (list: readonly (Pick<Stamp, 'n'> & { part: Ref })[], refs: readonly Ref[]): number =>
  list.reduce((newest, one) => (refs.includes(one.part) ? Math.max(newest, one.n) : newest), 0)
