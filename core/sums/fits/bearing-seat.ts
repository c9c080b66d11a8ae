import { bearingRingLimits, fitOfLimits, limitsOfClass, parseClass } from '../../fits/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum } from '../define.ts'
import { choice, text } from '../fields.ts'
import { NOMINAL, limitFigures, ends } from './shared.ts'

export const bearingSeatSum = defineSum({
  name: 'bearing-seat',
  craft: 'fits',
  title: 'Bearing ring on its seat',
  about: 'A rolling bearing’s ring, which runs from zero downwards, on a shaft or in a housing of a given class.',
  source: 'ISO 492 Normal class for the ring; ISO 286-2 for the seat; cylindrical bores of radial bearings',
  fields: {
    ring: choice('Ring', ['inner, on the shaft', 'outer, in the housing']),
    nominalMm: NOMINAL,
    seat: text('Class of the seat', 6),
  },
  example: { ring: 'inner, on the shaft', nominalMm: 60, seat: 'k6' },
  work: ({ ring, nominalMm, seat }) => {
    const inner = ring === 'inner, on the shaft'
    const parsed = parseClass(seat)
    if (!parsed.ok) return parsed
    if (parsed.value.side !== (inner ? 'shaft' : 'hole'))
      return refuse(
        inner
          ? `“${seat}” is a hole class; the inner ring sits on a shaft. Use a small letter, such as k6.`
          : `“${seat}” is a shaft class; the outer ring sits in a housing. Use a capital letter, such as H7.`,
      )
    const limits = limitsOfClass(nominalMm, seat)
    if (!limits.ok) return limits
    return answering(bearingRingLimits(nominalMm, inner ? 'bore' : 'outside'), own => {
      const [hole, shaft] = inner ? [own, limits.value] : [limits.value, own]
      const fit = fitOfLimits(hole, shaft)
      return {
        figures: [
          { key: 'maxClearanceUm', what: 'Maximum clearance', value: fit.maxClearanceUm, unit: 'µm', decimals: 1 },
          { key: 'minClearanceUm', what: 'Minimum clearance', value: fit.minClearanceUm, unit: 'µm', decimals: 1 },
          { key: 'kind', what: 'Kind of fit', value: fit.kind },
          ...limitFigures(hole, shaft),
        ],
        working: ends(hole, shaft),
        notes: [
          'Limits of the ring apply to its mean diameter. Tapered bores, tapered rollers, inch and P5/P6 sets have limits of their own.',
        ],
      }
    })
  },
})
