import { GREASED_NAMES, greaseGrams, greaseHours } from '../../rollers/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, flag, limitOf, number, optional } from '../fields.ts'
import { hold, RULE_OF_THUMB } from '../limits.ts'
import { BORE, OUTSIDE } from './shared.ts'

export const greaseSum = defineSum({
  name: 'grease',
  craft: 'rollers',
  title: 'Grease and its interval',
  about: 'How much grease tops a bearing up, after how many hours, and how the hours since stand against that.',
  source: '0.005·D·B, and K·(14·10⁶/(n·√d) − 4·d) of bearing textbooks; the maker’s figures go before them',
  fields: {
    type: choice('Bearing', GREASED_NAMES),
    boreMm: BORE,
    outsideMm: OUTSIDE,
    widthMm: number('Width', 'mm', [1, 400]),
    speedPerMin: number('Speed', '1/min', [1, 50000]),
    outerRingC: fallback(number('Outer ring at', '°C', [-20, 150]), 70),
    upright: flag('The shaft stands upright'),
    sinceH: optional(number('Run since, hours', '1', [0, 200000])),
    makerH: limitOf(number('Maker’s interval, hours', '1', [1, 200000]), 'sinceH'),
  },
  example: {
    type: 'deep groove ball',
    boreMm: 60,
    outsideMm: 130,
    widthMm: 31,
    speedPerMin: 1480,
    outerRingC: 78,
    upright: false,
    sinceH: 5200,
  },
  work: ({ type, boreMm, outsideMm, widthMm, speedPerMin, outerRingC, upright, sinceH, makerH }) => {
    if (outsideMm <= boreMm)
      return refuse('The outside diameter is not above the bore. Change them round, or measure again.')
    const grams = greaseGrams(outsideMm, widthMm)
    if (!grams.ok) return grams
    return answering(greaseHours(type, boreMm, speedPerMin, outerRingC, upright), hours => ({
      figures: [
        ...(sinceH === undefined
          ? []
          : [
              fig(
                'sinceH',
                'Run since, hours',
                sinceH,
                undefined,
                0,
                hold(
                  sinceH,
                  { max: makerH },
                  { high: 'the grease is worn out: it no longer parts the rollers from their rings' },
                  { limits: { max: hours }, source: `the interval worked out here, ${RULE_OF_THUMB}` },
                ),
              ),
            ]),
        fig('hours', 'Interval, hours', hours, undefined, 0),
        fig('grams', 'Grease, each time', grams.value, 'g', 0),
      ],
      working: [
        line(
          'Interval',
          'K·(14·10⁶/(n·√d) − 4·d), halved each 15 K over 70 °C',
          `K·(14·10⁶/(${say(speedPerMin)}·√${say(boreMm)}) − 4·${say(boreMm)}), ${say(outerRingC, 0)} °C${upright ? ', upright: half' : ''}`,
          `${say(hours, 0)} h`,
        ),
        line('Grease', '0.005·D·B', `0.005·${say(outsideMm)}·${say(widthMm)}`, `${say(grams.value, 0)} g`),
      ],
      notes: [
        'The same grease as is in it, the drain open, pressed in slowly while it turns by hand or slow. Dirt, water and shaking shorten the interval.',
        ...(makerH === undefined ? [] : [`The maker’s ${say(makerH, 0)} hours go before the rule’s ${say(hours, 0)}.`]),
      ],
    }))
  },
})
