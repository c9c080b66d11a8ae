import { holdAgainst } from '../../verdict.ts'
import { clearanceAfterMounting } from '../../rollers/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, fallback, number } from '../fields.ts'
import { makerMin } from '../limits.ts'
import { BORE, OUTSIDE } from './shared.ts'

const UM = [-1000, 2000] as const

export const clearanceAfterMountingSum = defineSum({
  name: 'clearance-after-mounting',
  craft: 'rollers',
  title: 'Clearance after mounting',
  about: 'What is left of a bearing’s clearance once both fits have taken theirs and the inner ring is warm.',
  source: 'thick-ring estimate of bearing textbooks; clearance groups ISO 5753-1; on the safe side',
  fields: {
    boreMm: BORE,
    outsideMm: OUTSIDE,
    unmountedLeastUm: number('Unmounted, minimum', 'µm', [0, 1000]),
    unmountedGreatestUm: number('Unmounted, maximum', 'µm', [0, 1000]),
    innerLeastUm: number('Inner ring interference, minimum', 'µm', UM, 'negative is clearance'),
    innerGreatestUm: number('Inner ring interference, maximum', 'µm', UM),
    outerLeastUm: fallback(number('Outer ring interference, minimum', 'µm', UM), 0),
    outerGreatestUm: fallback(number('Outer ring interference, maximum', 'µm', UM), 0),
    seat: fallback(choice('Seats are', ['ground', 'turned']), 'ground'),
    warmerK: fallback(number('Inner ring warmer by', 'K', [0, 100]), 10),
    minUm: makerMin('µm', [0, 1000]),
  },
  example: {
    boreMm: 60,
    outsideMm: 130,
    unmountedLeastUm: 23,
    unmountedGreatestUm: 43,
    innerLeastUm: 2,
    innerGreatestUm: 36,
    outerLeastUm: 0,
    outerGreatestUm: 0,
    seat: 'ground',
    warmerK: 10,
  },
  work: given => {
    const result = clearanceAfterMounting({
      boreMm: given.boreMm,
      outsideMm: given.outsideMm,
      unmounted: { leastUm: given.unmountedLeastUm, greatestUm: given.unmountedGreatestUm },
      inner: { leastUm: given.innerLeastUm, greatestUm: given.innerGreatestUm },
      outer: { leastUm: given.outerLeastUm, greatestUm: given.outerGreatestUm },
      seat: given.seat,
      warmerK: given.warmerK,
    })
    return answering(result, left => {
      const limit = given.minUm ?? 0
      const worst = holdAgainst(
        left.running.leastUm,
        { min: limit, best: Math.max(left.running.greatestUm, limit + 1) },
        given.minUm === undefined ? 'zero: below it the bearing runs preloaded' : 'typed here, from the maker’s manual',
        { low: 'the bearing may run preloaded: it heats, and heat tightens it further' },
      )
      const [d, di, Do] = [given.boreMm, left.innerRacewayMm, left.outerRacewayMm]
      return {
        figures: [
          {
            key: 'runningLeastUm',
            what: 'Running, worst case',
            value: left.running.leastUm,
            unit: 'µm',
            decimals: 1,
            held: worst,
          },
          {
            key: 'runningGreatestUm',
            what: 'Running, maximum',
            value: left.running.greatestUm,
            unit: 'µm',
            decimals: 1,
          },
          {
            key: 'mountedLeastUm',
            what: 'Mounted cold, minimum',
            value: left.mounted.leastUm,
            unit: 'µm',
            decimals: 1,
          },
          {
            key: 'mountedGreatestUm',
            what: 'Mounted cold, maximum',
            value: left.mounted.greatestUm,
            unit: 'µm',
            decimals: 1,
          },
          {
            key: 'innerLossUm',
            what: 'Lost to the inner fit, most',
            value: left.innerLoss.greatestUm,
            unit: 'µm',
            decimals: 1,
          },
          {
            key: 'outerLossUm',
            what: 'Lost to the outer fit, most',
            value: left.outerLoss.greatestUm,
            unit: 'µm',
            decimals: 1,
          },
          { key: 'temperatureLossUm', what: 'Lost to heat', value: left.temperatureLossUm, unit: 'µm', decimals: 1 },
        ],
        working: [
          line(
            'Raceways',
            'd + (D − d)/4; D − (D − d)/4',
            `${say(d)} and ${say(given.outsideMm)}`,
            `${say(di, 1)} and ${say(Do, 1)} mm`,
          ),
          line(
            'Inner loss',
            `δ·d/(d + ${given.seat === 'ground' ? 2 : 3})·(d/di)`,
            `${say(Math.max(0, given.innerGreatestUm), 1)}·${say(d)}/${say(d + (given.seat === 'ground' ? 2 : 3))}·(${say(d)}/${say(di, 1)})`,
            `${say(left.innerLoss.greatestUm, 1)} µm`,
          ),
          line(
            'Outer loss',
            'δ·(Do/D)',
            `${say(Math.max(0, given.outerGreatestUm), 1)}·(${say(Do, 1)}/${say(given.outsideMm)})`,
            `${say(left.outerLoss.greatestUm, 1)} µm`,
          ),
          line(
            'Heat loss',
            '0.012·ΔT·Do',
            `0.012·${say(given.warmerK)}·${say(Do, 1)}`,
            `${say(left.temperatureLossUm, 1)} µm`,
          ),
          line(
            'Worst case',
            'minimum unmounted − losses',
            `${say(given.unmountedLeastUm)} − ${say(left.innerLoss.greatestUm, 1)} − ${say(left.outerLoss.greatestUm, 1)} − ${say(left.temperatureLossUm, 1)}`,
            `${say(left.running.leastUm, 1)} µm`,
          ),
        ],
        notes: ['An estimate on the safe side; the maker’s figure goes before it.'],
      }
    })
  },
})
