import { boltStrength, readThread, stretchPerNewton, BOLT_CLASS_NAMES } from '../../joints/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, number, optional, text } from '../fields.ts'
import { hold } from '../limits.ts'
import { LOAD, proofFigures } from './shared.ts'

export const studStretchSum = defineSum({
  name: 'stud-stretch',
  craft: 'joints',
  title: 'Stud by its stretch',
  about: 'How far a stud must stretch for a load, and what load its measured stretch stands for.',
  source: 'Hooke, Σ L/(E·A); half a nut’s height of thread counts at each nut',
  fields: {
    thread: text('Thread', 20, 'M36, 1 1/2-8 UN'),
    boltClass: choice('Class', BOLT_CLASS_NAMES),
    threadedMm: number('Thread that stretches', 'mm', [1, 5000], 'between the nuts, and half of each nut'),
    shankMm: fallback(number('Plain shank between', 'mm', [0, 5000]), 0),
    shankDiameterMm: optional(
      number('Shank, diameter', 'mm', [1, 300], 'the thread’s own where it is not turned down'),
    ),
    loadN: number('Load wanted', 'N', LOAD),
    modulusMPa: fallback(number('Modulus', 'MPa', [50000, 250000]), 205000),
    stretchedMm: optional(number('Stretched by, measured', 'mm', [0, 20])),
  },
  example: {
    thread: 'M36',
    boltClass: 'B7',
    threadedMm: 70,
    shankMm: 180,
    shankDiameterMm: 30,
    loadN: 300000,
    modulusMPa: 205000,
    stretchedMm: 0.5,
  },
  work: ({ thread, boltClass, threadedMm, shankMm, shankDiameterMm, loadN, modulusMPa, stretchedMm }) => {
    const read = readThread(thread)
    if (!read.ok) return read
    const strength = boltStrength(boltClass, read.value)
    if (!strength.ok) return strength
    const shankArea = (Math.PI / 4) * (shankDiameterMm ?? read.value.diameterMm) ** 2
    const least = Math.min(read.value.stressAreaMm2, shankMm > 0 ? shankArea : Infinity)
    const lengths = [
      { lengthMm: threadedMm, areaMm2: read.value.stressAreaMm2 },
      ...(shankMm > 0 ? [{ lengthMm: shankMm, areaMm2: shankArea }] : []),
    ]
    return answering(stretchPerNewton(lengths, modulusMPa), perN => {
      const wantedMm = loadN * perN
      return {
        figures: [
          ...(stretchedMm === undefined
            ? []
            : [
                fig(
                  'loadN',
                  'Load by its stretch',
                  stretchedMm / perN,
                  'N',
                  0,
                  hold(
                    stretchedMm / perN,
                    {},
                    {
                      low: 'the joint is short of load: it leaks or works loose',
                      high: 'more than was wanted: the stud or its thread is strained',
                    },
                    {
                      limits: { min: 0.9 * loadN, max: 1.1 * loadN, best: loadN },
                      source: 'a tenth either side of the load wanted',
                    },
                  ),
                ),
              ]),
          fig('wantedMm', 'Stretch wanted', wantedMm, 'mm', 3),
          // Where it is thinnest, by the load it carries.
          ...proofFigures(stretchedMm === undefined ? loadN : stretchedMm / perN, least, strength.value),
        ],
        working: [
          ...lengths.map((one, i) =>
            line(
              i ? 'Shank' : 'Thread',
              'L/(E·A)',
              `${say(one.lengthMm)}/(${say(modulusMPa, 0)}·${say(one.areaMm2, 1)})`,
              `${say((one.lengthMm / (modulusMPa * one.areaMm2)) * 1e6, 4)} mm a MN`,
            ),
          ),
          line('Stretch', 'F·Σ L/(E·A)', `${say(loadN / 1e6, 4)}·${say(perN * 1e6, 4)}`, `${say(wantedMm)} mm`),
        ],
        notes: ['Length read before and after with one gauge, the stud at one temperature.'],
        reading: { row: 'figure', tries: [[stretchedMm ?? wantedMm]] },
      }
    })
  },
})
