import { reduceRoundPart } from '../../gauging/index.ts'
import { worseJudgement } from '../../verdict.ts'
import { cellKey } from '../cells.ts'
import { answering } from '../define.ts'
import { figureOf, gauged, heldOf, READINGS, readings, type BenchSum } from './define.ts'

/** A journal or a bore: stations along, planes round; the smallest and the largest reading are judged. */
export const roundSum: BenchSum = {
  name: 'round',
  title: 'Journal or bore',
  fields: check =>
    readings(check, Object.fromEntries((check.planes ?? ['value']).map(plane => [plane, gauged(check)]))),
  work: ({ readings: read = [] }, check, { show, small }) => {
    const all = read.flatMap(({ name, ...planes }) =>
      Object.entries(planes).map(([plane, mm]) => ({ station: name, plane, mm: Number(mm) })),
    )
    return answering(
      reduceRoundPart(all),
      ({ meanMm, leastMm, greatestMm, taperUm, barrelUm, outOfRoundUm, stations }) => {
        const ends = [stations[0]!, stations.at(-1)!]
        const [least, greatest] = [heldOf(leastMm, check), heldOf(greatestMm, check)]
        const um = (value: number) => small(value / 1000)
        const sizes = [
          figureOf('least', 'Minimum reading', leastMm, check, least),
          figureOf('greatest', 'Maximum reading', greatestMm, check, greatest),
        ]
        return {
          figures: [
            ...(least && greatest && worseJudgement(least, greatest) === greatest ? sizes.toReversed() : sizes),
            figureOf('value', 'Mean', meanMm, check),
            ...all.map(({ station, plane, mm }) => {
              const at = cellKey({ field: READINGS, place: station, column: plane })
              return figureOf(at, [station, plane].join(' '), mm, check, heldOf(mm, check), at)
            }),
          ],
          working: [
            ...stations.map(one => ({
              what: `${one.station || 'Station'}, mean`,
              sum: 'mean of its planes',
              gives: show(one.meanMm),
            })),
            ...(taperUm === null
              ? []
              : [{ what: 'Taper', sum: `${show(ends[0]!.meanMm)} − ${show(ends[1]!.meanMm)}`, gives: um(taperUm) }]),
            ...(barrelUm === null
              ? []
              : [{ what: barrelUm >= 0 ? 'Barrel' : 'Waist', sum: 'middle − mean of the ends', gives: um(barrelUm) }]),
            {
              what: 'Out of round, worst',
              sum: 'maximum − minimum of one station',
              gives: outOfRoundUm === null ? 'open: one plane only' : um(outOfRoundUm),
            },
          ],
          notes: ['Two-point readings miss odd lobes.'],
        }
      },
    )
  },
}
