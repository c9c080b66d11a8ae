import { DISTRIBUTIONS, type Link } from '../../stacks/index.ts'
import { choice, fallback, number, optional, rows, text } from '../fields.ts'
import { makerMax, makerMin } from '../limits.ts'

export const MM = [0, 10000] as const
export const GAP = [-100, 1000] as const
export const LINKS = rows(
  'Lengths',
  {
    name: optional(text('Part', 30)),
    sign: choice('Gap', ['opens', 'closes']),
    nominalMm: number('Length', 'mm', MM),
    plusMm: fallback(number('Plus', 'mm', [0, 100]), 0),
    minusMm: fallback(number('Minus', 'mm', [0, 100]), 0),
    distribution: fallback(choice('Spread', DISTRIBUTIONS), 'normal'),
  },
  [1, 20],
)
export const LIMITS = { minMm: makerMin('mm', GAP), maxMm: makerMax('mm', GAP) }
export const SAYS = { low: 'it closes up and binds', high: 'it is left slack' }
export type Row = {
  name?: string
  sign: 'opens' | 'closes'
  nominalMm: number
  plusMm: number
  minusMm: number
  distribution: Link['distribution'] & string
}
export const asLinks = (links: readonly Row[]): Link[] =>
  links.map(one => ({ ...one, name: one.name ?? '', sign: one.sign === 'opens' ? 1 : -1 }))
export const EXAMPLE: Row[] = [
  { name: 'Housing depth', sign: 'opens', nominalMm: 62, plusMm: 0.05, minusMm: 0, distribution: 'normal' },
  { name: 'Bearing', sign: 'closes', nominalMm: 31, plusMm: 0, minusMm: 0.12, distribution: 'even' },
  { name: 'Spacer', sign: 'closes', nominalMm: 18.4, plusMm: 0.03, minusMm: 0.03, distribution: 'normal' },
  { name: 'Cover spigot', sign: 'closes', nominalMm: 12.5, plusMm: 0.04, minusMm: 0.04, distribution: 'normal' },
  { name: 'Gasket, pressed', sign: 'opens', nominalMm: 0.4, plusMm: 0.05, minusMm: 0.05, distribution: 'triangle' },
]
