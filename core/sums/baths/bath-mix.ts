import { mixBath } from '../../baths/index.ts'
import { holdAgainst } from '../../verdict.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { limitOf, number, optional } from '../fields.ts'

export const bathMixSum = defineSum({
  name: 'bath-mix',
  craft: 'baths',
  title: 'Solution from concentrate',
  about: 'How much concentrate and how much water make a bath of a given strength, and is it warm enough.',
  source: 'V·c_target/c_stock',
  fields: {
    volumeL: number('Bath', 'L', [0.01, 100000]),
    targetPercent: number('Strength wanted', '%', [0.001, 100]),
    stockPercent: number('Concentrate', '%', [0.001, 100]),
    temperatureC: optional(number('It is at', '°C', [-20, 200])),
    leastC: limitOf(number('Minimum', '°C', [-20, 200]), 'temperatureC'),
    greatestC: limitOf(number('Maximum', '°C', [-20, 200]), 'temperatureC'),
  },
  example: { volumeL: 120, targetPercent: 5, stockPercent: 40, temperatureC: 58, leastC: 50, greatestC: 65 },
  work: ({ volumeL, targetPercent, stockPercent, temperatureC, leastC, greatestC }) =>
    answering(mixBath(volumeL, targetPercent, stockPercent), ({ stockL, waterL }) => ({
      figures: [
        ...(temperatureC === undefined
          ? []
          : [
              {
                key: 'temperatureC',
                what: 'Bath',
                value: temperatureC,
                unit: '°C',
                decimals: 0,
                held: holdAgainst(temperatureC, { min: leastC, max: greatestC }, 'span typed here', {
                  low: 'too cold: it hardly works, and the time no longer counts',
                  high: 'too hot: it attacks metal and rubber, and steams',
                }),
              },
            ]),
        { key: 'stockL', what: 'Concentrate', value: stockL, unit: 'L', decimals: 2 },
        { key: 'waterL', what: 'Water', value: waterL, unit: 'L', decimals: 2 },
      ],
      working: [
        line(
          'Concentrate',
          'V·c/c₀',
          `${say(volumeL, 2)}·${say(targetPercent, 2)}/${say(stockPercent, 2)}`,
          `${say(stockL, 2)} L`,
        ),
      ],
      notes: ['Water first, then the concentrate. Gloves, goggles, and the data sheet of what is in it.'],
    })),
})
