import type { Held } from '../../verdict.ts'
import { text } from '../fields.ts'

export const PART = text('Part', 40)
export const ANGLE = [-360, 360] as const
export const TEETH = [5, 2000] as const
/** A yes that is wanted: no scale, only right or not. */
export const wanted = (right: boolean, source: string, consequence: string): Held => ({
  verdict: right ? 'Holds' : 'Out',
  share: null,
  side: right ? null : 'high',
  limits: { max: 0 },
  source,
  consequence: right ? null : consequence,
})
