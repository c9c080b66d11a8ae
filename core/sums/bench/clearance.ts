import { accept } from '../../result.ts'
import { worseJudgement } from '../../verdict.ts'
import { figureOf, gauged, heldOf, type BenchSum } from './define.ts'

const FIGURES = ['value', 'least', 'greatest'] as const
const SIDES = ['outer', 'inner'] as const
const keyOf = (side: (typeof SIDES)[number], figure: (typeof FIGURES)[number]) => `${side} ${figure}`
const each = <T>(make: (side: (typeof SIDES)[number], figure: (typeof FIGURES)[number]) => T) =>
  Object.fromEntries(SIDES.flatMap(side => FIGURES.map(figure => [keyOf(side, figure), make(side, figure)])))

/** What lies between an outer and an inner part that two other checks read: mean, and where it is least and greatest. */
export const clearanceSum: BenchSum = {
  name: 'clearance',
  title: 'Clearance',
  fields: check => each(() => ({ ...gauged(check), optional: true as const })),
  from: ({ between }, moment) => each((side, figure) => `${between![side]}@${moment}.${figure}`),
  work: (input, check, { show }) => {
    const of = (side: (typeof SIDES)[number], figure: (typeof FIGURES)[number]) => input[keyOf(side, figure)] as number
    const lines = [
      { what: 'Mean', one: of('outer', 'value'), other: of('inner', 'value') },
      { what: 'Minimum', one: of('outer', 'least'), other: of('inner', 'greatest') },
      { what: 'Maximum', one: of('outer', 'greatest'), other: of('inner', 'least') },
    ]
    const [mean, least, greatest] = lines.map(({ one, other }) => one - other) as [number, number, number]
    const held = [heldOf(least, check), heldOf(greatest, check)]
    const sizes = [
      figureOf('least', 'Minimum', least, check, held[0]),
      figureOf('greatest', 'Maximum', greatest, check, held[1]),
    ]
    return accept({
      figures: [
        ...(held[0] && held[1] && worseJudgement(held[0], held[1]) === held[1] ? sizes.toReversed() : sizes),
        figureOf('value', 'Mean', mean, check),
      ],
      working: lines.map(({ what, one, other }) => ({
        what,
        sum: `${show(one)} − ${show(other)}`,
        gives: show(one - other),
      })),
    })
  },
}
