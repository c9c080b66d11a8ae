import { leftOpen } from '../../verdict.ts'
import {
  judgeWithUncertainty,
  lengthAt20,
  uncertaintyOfDifference,
  EXPANSION_PER_K,
  MATERIALS,
} from '../../gauging/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line, say } from '../define.ts'
import { choice, fallback, flag, number, optional } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { DIAL_UM, SIZE } from './shared.ts'

export const at20Sum = defineSum({
  name: 'at-20',
  craft: 'gauging',
  title: 'Bore and shaft at 20 °C',
  about: 'Two parts read at different temperatures, brought to 20 °C before they are subtracted.',
  source:
    'ISO 1 (reference temperature); uncertainty of a difference ISO/IEC Guide 98-3; proof with uncertainty after ISO 14253-1',
  fields: {
    boreMm: number('Bore as read', 'mm', SIZE),
    boreC: optional(number('Bore at', '°C', [-60, 200])),
    boreOf: fallback(choice('Bore is of', MATERIALS), 'carbon steel'),
    shaftMm: number('Shaft as read', 'mm', SIZE),
    shaftC: optional(number('Shaft at', '°C', [-60, 200])),
    shaftOf: fallback(choice('Shaft is of', MATERIALS), 'carbon steel'),
    uncertaintyBoreUm: fallback(number('Uncertainty, bore', 'µm', [0, 500]), 0),
    uncertaintyShaftUm: fallback(number('Uncertainty, shaft', 'µm', [0, 500]), 0),
    minUm: makerMin('µm', DIAL_UM),
    maxUm: makerMax('µm', DIAL_UM),
    soaked: flag('Parts, gauge and master stood together until all had one temperature'),
  },
  example: {
    boreMm: 60.024,
    boreC: 31,
    boreOf: 'bronze',
    shaftMm: 59.983,
    shaftC: 20,
    shaftOf: 'carbon steel',
    uncertaintyBoreUm: 2,
    uncertaintyShaftUm: 1,
    minUm: 20,
    maxUm: 60,
    soaked: true,
  },
  work: given => {
    const bore = lengthAt20(given.boreMm, given.boreC ?? 20, given.boreOf)
    if (!bore.ok) return bore
    const shaft = lengthAt20(given.shaftMm, given.shaftC ?? 20, given.shaftOf)
    if (!shaft.ok) return shaft
    const clearance = (bore.value - shaft.value) * 1000
    const u = uncertaintyOfDifference(given.uncertaintyBoreUm, given.uncertaintyShaftUm)
    const limits = { min: given.minUm, max: given.maxUm }
    const known = given.boreC !== undefined && given.shaftC !== undefined && given.soaked
    const held = hold(clearance, limits, { low: 'the parts may bind when warm', high: 'the fit is slack' })
    const judged = judgeWithUncertainty(clearance, limits, u)
    const open = !known || (judged.verdict === 'Open' && held.verdict !== 'Open')
    return accept({
      figures: [
        {
          key: 'clearanceUm',
          what: 'Clearance at 20 °C',
          value: clearance,
          unit: 'µm',
          decimals: 1,
          held: open
            ? leftOpen(held, known ? 'nearer to a limit than its uncertainty' : 'not at one known temperature')
            : held,
        },
        { key: 'bore20Mm', what: 'Bore at 20 °C', value: bore.value, unit: 'mm', decimals: 4 },
        { key: 'shaft20Mm', what: 'Shaft at 20 °C', value: shaft.value, unit: 'mm', decimals: 4 },
        { key: 'uncertaintyUm', what: 'Uncertainty of the difference', value: u, unit: 'µm', decimals: 1 },
      ],
      working: [
        line(
          'Bore',
          'L/(1 + α·(T − 20))',
          `${say(given.boreMm, 4)}/(1 + ${say(EXPANSION_PER_K[given.boreOf] * 1e6, 1)}·10⁻⁶·${say((given.boreC ?? 20) - 20, 1)})`,
          `${say(bore.value, 4)} mm`,
        ),
        line(
          'Shaft',
          'L/(1 + α·(T − 20))',
          `${say(given.shaftMm, 4)}/(1 + ${say(EXPANSION_PER_K[given.shaftOf] * 1e6, 1)}·10⁻⁶·${say((given.shaftC ?? 20) - 20, 1)})`,
          `${say(shaft.value, 4)} mm`,
        ),
        line('Clearance', 'bore − shaft', `${say(bore.value, 4)} − ${say(shaft.value, 4)}`, `${say(clearance, 1)} µm`),
        line(
          'Uncertainty',
          '√(u₁² + u₂²)',
          `√(${say(given.uncertaintyBoreUm)}² + ${say(given.uncertaintyShaftUm)}²)`,
          `${say(u, 1)} µm`,
        ),
      ],
      notes: [
        ...(known ? [] : ['Not soaked, or a temperature is not known: the fit stays open.']),
        ...(known && open
          ? [
              'It stands nearer to a limit than its uncertainty: neither inside nor outside is shown. Measure with a finer gauge.',
            ]
          : []),
      ],
      reading: { row: 'figure', tries: [[clearance / 1000]] },
    })
  },
})
