import { number } from '../fields.ts'

export const SIZE = [0.5, 3000] as const
export const FRICTION = number('Friction', '1', [0.001, 0.95])
export const YIELD = { high: 'the ring yields: it will not grip again, or it cracks' }
