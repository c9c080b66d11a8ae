import { compareFoundLeft } from '../../gauging/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line, say } from '../define.ts'
import { number, optional } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { MM } from './shared.ts'

export const foundLeftSum = defineSum({
  name: 'found-left',
  craft: 'gauging',
  title: 'As found, as left',
  about: 'One reading before and after the work: the change, and whether it went toward its limit or away from it.',
  source: 'workshop practice',
  fields: {
    foundMm: number('As found', 'mm', MM),
    leftMm: number('As left', 'mm', MM),
    minMm: makerMin('mm', MM),
    maxMm: makerMax('mm', MM),
    bestMm: optional(number('As new', 'mm', MM)),
  },
  example: { foundMm: 0.61, leftMm: 0.34, minMm: 0.3, maxMm: 0.6, bestMm: 0.3 },
  work: ({ foundMm, leftMm, minMm, maxMm, bestMm }) => {
    const limits = { min: minMm, max: maxMm, best: bestMm }
    const { change, moved } = compareFoundLeft(foundMm, leftMm, limits)
    return accept({
      figures: [
        { key: 'changeMm', what: 'Change', value: change, unit: 'mm', decimals: 3 },
        { key: 'moved', what: 'It went', value: moved },
        { key: 'leftMm', what: 'As left', value: leftMm, unit: 'mm', decimals: 3, held: hold(leftMm, limits) },
      ],
      working: [line('Change', 'left − found', `${say(leftMm)} − ${say(foundMm)}`, `${say(change)} mm`)],
    })
  },
})
