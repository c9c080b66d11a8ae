import { tiltMmPerM } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { maker, number } from '../fields.ts'
import { hold } from '../limits.ts'
import { MM, SIZE } from './shared.ts'

export const tiltSum = defineSum({
  name: 'tilt',
  craft: 'gauging',
  title: 'Tilt of a joint',
  about: 'Heights on opposite places of a joint: how much one side stands up, a metre across.',
  source: 'tilt = difference / diameter',
  fields: {
    heightMm: number('Height', 'mm', MM),
    oppositeMm: number('Height opposite', 'mm', MM),
    diameterMm: number('On a diameter of', 'mm', SIZE),
    maxMmPerM: maker('max', number('Maker’s maximum tilt, mm/m', '1', [0, 100])),
  },
  example: { heightMm: 24.12, oppositeMm: 24.05, diameterMm: 640, maxMmPerM: 0.15 },
  work: ({ heightMm, oppositeMm, diameterMm, maxMmPerM }) =>
    answering(tiltMmPerM([heightMm, oppositeMm], diameterMm), tilt => ({
      figures: [
        {
          key: 'tiltMmPerM',
          what: 'Tilt, mm/m',
          value: tilt,
          decimals: 3,
          held: hold(tilt, maxMmPerM === undefined ? {} : { min: -maxMmPerM, max: maxMmPerM, best: 0 }, {
            low: 'the joint is cocked: it leaks or binds when tightened',
            high: 'the joint is cocked: it leaks or binds when tightened',
          }),
        },
      ],
      working: [
        line(
          'Tilt',
          '(h₁ − h₂)/D',
          `(${say(heightMm)} − ${say(oppositeMm)})/${say(diameterMm)}·1000`,
          `${say(tilt)} mm/m`,
        ),
      ],
    })),
})
