import { refuse } from '../../result.ts'
import { bearingRingLimits, fitOfLimits, limitsOfClass } from '../../fits/index.ts'
import { LOAD_CASES, LOADS, seatClasses } from '../../rollers/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, optional } from '../fields.ts'
import { BORE, OUTSIDE } from './shared.ts'

export const bearingFitSum = defineSum({
  name: 'bearing-fit',
  craft: 'rollers',
  title: 'Seats from the load',
  about: 'Which seat classes the rings want, from which ring turns against the load. Two schools.',
  source: 'general guidance of workshop handbooks; ISO 286-2 and ISO 492 for the fit they make',
  fields: {
    boreMm: BORE,
    outsideMm: optional(OUTSIDE),
    elements: choice('Rolling elements', ['ball', 'roller']),
    loadCase: choice('Load', LOAD_CASES),
    load: choice('How heavy', LOADS),
  },
  example: {
    boreMm: 60,
    outsideMm: 130,
    elements: 'ball',
    loadCase: 'inner ring turns against the load',
    load: 'normal',
  },
  work: ({ boreMm, outsideMm, elements, loadCase, load }) => {
    if (outsideMm !== undefined && outsideMm <= boreMm)
      return refuse('The outside diameter is not above the bore. Change them round, or measure again.')
    return answering(seatClasses(boreMm, elements, loadCase, load), ({ bySize, byHabit }) => {
      const ring = bearingRingLimits(boreMm, 'bore')
      const spanOn = (shaft: string) => {
        const limits = limitsOfClass(boreMm, shaft)
        if (!ring.ok || !limits.ok) return ''
        const fit = fitOfLimits(ring.value, limits.value)
        return `${say(fit.minClearanceUm, 1)} to ${say(fit.maxClearanceUm, 1)} µm clearance on the shaft`
      }
      const own = outsideMm === undefined ? null : bearingRingLimits(outsideMm, 'outside')
      const housing = outsideMm === undefined ? null : limitsOfClass(outsideMm, bySize.housing)
      const outer = own?.ok && housing?.ok ? fitOfLimits(housing.value, own.value) : null
      return {
        figures: [
          { key: 'shaft', what: 'Shaft class, by size and load', value: bySize.shaft },
          { key: 'housing', what: 'Housing class', value: bySize.housing },
          { key: 'shaftByHabit', what: 'Shaft class, workshop’s way', value: byHabit.shaft },
          { key: 'housingByHabit', what: 'Housing class, workshop’s way', value: byHabit.housing },
          ...(outer
            ? [
                {
                  key: 'housingMinUm',
                  what: 'Minimum clearance in the housing',
                  value: outer.minClearanceUm,
                  unit: 'µm',
                  decimals: 1,
                },
                {
                  key: 'housingMaxUm',
                  what: 'Maximum clearance in the housing',
                  value: outer.maxClearanceUm,
                  unit: 'µm',
                  decimals: 1,
                },
              ]
            : []),
        ],
        working: [
          line(
            'Tight ring',
            'the ring that turns against the load',
            loadCase,
            loadCase.startsWith('outer')
              ? 'outer ring tight, shaft easy'
              : loadCase.startsWith('inner')
                ? 'inner ring tight, housing easy'
                : 'both tight',
          ),
        ],
        schools: [
          {
            name: `By size and load: ${bySize.shaft}, ${bySize.housing}`,
            gives: spanOn(bySize.shaft),
            why: bySize.why,
          },
          {
            name: `Workshop’s way: ${byHabit.shaft}, ${byHabit.housing}`,
            gives: spanOn(byHabit.shaft),
            why: byHabit.why,
          },
        ],
        notes: ['General guidance. The maker’s manual goes before both.'],
      }
    })
  },
})
