import { boltStrength, readThread, BOLT_CLASS_NAMES } from '../../joints/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, text } from '../fields.ts'

export const threadSum = defineSum({
  name: 'thread',
  craft: 'joints',
  title: 'Thread and strength',
  about: 'Pitch, stress area and what a bolt of a class may be loaded against.',
  source: 'ISO 261, ISO 898-1, ISO 3506-1, ASME B1.1, SAE J429, ASTM A193',
  fields: { thread: text('Thread', 20, 'M16, M16x1.5, 1/2 UNC'), boltClass: choice('Class', BOLT_CLASS_NAMES) },
  example: { thread: 'M20', boltClass: '8.8' },
  work: ({ thread, boltClass }) => {
    const read = readThread(thread)
    if (!read.ok) return read
    return answering(boltStrength(boltClass, read.value), ({ mpa, what, standard }) => ({
      figures: [
        {
          key: 'proofLoadN',
          what: 'Load at that stress',
          value: mpa * read.value.stressAreaMm2,
          unit: 'N',
          decimals: 0,
        },
        { key: 'pitchMm', what: 'Pitch', value: read.value.pitchMm, unit: 'mm', decimals: 3 },
        { key: 'stressAreaMm2', what: 'Stress area, mm²', value: read.value.stressAreaMm2, decimals: 1 },
        {
          key: 'strengthMPa',
          what: `${what[0]!.toUpperCase()}${what.slice(1)}`,
          value: mpa,
          unit: 'MPa',
          decimals: 0,
        },
        { key: 'name', what: 'Thread', value: read.value.name },
      ],
      working: [
        line(
          'Load',
          'A·σ',
          `${say(read.value.stressAreaMm2, 1)}·${say(mpa, 0)}`,
          `${say(mpa * read.value.stressAreaMm2, 0)} N`,
        ),
      ],
      notes: [`${what} by ${standard}.`],
    }))
  },
})
