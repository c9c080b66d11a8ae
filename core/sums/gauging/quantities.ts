import { BASE_UNIT, fromBase, KINDS, parseQuantity, UNITS, type Kind, type UnitName } from '../../quantity/index.ts'
import { answering, defineSum, line, say, type Figure } from '../define.ts'
import { choice, text } from '../fields.ts'

/** As many decimals as leave a figure six that say something. */
const decimalsOf = (value: number) =>
  value === 0 ? 0 : Math.min(9, Math.max(0, 5 - Math.floor(Math.log10(Math.abs(value)))))
const tidy = (value: number) => {
  const written = say(value, decimalsOf(value))
  return written.split('.')[1]?.length ?? 0
}
/** The other units of a kind that a figure is met in; whether a pressure is gauge or absolute is not converted. */
const othersOf = (kind: Kind) =>
  (Object.keys(UNITS) as UnitName[]).filter(
    one => UNITS[one].kind === kind && one !== BASE_UNIT[kind] && !('reference' in UNITS[one]),
  )

export const quantitiesSum = defineSum({
  name: 'quantities',
  craft: 'gauging',
  title: 'What was written',
  about: 'Reads a figure as it is written in a manual or on a sheet, and turns it into the other units it is met in.',
  source: 'International yard and pound agreement 1959; standard gravity 9.80665 m/s²',
  fields: { text: text('As written', 60), kind: choice('It is a', KINDS) },
  example: { text: '1 3/8"', kind: 'length' },
  work: ({ text, kind }) =>
    answering(parseQuantity(text, { kind }), ({ value, unit }) => {
      const base = BASE_UNIT[kind]
      return {
        figures: [
          { key: 'value', what: 'In the base unit', value, unit: base, as: 'written', decimals: tidy(value) },
          ...othersOf(kind).map((one): Figure => {
            const inIt = fromBase(value, one)
            return { key: one, what: `In ${one}`, value: inIt, unit: one, as: 'written', decimals: tidy(inIt) }
          }),
        ],
        working: [line('Unit read', 'figure × factor', `“${text}” is in ${unit}`, `${say(value, 6)} ${base}`)],
      }
    }),
})
