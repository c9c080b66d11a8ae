import type { ToleranceLimits } from '../../fits/index.ts'
import { line, say, type Figure } from '../define.ts'
import { number } from '../fields.ts'

export const NOMINAL = number('Nominal size', 'mm', [0.001, 500])
export const SIZE = [0.001, 501] as const
export const limitFigures = (hole: ToleranceLimits, shaft: ToleranceLimits): Figure[] => [
  { key: 'holeUpperUm', what: 'Hole, upper', value: hole.upperUm, unit: 'µm', decimals: 1 },
  { key: 'holeLowerUm', what: 'Hole, lower', value: hole.lowerUm, unit: 'µm', decimals: 1 },
  { key: 'shaftUpperUm', what: 'Shaft, upper', value: shaft.upperUm, unit: 'µm', decimals: 1 },
  { key: 'shaftLowerUm', what: 'Shaft, lower', value: shaft.lowerUm, unit: 'µm', decimals: 1 },
]
export const ends = (hole: ToleranceLimits, shaft: ToleranceLimits) => [
  line(
    'Maximum clearance',
    'hole upper − shaft lower',
    `${say(hole.upperUm, 1)} − ${say(shaft.lowerUm, 1)}`,
    `${say(hole.upperUm - shaft.lowerUm, 1)} µm`,
  ),
  line(
    'Minimum clearance',
    'hole lower − shaft upper',
    `${say(hole.lowerUm, 1)} − ${say(shaft.upperUm, 1)}`,
    `${say(hole.lowerUm - shaft.upperUm, 1)} µm`,
  ),
]
