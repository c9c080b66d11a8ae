import { number } from '../fields.ts'

export const GAP = [0.001, 5] as const
export const WIDTH = [0.01, 50] as const
export const SIZE = [1, 2000] as const
export const STRIP = number('Strip’s own diameter', 'mm', [0.01, 3])
export const NARROW = {
  low: 'the film breaks and the bearing wipes',
  high: 'oil runs away, the shaft whips and the seal leaks',
}
export const VOID =
  'A strip is void if the shaft turned or the half slid. The shaft rests in its lower half, cap at full torque.'
export const UNFIT_STRIP = 'this strip cannot measure that gap'
export const wants = (which: 'thicker' | 'thinner' | null) =>
  which ? [`This strip cannot measure that gap: take a ${which} one. The figure is no reading.`] : []
