import { limitsOfClass, type ToleranceLimits } from '../fits/index.ts'
import { accept, type Result } from '../result.ts'

/**
 * Classes of a parallel key's slots by how it is to sit (DIN 6885-1; ISO/R 773): the key itself is h9. A loose one slides
 * under its hub, a normal one goes in by hand or a light tap, a close one is pressed for loads that turn about.
 */
export const KEY_FITS = {
  'free, sliding': { shaft: 'H9', hub: 'D10' },
  'normal': { shaft: 'N9', hub: 'JS9' },
  'close': { shaft: 'P9', hub: 'P9' },
} as const
export type KeyFit = keyof typeof KEY_FITS
export const KEY_FIT_NAMES = Object.keys(KEY_FITS) as [KeyFit, ...KeyFit[]]

export interface KeyLimits {
  key: ToleranceLimits
  shaft: ToleranceLimits
  hub: ToleranceLimits
}

/** Limits of key, shaft slot and hub slot over a nominal width, µm (ISO 286-2). Refused: a width outside its tables. */
export function keyLimits(widthMm: number, fit: KeyFit): Result<KeyLimits> {
  const [key, shaft, hub] = [
    limitsOfClass(widthMm, 'h9'),
    limitsOfClass(widthMm, KEY_FITS[fit].shaft),
    limitsOfClass(widthMm, KEY_FITS[fit].hub),
  ]
  if (!key.ok) return key
  if (!shaft.ok) return shaft
  if (!hub.ok) return hub
  return accept({ key: key.value, shaft: shaft.value, hub: hub.value })
}
