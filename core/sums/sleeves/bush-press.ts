import { holdAgainst } from '../../verdict.ts'
import { pressBush } from '../../sleeves/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { fallback, number, optional } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { GAP, SIZE, NARROW } from './shared.ts'

/** Equivalent stress against the yield that was typed; nothing is judged where none was. */
const stressHeld = (equivalentMPa: number, yieldMPa: number | undefined, high: string) =>
  yieldMPa === undefined
    ? {}
    : {
        held: holdAgainst(equivalentMPa, { max: yieldMPa }, 'yield typed here, against the equivalent stress', {
          high,
        }),
      }

export const bushPressSum = defineSum({
  name: 'bush-press',
  craft: 'sleeves',
  title: 'Bush pressed in',
  about: 'How far a bush closes when pressed, and the bore to make before so that it runs right after.',
  source: 'Lamé, thick-walled cylinders, both elastic',
  fields: {
    housingBoreMm: number('Housing bore', 'mm', SIZE),
    bushOutsideMm: number('Bush outside', 'mm', SIZE),
    bushBoreMm: number('Bush bore now', 'mm', SIZE),
    housingOutsideMm: number('Housing outside', 'mm', SIZE),
    lengthMm: number('Length', 'mm', SIZE),
    bushEMPa: fallback(number('Bush, modulus', 'MPa', [500, 450000]), 105000),
    bushPoisson: fallback(number('Bush, Poisson', '1', [0, 0.49]), 0.34),
    housingEMPa: fallback(number('Housing, modulus', 'MPa', [500, 450000]), 110000),
    housingPoisson: fallback(number('Housing, Poisson', '1', [0, 0.49]), 0.26),
    friction: fallback(number('Friction', '1', [0.01, 0.9]), 0.12),
    shaftMm: number('Shaft', 'mm', SIZE),
    wantedClearanceMm: number('Clearance wanted', 'mm', [0, 5]),
    bushYieldMPa: optional(number('Bush, yield', 'MPa', [5, 3000])),
    housingYieldMPa: optional(number('Housing, yield or strength', 'MPa', [5, 3000])),
    minMm: makerMin('mm', GAP),
    maxMm: makerMax('mm', GAP),
  },
  example: {
    housingBoreMm: 70,
    bushOutsideMm: 70.06,
    bushBoreMm: 55.1,
    housingOutsideMm: 120,
    lengthMm: 80,
    bushEMPa: 105000,
    bushPoisson: 0.34,
    housingEMPa: 110000,
    housingPoisson: 0.26,
    friction: 0.12,
    shaftMm: 54.98,
    wantedClearanceMm: 0.12,
    bushYieldMPa: 140,
    housingYieldMPa: 200,
    minMm: 0.1,
    maxMm: 0.16,
  },
  work: ({ minMm, maxMm, bushYieldMPa, housingYieldMPa, ...bush }) =>
    answering(pressBush(bush), made => ({
      figures: [
        {
          key: 'clearanceAfterMm',
          what: 'Clearance after pressing',
          value: made.clearanceAfterMm,
          unit: 'mm',
          decimals: 3,
          held: hold(made.clearanceAfterMm, { min: minMm, max: maxMm }, NARROW),
        },
        {
          key: 'boreBeforeMm',
          what: 'Bore to make before pressing',
          value: made.boreBeforeMm,
          unit: 'mm',
          decimals: 3,
        },
        {
          key: 'takeOutMm',
          what: 'To take out after pressing',
          value: Math.max(0, made.takeOutMm),
          unit: 'mm',
          decimals: 3,
        },
        { key: 'boreClosureMm', what: 'Bore closes by', value: made.boreClosureMm, unit: 'mm', decimals: 4 },
        { key: 'boreAfterMm', what: 'Bore after pressing', value: made.boreAfterMm, unit: 'mm', decimals: 3 },
        { key: 'pressureMPa', what: 'Pressure', value: made.pressureMPa, unit: 'MPa', decimals: 1 },
        { key: 'forceN', what: 'Press force', value: made.forceN, unit: 'N', decimals: 0 },
        { key: 'outerGrowthMm', what: 'Housing grows by', value: made.outerGrowthMm, unit: 'mm', decimals: 4 },
        {
          key: 'hubHoopMPa',
          what: 'Hoop stress, housing bore',
          value: made.hubHoopMPa,
          unit: 'MPa',
          decimals: 1,
          ...stressHeld(made.hubEquivalentMPa, housingYieldMPa, 'the housing yields or cracks: it grips no more'),
        },
        {
          key: 'innerHoopMPa',
          what: 'Hoop stress, bush bore',
          value: made.innerHoopMPa,
          unit: 'MPa',
          decimals: 1,
          ...stressHeld(
            made.innerHoopMPa,
            bushYieldMPa,
            'the bush yields: it closes further, and comes loose when warm',
          ),
        },
        { key: 'interferenceMm', what: 'Interference', value: made.interferenceMm, unit: 'mm', decimals: 3 },
      ],
      working: [
        line(
          'Interference',
          'bush − housing',
          `${say(bush.bushOutsideMm)} − ${say(bush.housingBoreMm)}`,
          `${say(made.interferenceMm)} mm`,
        ),
        line(
          'Closure',
          '2·p·d²·di/((d² − di²)·E)',
          `2·${say(made.pressureMPa, 2)}·${say(bush.housingBoreMm)}²·${say(bush.bushBoreMm)}/((${say(bush.housingBoreMm)}² − ${say(bush.bushBoreMm)}²)·${say(bush.bushEMPa, 0)})`,
          `${say(made.boreClosureMm, 4)} mm`,
        ),
        line(
          'After',
          'bore − closure − shaft',
          `${say(bush.bushBoreMm)} − ${say(made.boreClosureMm, 4)} − ${say(bush.shaftMm)}`,
          `${say(made.clearanceAfterMm)} mm`,
        ),
      ],
      schools: [
        {
          name: 'Pressed',
          gives: `${say(made.forceN / 1000, 0)} kN, in one stroke`,
          why: 'goes in square and leaves its bore round; wants a press with room for the housing',
        },
        {
          name: 'Tapped with guides',
          gives: 'even blows on a drift that fills it',
          why: 'in place, where no press reaches; a blow to one side cocks it',
        },
      ],
      notes: ['An interference bush that was pressed out is not used again.'],
      reading: { row: 'figure', tries: [[made.clearanceAfterMm]] },
    })),
})
