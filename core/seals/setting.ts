import { accept, refuse, type Result } from '../result.ts'

/** Where the rotary face sits, seen from the gland plate: it turns round what gasket and gland do to the mark. */
export const SEAL_SIDES = ['inside, in the chamber', 'outside the gland plate'] as const
export type SealSide = (typeof SEAL_SIDES)[number]

export interface SealSetting {
  sits: SealSide
  /** The maker's distance from the seal-chamber face. */
  makerMm: number
  /** Gasket between gland and chamber, as it will be pressed; nought where the maker's figure has it in. */
  gasketMm: number
  /** How far the gland stands into the chamber (+) or off it (−), against the maker's drawing. */
  glandMm: number
  freeLengthMm: number
  workingLengthMm: number
}

export interface SetSeal {
  markMm: number
  compressionMm: number
}

/**
 * Where a rotary face is set on a shaft without a shoulder, from the chamber face, mm. A gasket moves the seat out of the
 * chamber and a gland that stands in moves it in, so outside: mark = maker's distance + gasket − gland; inside: maker's
 * distance − gasket + gland. Compression = free length − working length. Refused: a working length not below the free one, a mark inside the chamber face.
 */
export function sealSetting({
  sits,
  makerMm,
  gasketMm,
  glandMm,
  freeLengthMm,
  workingLengthMm,
}: SealSetting): Result<SetSeal> {
  if (!(workingLengthMm > 0 && workingLengthMm < freeLengthMm))
    return refuse('The working length must be below the free length: a seal that is not pressed does not seal.')
  const outward = gasketMm - glandMm
  const markMm = sits === 'outside the gland plate' ? makerMm + outward : makerMm - outward
  if (!(markMm > 0))
    return refuse('The mark would lie inside the chamber face. Check the maker’s distance and the signs.')
  return accept({ markMm, compressionMm: freeLengthMm - workingLengthMm })
}

/** Compression set with n like gaskets as a feeler: n·t, mm. Refused: no gasket, a thickness not above nought. */
export function gasketFeelerMm(count: number, thicknessMm: number): Result<number> {
  return Number.isInteger(count) && count >= 1 && count <= 20 && thicknessMm > 0
    ? accept(count * thicknessMm)
    : refuse('Give 1 to 20 gaskets of one thickness above zero.')
}
