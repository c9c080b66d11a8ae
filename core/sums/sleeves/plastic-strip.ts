import { accept } from '../../result.ts'
import { leftOpen } from '../../verdict.ts'
import { readStripScale, stripReading, type ScaleReading } from '../../sleeves/index.ts'
import { defineSum, line, say } from '../define.ts'
import { number, optional, rows } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { GAP, WIDTH, STRIP, NARROW, UNFIT_STRIP, VOID, wants } from './shared.ts'

/** The scale's two lines and the width between them, put in. */
function betweenLines({ between: [low, high] }: ScaleReading, widthMm: number): string {
  if (low[0] === high[0]) return `${say(low[1], 4)}, on a line of the scale`
  const share = `(${say(widthMm)} − ${say(low[0])})/(${say(high[0])} − ${say(low[0])})`
  return `${say(low[1], 4)} + ${share}·(${say(high[1], 4)} − ${say(low[1], 4)})`
}

export const plasticStripSum = defineSum({
  name: 'plastic-strip',
  craft: 'sleeves',
  title: 'One gauging strip',
  about: 'Clearance from the width of a flattened plastic strip, by its printed scale or by its volume.',
  source: 'volume kept: c = π·d₀²/(4·w); valid for c from 0.2 to 0.5 of d₀',
  fields: {
    stripDiameterMm: STRIP,
    widthMm: number('Width pressed', 'mm', WIDTH),
    scale: optional(
      rows(
        'Printed scale',
        { widthMm: number('Width', 'mm', WIDTH), clearanceMm: number('Clearance', 'mm', GAP) },
        [2, 20],
      ),
    ),
    minMm: makerMin('mm', GAP),
    maxMm: makerMax('mm', GAP),
  },
  example: {
    stripDiameterMm: 0.25,
    widthMm: 0.6,
    scale: [
      { widthMm: 0.9, clearanceMm: 0.055 },
      { widthMm: 0.7, clearanceMm: 0.07 },
      { widthMm: 0.5, clearanceMm: 0.098 },
    ],
    minMm: 0.06,
    maxMm: 0.11,
  },
  work: ({ stripDiameterMm, widthMm, scale, minMm, maxMm }) => {
    const byVolume = stripReading(stripDiameterMm, widthMm)
    if (!byVolume.ok) return byVolume
    const printed = scale?.length
      ? readStripScale(
          scale.map(one => [one.widthMm, one.clearanceMm] as const),
          widthMm,
        )
      : null
    if (printed && !printed.ok) return printed
    const value = printed?.value.clearanceMm ?? byVolume.value.clearanceMm
    const held = hold(value, { min: minMm, max: maxMm }, NARROW)
    const unfit = !printed && byVolume.value.wants
    return accept({
      figures: [
        {
          key: 'clearanceMm',
          what: 'Clearance',
          value,
          unit: 'mm',
          decimals: 4,
          held: unfit ? leftOpen(held, UNFIT_STRIP) : held,
        },
        { key: 'wants', what: 'Strip wanted instead', value: byVolume.value.wants },
      ],
      working: [
        line(
          'By volume',
          'π·d₀²/(4·w)',
          `π·${say(stripDiameterMm)}²/(4·${say(widthMm)})`,
          `${say(byVolume.value.clearanceMm, 4)} mm`,
        ),
        ...(printed
          ? [
              line(
                'By printed scale',
                'c₁ + (w − w₁)/(w₂ − w₁)·(c₂ − c₁)',
                betweenLines(printed.value, widthMm),
                `${say(printed.value.clearanceMm, 4)} mm`,
              ),
            ]
          : []),
      ],
      schools: [
        {
          name: 'Printed scale',
          gives: printed ? `${say(printed.value.clearanceMm, 4)} mm` : 'type the lines of its scale',
          why: 'made for this strip, edges and all: to be preferred',
          chosen: Boolean(printed),
        },
        {
          name: 'Volume',
          gives: `${say(byVolume.value.clearanceMm, 4)} mm`,
          why: 'needs no scale, only the strip’s own diameter; good from 0.2 to 0.5 of it',
          chosen: !printed,
        },
      ],
      notes: [...(printed ? [] : wants(byVolume.value.wants)), VOID],
      reading: { row: 'figure', tries: [[value]] },
    })
  },
})
