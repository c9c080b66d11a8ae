import { reduceRunout, shaftShape, type Runout } from '../../gauging/index.ts'
import { parseQuantity } from '../../quantity/index.ts'
import { accept, refuse } from '../../result.ts'
import { defineSum, line, say } from '../define.ts'
import { fallback, number, rows, text } from '../fields.ts'
import { hold, makerMax } from '../limits.ts'

export const shaftShapeSum = defineSum({
  name: 'shaft-shape',
  craft: 'gauging',
  title: 'Shaft along its length',
  about: 'Sweeps at several stations: where the high spots stand says whether it is bent, cranked or worn.',
  source:
    'first harmonic at each station; in line and largest at mid-span is a bend, growing to one end is that end, opposed is a crank',
  fields: {
    sweeps: rows(
      'Sweeps',
      { station: text('Station', 20), readings: text('Readings round, µm', 200, 'parted by blanks') },
      [2, 12],
    ),
    trueUnderUm: fallback(number('True under', 'µm', [0, 1000]), 10),
    maxUm: makerMax('µm', [0, 10000]),
  },
  example: {
    sweeps: [
      { station: 'drive end', readings: '0 8 12 9 0 -8 -12 -9' },
      { station: 'middle', readings: '0 25 36 24 0 -26 -35 -24' },
      { station: 'non-drive end', readings: '1 9 13 8 0 -9 -12 -8' },
    ],
    trueUnderUm: 10,
    maxUm: 50,
  },
  work: ({ sweeps, trueUnderUm, maxUm }) => {
    const stations: { station: string; run: Runout }[] = []
    for (const { station, readings } of sweeps) {
      const figures = readings
        .trim()
        .split(/[\s;]+/)
        .map(word => parseQuantity(word, { kind: 'length', unit: 'µm' }))
      const bad = figures.find(one => !one.ok)
      if (bad && !bad.ok) return refuse(`${station || 'A station'}: ${bad.why}`)
      const run = reduceRunout(figures.map(one => (one.ok ? one.value.value * 1000 : 0)))
      if (!run.ok) return refuse(`${station || 'A station'}: ${run.why}`)
      stations.push({ station, run: run.value })
    }
    const worst = stations.reduce((a, b) => (b.run.tirUm > a.run.tirUm ? b : a))
    return accept({
      figures: [
        {
          key: 'worstUm',
          what: `Run-out, ${worst.station || 'worst'}`,
          value: worst.run.tirUm,
          unit: 'µm',
          decimals: 1,
          held: hold(
            worst.run.tirUm,
            { max: maxUm },
            { high: 'seals leak and bearings run hot: straighten or renew the shaft' },
          ),
        },
        {
          key: 'shape',
          what: 'The shaft is',
          value: shaftShape(
            stations.map(one => one.run),
            trueUnderUm,
          ),
        },
        { key: 'bendUm', what: 'Bend there', value: worst.run.eccentricityUm, unit: 'µm', decimals: 1 },
      ],
      working: stations.map(({ station, run }) =>
        line(
          station || 'Station',
          'run-out; eccentricity; high spot; form',
          `${say(run.tirUm, 1)}; ${say(run.eccentricityUm, 1)} µm; ${say(run.highSpotDeg, 0)}°; ${say(run.formErrorUm, 1)} µm`,
          `${say(run.tirUm, 1)} µm`,
        ),
      ),
      notes: stations.some(one => one.run.coarse)
        ? ['Fewer than eight readings can miss 30 % and take three lobes for a bend.']
        : [],
      more: { stations: stations.map(({ station, run }) => ({ station, ...run })) },
    })
  },
})
