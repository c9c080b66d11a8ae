import { number } from '../fields.ts'

export const BORE = number('Bore', 'mm', [1, 500])
export const OUTSIDE = number('Outside diameter', 'mm', [2, 900])
