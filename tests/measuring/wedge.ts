import { accept } from '../../core/result.ts'
import { cellKey } from '../../core/sums/cells.ts'
import { figureOf, gauged, heldOf, READINGS, readings, type BenchSum } from '../../core/sums/bench/define.ts'

/** A way of measuring that the product does not have: both ends of a gap, each pushed both ways; how far it opens is judged. */
export const wedgeSum: BenchSum = {
  name: 'wedge',
  title: 'A gap that opens',
  fields: check => readings(check, { mm: gauged(check, { of: 'pair', figures: 2 }) }),
  work: ({ readings: read = [] }, check, { show }) => {
    const ends = read.map(({ name, mm }) => ({ name, mm: Number(mm) }))
    const opens = Math.max(...ends.map(one => one.mm)) - Math.min(...ends.map(one => one.mm))
    return accept({
      figures: [
        figureOf('value', 'Opens by', opens, check, heldOf(opens, check)),
        ...ends.map(({ name, mm }) => {
          const at = cellKey({ field: READINGS, place: name, column: 'mm' })
          return figureOf(at, name, mm, check, undefined, at)
        }),
      ],
      working: [{ what: 'Opens by', sum: ends.map(one => show(one.mm)).join(' against '), gives: show(opens) }],
    })
  },
}
