import { accept, refuse, type Result } from '../result.ts'
import { leastCommonMultiple } from '../whole.ts'
import type { Span } from './clearance.ts'

export const TAPERS = { '1:12': 1, '1:30': 2.5 } as const
export type Taper = keyof typeof TAPERS

export interface DriveUp {
  /** Clearance to be lost, 0.45 to 0.6 ‰ of the bore. */
  reduction: Span
  /** Along the taper from firm contact; the least for the least reduction at factor 15, the greatest at 16. */
  travelMm: { least: number; greatest: number }
  /** By the nut's angle, from firm contact. */
  nutDeg: { least: number; greatest: number }
  /** What is left of the measured clearance at either end of the span; null where it was not measured. */
  leftUm: Span | null
}

/**
 * Driving a tapered bore up: clearance reduction 0.45 to 0.6 ‰ of the bore, axial travel 15 to 16 times that on 1:12
 * (about 2.5 times more on 1:30), nut angle 360·travel/pitch. Everything counts from firm contact. Adapter sleeves want more.
 * General rule of fitting practice; the maker's table goes before it.
 * Refused: a bore not over 0 up to 500 mm, a pitch not above nought, a measured clearance below nought.
 */
export function driveUp(
  boreMm: number,
  taper: Taper,
  nutPitchMm: number,
  measuredClearanceUm?: number,
): Result<DriveUp> {
  if (!(boreMm > 0 && boreMm <= 500)) return refuse('Drive-up is worked out for bores over 0 up to 500 mm.')
  if (!(nutPitchMm > 0)) return refuse('Give the pitch of the nut’s thread.')
  if (measuredClearanceUm !== undefined && !(measuredClearanceUm >= 0))
    return refuse('A clearance measured by feeler is not below zero.')
  const reduction = { leastUm: 0.45 * boreMm, greatestUm: 0.6 * boreMm }
  const travelMm = {
    least: (reduction.leastUm * 15 * TAPERS[taper]) / 1000,
    greatest: (reduction.greatestUm * 16 * TAPERS[taper]) / 1000,
  }
  const angle = (mm: number) => (360 * mm) / nutPitchMm
  return accept({
    reduction,
    travelMm,
    nutDeg: { least: angle(travelMm.least), greatest: angle(travelMm.greatest) },
    leftUm:
      measuredClearanceUm === undefined
        ? null
        : { leastUm: measuredClearanceUm - reduction.greatestUm, greatestUm: measuredClearanceUm - reduction.leastUm },
  })
}

export interface SlotSetting {
  stopsPerTurn: number
  travelPerStopMm: number
  /** The exact number of stops; seldom whole. */
  exact: number
  fewer: { stops: number; leavesMm: number }
  more: { stops: number; leavesMm: number }
}

/**
 * A locknut eased back from home by whole stops of nut slots and washer tabs: lcm(slots, tabs) stops a turn when evenly
 * spaced (one tab: the nut's slots). Says the stop on either side of the wanted end clearance and what each really leaves.
 * Refused: a pitch or clearance that cannot be, slots or tabs that are not whole.
 */
export function slotSetting(pitchMm: number, slots: number, tabs: number, wantedMm: number): Result<SlotSetting> {
  if (!(pitchMm > 0)) return refuse('Give the pitch of the thread.')
  if (![slots, tabs].every(one => Number.isInteger(one) && one >= 1 && one <= 60))
    return refuse('Slots of the nut and tabs of the washer are whole numbers from 1 to 60. Count them.')
  if (!(wantedMm >= 0 && wantedMm <= 20 * pitchMm))
    return refuse('The end clearance wanted lies from zero to twenty turns of the nut.')
  const stopsPerTurn = leastCommonMultiple(slots, tabs)
  const travelPerStopMm = pitchMm / stopsPerTurn
  const exact = wantedMm / travelPerStopMm
  const down = Math.floor(exact + 1e-9)
  const up = Math.ceil(exact - 1e-9)
  return accept({
    stopsPerTurn,
    travelPerStopMm,
    exact,
    fewer: { stops: down, leavesMm: down * travelPerStopMm },
    more: { stops: up, leavesMm: up * travelPerStopMm },
  })
}
