import { freeSpanMm, frequencyOfTensionHz, tensionByDeflectionN, tensionByFrequencyN } from '../../drives/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, maker, number, only } from '../fields.ts'
import { hold } from '../limits.ts'

const WAYS = ['force and deflection', 'its own note'] as const
const SIZE = [10, 20000] as const

export const beltTensionSum = defineSum({
  name: 'belt-tension',
  craft: 'drives',
  title: 'Belt tension',
  about: 'Static tension of a belt strand, from a force at mid-span or from the note it gives when plucked.',
  source: 'a strand as a string: T = F·L/(4·δ), T = 4·m·L²·f²',
  fields: {
    centresMm: number('Between centres', 'mm', SIZE),
    largeMm: number('Large pulley', 'mm', SIZE),
    smallMm: number('Small pulley', 'mm', SIZE),
    way: choice('Read by', WAYS),
    forceN: only(number('Force at mid-span', 'N', [0.1, 2000]), 'way', WAYS[0]),
    deflectionMm: only(number('It gives way by', 'mm', [0.1, 500]), 'way', WAYS[0]),
    hz: only(number('It sounds at, Hz', '1', [1, 2000]), 'way', WAYS[1]),
    massKgPerM: only(number('Belt, kg per m', '1', [0.005, 20]), 'way', WAYS[1]),
    minN: maker('min', number('Maker’s minimum', 'N', [1, 200000])),
    maxN: maker('max', number('Maker’s maximum', 'N', [1, 200000])),
  },
  example: {
    centresMm: 720,
    largeMm: 355,
    smallMm: 180,
    way: 'force and deflection',
    forceN: 28,
    deflectionMm: 11.5,
    minN: 350,
    maxN: 480,
  },
  work: ({ centresMm, largeMm, smallMm, way, forceN, deflectionMm, hz, massKgPerM, minN, maxN }) => {
    const span = freeSpanMm(centresMm, Math.max(largeMm, smallMm), Math.min(largeMm, smallMm))
    if (!span.ok) return span
    const byForce = way === WAYS[0]
    if (byForce ? forceN === undefined || deflectionMm === undefined : hz === undefined || massKgPerM === undefined)
      return refuse(
        byForce
          ? 'Give the force and how far the belt gives way under it.'
          : 'Give the note and the mass of a metre of belt.',
      )
    const tension = byForce
      ? tensionByDeflectionN(forceN!, span.value, deflectionMm!)
      : tensionByFrequencyN(hz!, span.value, massKgPerM!)
    return answering(tension, newtons => ({
      figures: [
        fig(
          'tensionN',
          'Tension of a strand',
          newtons,
          'N',
          0,
          hold(
            newtons,
            { min: minN, max: maxN },
            { low: 'the belt slips, heats and squeals', high: 'bearings and shaft carry the pull: they fail early' },
          ),
        ),
        fig('spanMm', 'Free span', span.value, 'mm', 1),
        ...(!byForce && minN !== undefined && maxN !== undefined
          ? [
              fig(
                'wantedHz',
                'Note wanted, Hz',
                frequencyOfTensionHz((minN + maxN) / 2, span.value, massKgPerM!),
                undefined,
                1,
              ),
            ]
          : []),
        ...(byForce && minN !== undefined && maxN !== undefined
          ? [fig('wantedMm', 'Wanted to give way by', (forceN! * span.value) / (2 * (minN + maxN)), 'mm', 1)]
          : []),
      ],
      working: [
        line(
          'Free span',
          '√(C² − ((D − d)/2)²)',
          `√(${say(centresMm)}² − (${say(Math.abs(largeMm - smallMm))}/2)²)`,
          `${say(span.value, 1)} mm`,
        ),
        byForce
          ? line(
              'Tension',
              'F·L/(4·δ)',
              `${say(forceN!)}·${say(span.value, 1)}/(4·${say(deflectionMm!)})`,
              `${say(newtons, 0)} N`,
            )
          : line(
              'Tension',
              '4·m·L²·f²',
              `4·${say(massKgPerM!)}·${say(span.value / 1000, 4)}²·${say(hz!)}²`,
              `${say(newtons, 0)} N`,
            ),
      ],
      notes: ['Isolated and stood still. A new belt is set again after its first hours.'],
      reading: { row: 'figure', tries: [[newtons]] },
    }))
  },
})
