import { BASE_UNIT, KINDS, parseQuantity } from '../../quantity/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, text } from '../fields.ts'

export const quantitiesSum = defineSum({
  name: 'quantities',
  craft: 'gauging',
  title: 'What was written',
  about: 'Reads a figure as it is written in a manual or on a sheet, and turns it into the base unit.',
  source: 'International yard and pound agreement 1959; standard gravity 9.80665 m/s²',
  fields: { text: text('As written', 60), kind: choice('It is a', KINDS) },
  example: { text: '1 3/8"', kind: 'length' },
  work: ({ text, kind }) =>
    answering(parseQuantity(text, { kind }), ({ value, unit }) => ({
      figures: [{ key: 'value', what: 'In the base unit', value, unit: BASE_UNIT[kind], decimals: 6 }],
      working: [line('Unit read', 'figure × factor', `“${text}” is in ${unit}`, `${say(value, 6)} ${BASE_UNIT[kind]}`)],
    })),
})
