import { settingWithExtension } from '../../joints/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { number } from '../fields.ts'
import { TORQUE } from './shared.ts'

export const wrenchExtensionSum = defineSum({
  name: 'wrench-extension',
  craft: 'joints',
  title: 'Wrench with an extension',
  about: 'What to set when an extension lengthens the wrench.',
  source: 'levers: T·L/(L + E)',
  fields: {
    torqueNm: number('Torque wanted', 'N·m', TORQUE),
    wrenchMm: number('Wrench, square to grip', 'mm', [20, 5000]),
    extensionMm: number('Extension in line', 'mm', [0, 5000]),
  },
  example: { torqueNm: 170, wrenchMm: 450, extensionMm: 120 },
  work: ({ torqueNm, wrenchMm, extensionMm }) =>
    answering(settingWithExtension(torqueNm, wrenchMm, extensionMm), set => ({
      figures: [{ key: 'settingNm', what: 'Set the wrench to', value: set, unit: 'N·m', decimals: 1 }],
      working: [
        line(
          'Setting',
          'T·L/(L + E)',
          `${say(torqueNm, 1)}·${say(wrenchMm)}/(${say(wrenchMm)} + ${say(extensionMm)})`,
          `${say(set, 1)} N·m`,
        ),
      ],
      notes: ['In line only. An extension at right angles changes nothing.'],
      reading: { row: 'figure', tries: [[set]] },
    })),
})
