import { accept } from '../../result.ts'
import { defineSum, line, say } from '../define.ts'
import { number } from '../fields.ts'
import { hold, makerMax } from '../limits.ts'
import { MM } from './shared.ts'

const APART = 'two readings of one thing that must agree do not: something moved, or is held, between them'

export const agreeSum = defineSum({
  name: 'agree',
  craft: 'gauging',
  title: 'Two readings held together',
  about: 'The same thing read twice, as a float before and after the cover: whether the two agree.',
  source: 'workshop practice',
  fields: {
    firstMm: number('First reading', 'mm', MM),
    secondMm: number('Second reading', 'mm', MM),
    maxMm: makerMax('mm', [0, 100]),
  },
  example: { firstMm: 0.32, secondMm: 0.29, maxMm: 0.05 },
  work: ({ firstMm, secondMm, maxMm }) => {
    const changeMm = secondMm - firstMm
    const apart = Math.abs(changeMm)
    return accept({
      figures: [
        {
          key: 'apartMm',
          what: 'Apart',
          value: apart,
          unit: 'mm',
          decimals: 3,
          held: hold(apart, { max: maxMm }, { high: APART }),
        },
        { key: 'changeMm', what: 'Second − first', value: changeMm, unit: 'mm', decimals: 3 },
      ],
      working: [line('Apart', '|second − first|', `|${say(secondMm)} − ${say(firstMm)}|`, `${say(apart)} mm`)],
    })
  },
})
