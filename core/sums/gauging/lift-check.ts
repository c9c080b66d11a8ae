import { lift } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, fallback, number } from '../fields.ts'
import { hold, makerMax } from '../limits.ts'

export const liftCheckSum = defineSum({
  name: 'lift-check',
  craft: 'gauging',
  title: 'Lift of a free end',
  about: 'Free end up, then down: total radial play at the bearing. Two ways of writing it are never mixed.',
  source: 'workshop practice; similar triangles for the lever',
  fields: {
    upMm: number('Up', 'mm', [-20, 20]),
    downMm: number('Down', 'mm', [-20, 20]),
    style: choice('Written as', ['signed readings', 'travels']),
    toBearingMm: fallback(number('Pivot to bearing', 'mm', [1, 20000]), 1000),
    toDialMm: fallback(number('Pivot to dial', 'mm', [1, 20000]), 1000),
    maxMm: makerMax('mm', [0, 20]),
  },
  example: { upMm: 0.08, downMm: -0.06, style: 'signed readings', toBearingMm: 820, toDialMm: 900, maxMm: 0.2 },
  work: ({ upMm, downMm, style, toBearingMm, toDialMm, maxMm }) =>
    answering(lift(upMm, downMm, style, toBearingMm / toDialMm), total => ({
      figures: [
        {
          key: 'liftMm',
          what: 'Lift at the bearing',
          value: total,
          unit: 'mm',
          decimals: 3,
          held: hold(
            total,
            { max: maxMm },
            { high: 'the bearing is slack: the shaft drops and the seal runs out of true' },
          ),
        },
      ],
      working: [
        line(
          'Total',
          style === 'travels' ? '(up + down)·b/d' : '|up − down|·b/d',
          style === 'travels'
            ? `(${say(upMm)} + ${say(downMm)})·${say(toBearingMm)}/${say(toDialMm)}`
            : `|${say(upMm)} − ${say(downMm)}|·${say(toBearingMm)}/${say(toDialMm)}`,
          `${say(total)} mm`,
        ),
      ],
      reading: { kind: 'lift', tries: [[upMm, downMm]], style },
    })),
})
