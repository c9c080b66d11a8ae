import { fitOfClasses, parseClass } from '../../fits/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum } from '../define.ts'
import { text } from '../fields.ts'
import { NOMINAL, limitFigures, ends } from './shared.ts'

export const limitsAndFitsSum = defineSum({
  name: 'limits-and-fits',
  craft: 'fits',
  title: 'Fit from its classes',
  about: 'Limits of hole and shaft, and what clearance or interference they make.',
  source: 'ISO 286-1:2010 and ISO 286-2:2010',
  fields: { nominalMm: NOMINAL, hole: text('Hole class', 6), shaft: text('Shaft class', 6) },
  example: { nominalMm: 60, hole: 'H7', shaft: 'k6' },
  work: ({ nominalMm, hole, shaft }) => {
    const [holeClass, shaftClass] = [parseClass(hole), parseClass(shaft)]
    if (holeClass.ok && holeClass.value.side === 'shaft')
      return refuse(`“${hole}” is a shaft class. A hole has a capital letter, such as H7.`)
    if (shaftClass.ok && shaftClass.value.side === 'hole')
      return refuse(`“${shaft}” is a hole class. A shaft has a small letter, such as k6.`)
    return answering(fitOfClasses(nominalMm, hole, shaft), fit => ({
      figures: [
        { key: 'maxClearanceUm', what: 'Maximum clearance', value: fit.maxClearanceUm, unit: 'µm', decimals: 1 },
        { key: 'minClearanceUm', what: 'Minimum clearance', value: fit.minClearanceUm, unit: 'µm', decimals: 1 },
        { key: 'kind', what: 'Kind of fit', value: fit.kind },
        ...limitFigures(fit.hole, fit.shaft),
      ],
      working: ends(fit.hole, fit.shaft),
    }))
  },
})
