import { heightGrowthMm } from '../../alignment/index.ts'
import { FIT_MATERIAL_NAMES, FIT_MATERIALS } from '../../fits/index.ts'
import { accept } from '../../result.ts'
import { defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, number } from '../fields.ts'
import { LENGTH } from './shared.ts'

export const thermalGrowthSum = defineSum({
  name: 'thermal-growth',
  craft: 'alignment',
  title: 'Growth of the feet',
  about:
    'How far a machine’s shaft rises from cold to running, by its height above the base and the warmth of its feet.',
  source: 'linear expansion, h·α·ΔT',
  fields: {
    heightMm: number('Shaft above the base', 'mm', LENGTH),
    frontWarmerK: number('Front feet warm by', 'K', [-100, 400]),
    backWarmerK: number('Back feet warm by', 'K', [-100, 400]),
    of: fallback(choice('It stands on', FIT_MATERIAL_NAMES), 'cast iron, grey'),
  },
  example: { heightMm: 280, frontWarmerK: 35, backWarmerK: 22, of: 'cast iron, grey' },
  work: ({ heightMm, frontWarmerK, backWarmerK, of }) => {
    const { expansion } = FIT_MATERIALS[of]
    const grows = (k: number) => heightGrowthMm(heightMm, expansion, k)
    const at = (name: string, k: number) =>
      line(name, 'h·α·ΔT', `${say(heightMm)}·${say(expansion, 1)}·10⁻⁶·${say(k, 1)}`, `${say(grows(k))} mm`)
    return accept({
      figures: [
        fig('growFrontMm', 'Front feet grow', grows(frontWarmerK), 'mm', 3),
        fig('growBackMm', 'Back feet grow', grows(backWarmerK), 'mm', 3),
      ],
      working: [at('Front', frontWarmerK), at('Back', backWarmerK)],
      notes: ['Measured growth goes before worked out: dials on the housing from cold to steady running.'],
      reading: { row: 'figure', tries: [[grows(frontWarmerK)]] },
    })
  },
})
