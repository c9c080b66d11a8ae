import { toothMeeting } from '../../marks/index.ts'
import { answering, defineSum, line } from '../define.ts'
import { whole } from '../fields.ts'
import { TEETH } from './shared.ts'

export const huntingSum = defineSum({
  name: 'hunting',
  craft: 'marks',
  title: 'Do two teeth meet',
  about: 'Whether a damaged tooth ever meets a marked one, and after how many turns.',
  source: 'congruence of the tooth counts',
  fields: {
    pinionTeeth: whole('Pinion teeth', TEETH),
    wheelTeeth: whole('Wheel teeth', TEETH),
    pinionTooth: whole('Tooth of the pinion', [1, 2000]),
    wheelTooth: whole('Tooth of the wheel', [1, 2000]),
  },
  example: { pinionTeeth: 17, wheelTeeth: 100, pinionTooth: 3, wheelTooth: 54 },
  work: input =>
    answering(
      toothMeeting(input.pinionTeeth, input.wheelTeeth, input.pinionTooth, input.wheelTooth),
      ({ meet, afterPinionTurns, meets }) => ({
        figures: [
          { key: 'meet', what: 'They meet', value: meet },
          { key: 'afterPinionTurns', what: 'First, after pinion turns', value: afterPinionTurns, decimals: 0 },
        ],
        working: [
          line('Meets', '(i − 1) + k·z1 modulo z2', `pinion tooth ${input.pinionTooth}`, meets.slice(0, 12).join(' ')),
        ],
        more: { meets },
      }),
    ),
})
