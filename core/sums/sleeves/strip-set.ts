import { leftOpen, type Held } from '../../verdict.ts'
import { reduceStrips, stripReading } from '../../sleeves/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { list, number, optional } from '../fields.ts'
import { hold, makerMax, makerMin, worseOf } from '../limits.ts'
import { GAP, WIDTH, STRIP, NARROW, UNFIT_STRIP, VOID, wants } from './shared.ts'

export const stripSetSum = defineSum({
  name: 'strip-set',
  craft: 'sleeves',
  title: 'Three strips on a journal',
  about: 'Strips in the middle and just inside each end: mean, minimum, maximum and taper.',
  source: 'volume kept; workshop practice for the three places',
  fields: {
    stripDiameterMm: STRIP,
    widthsMm: list('Widths: first end, middle, other end', 'mm', WIDTH, [3, 3]),
    minMm: makerMin('mm', GAP),
    maxMm: makerMax('mm', GAP),
    maxTaperMm: optional(number('Maximum taper', 'mm', [0, 5])),
  },
  example: { stripDiameterMm: 0.25, widthsMm: [0.56, 0.6, 0.66], minMm: 0.06, maxMm: 0.11, maxTaperMm: 0.02 },
  work: ({ stripDiameterMm, widthsMm, minMm, maxMm, maxTaperMm }) => {
    const read = widthsMm.map(width => stripReading(stripDiameterMm, width))
    const bad = read.find(one => !one.ok)
    if (bad && !bad.ok) return bad
    const gaps = read.map(one => (one.ok ? one.value.clearanceMm : 0)) as [number, number, number]
    const unfit = read.flatMap(one => (one.ok && one.value.wants ? [one.value.wants] : []))
    return answering(reduceStrips(gaps), ({ meanMm, leastMm, greatestMm, taperMm }) => {
      const open = (held: Held) => (unfit.length ? leftOpen(held, UNFIT_STRIP) : held)
      return {
        figures: [
          {
            key: 'leastMm',
            what: 'Minimum clearance',
            value: leastMm,
            unit: 'mm',
            decimals: 4,
            held: open(hold(leastMm, { min: minMm, max: maxMm }, NARROW)),
          },
          {
            key: 'greatestMm',
            what: 'Maximum clearance',
            value: greatestMm,
            unit: 'mm',
            decimals: 4,
            held: open(hold(greatestMm, { min: minMm, max: maxMm }, NARROW)),
          },
          { key: 'meanMm', what: 'Mean', value: meanMm, unit: 'mm', decimals: 4 },
          {
            key: 'taperMm',
            what: 'Taper, first − other end',
            value: taperMm,
            unit: 'mm',
            decimals: 4,
            ...(maxTaperMm === undefined
              ? {}
              : {
                  held: open(
                    hold(
                      taperMm,
                      { min: -maxTaperMm, max: maxTaperMm, best: 0 },
                      { low: 'one end carries alone and wipes', high: 'one end carries alone and wipes' },
                    ),
                  ),
                }),
          },
        ],
        working: [
          ...gaps.map((gap, i) =>
            line(
              ['First end', 'Middle', 'Other end'][i]!,
              'π·d₀²/(4·w)',
              `π·${say(stripDiameterMm)}²/(4·${say(widthsMm[i]!)})`,
              `${say(gap, 4)} mm`,
            ),
          ),
          line('Taper', 'first − other end', `${say(gaps[0], 4)} − ${say(gaps[2], 4)}`, `${say(taperMm, 4)} mm`),
        ],
        notes: [...(unfit[0] ? wants(unfit[0]) : []), VOID],
        more: { gapsMm: gaps },
        reading: { row: 'figure', tries: [[worseOf(leastMm, greatestMm, { min: minMm, max: maxMm })]] },
      }
    })
  },
})
