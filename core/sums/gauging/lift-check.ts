import { refuse } from '../../result.ts'
import { lift } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, number, optional } from '../fields.ts'
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
    toBearingMm: optional(
      number('Pivot to bearing', 'mm', [1, 20000], 'both lengths, or neither where the dial stands on the bearing'),
    ),
    toDialMm: optional(number('Pivot to dial', 'mm', [1, 20000])),
    maxMm: makerMax('mm', [0, 20]),
  },
  example: { upMm: 0.08, downMm: -0.06, style: 'signed readings', toBearingMm: 820, toDialMm: 900, maxMm: 0.2 },
  work: ({ upMm, downMm, style, toBearingMm, toDialMm, maxMm }) => {
    const isLevered = toBearingMm !== undefined && toDialMm !== undefined
    if (!isLevered && (toBearingMm !== undefined || toDialMm !== undefined))
      return refuse(
        `A lever has two lengths: give “${toBearingMm === undefined ? 'Pivot to bearing' : 'Pivot to dial'}” too, or neither.`,
      )
    const ratio = isLevered ? `·${say(toBearingMm)}/${say(toDialMm)}` : ''
    const rule = isLevered ? '·b/d' : ''
    return answering(lift(upMm, downMm, style, isLevered ? toBearingMm / toDialMm : 1), total => ({
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
          `${style === 'travels' ? '(up + down)' : '|up − down|'}${rule}`,
          `${style === 'travels' ? `(${say(upMm)} + ${say(downMm)})` : `|${say(upMm)} − ${say(downMm)}|`}${ratio}`,
          `${say(total)} mm`,
        ),
      ],
      reading: { row: 'lift', tries: [[upMm, downMm]], style },
    }))
  },
})
