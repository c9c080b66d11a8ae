import { seriesStands } from '../../gauging/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line, say } from '../define.ts'
import { number } from '../fields.ts'
import { hold } from '../limits.ts'
import { DIAL_UM } from './shared.ts'

export const seriesSum = defineSum({
  name: 'series',
  craft: 'gauging',
  title: 'Zero before and after',
  about: 'Whether a series stands: the zero or master checked before and after it.',
  source: 'workshop practice: a shift over a tenth of the tolerance asks for the series again',
  fields: {
    beforeUm: number('Master read before', 'µm', DIAL_UM),
    afterUm: number('Master read after', 'µm', DIAL_UM),
    toleranceUm: number('Tolerance of what was measured', 'µm', [0.1, 100000]),
  },
  example: { beforeUm: 0, afterUm: 2, toleranceUm: 30 },
  work: ({ beforeUm, afterUm, toleranceUm }) => {
    const shift = Math.abs(afterUm - beforeUm)
    return accept({
      figures: [
        {
          key: 'shiftUm',
          what: 'Shift',
          value: shift,
          unit: 'µm',
          decimals: 1,
          held: hold(
            shift,
            { max: 0.1 * toleranceUm },
            { high: 'every reading of the series may be off by as much: set the zero and take the series again' },
          ),
        },
        { key: 'stands', what: 'The series stands', value: seriesStands(beforeUm, afterUm, toleranceUm) },
      ],
      working: [
        line('Shift', '|after − before|', `|${say(afterUm)} − ${say(beforeUm)}|`, `${say(shift)} µm`),
        line('Allowed', 'tolerance/10', `${say(toleranceUm)}/10`, `${say(toleranceUm / 10)} µm`),
      ],
    })
  },
})
