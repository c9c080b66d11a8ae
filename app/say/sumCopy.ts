import { VERDICT_WORDS, workingText } from '~~/core/verdict'
import Papa from 'papaparse'
import type { Answer, AnySum, Field } from '~~/core/sums'
import { limitWords, showFigureOf } from './figures'

const unitOf = (field: Field | undefined) =>
  field && 'unit' in field && field.unit !== '1' && field.unit !== 'pcs' ? ` ${field.unit}` : ''
const say = (value: unknown): string =>
  Array.isArray(value)
    ? value.map(say).join('; ')
    : value && typeof value === 'object'
      ? Object.values(value).map(say).join(' ')
      : String(value)

/** Figures in threes stay on one line on a screen; in plain text a blank is a blank. */
const NO_BREAK = '\u00a0'

/** A sum as plain lines, to paste into a note or a message. */
export function sumAsText(sum: AnySum, input: Record<string, unknown>, answer: Answer, address: string): string {
  return [
    `${sum.title} (${sum.source})`,
    ...Object.entries(input)
      .filter(([, value]) => value !== undefined && value !== '')
      .map(([key, value]) => `  ${sum.fields[key]?.label ?? key}: ${say(value)}${unitOf(sum.fields[key])}`),
    ...answer.figures
      .filter(one => one.value !== null)
      .map(one => {
        const shown = showFigureOf(one, 'mm')
        const held = one.held
          ? `: ${VERDICT_WORDS[one.held.verdict]}${limitWords(one.held, one, 'mm') ? `, limit ${limitWords(one.held, one, 'mm')}` : ''}, ${one.held.source}${one.held.consequence ? `; ${one.held.consequence}` : ''}${one.held.would ? `; past it ${one.held.would}` : ''}`
          : ''
        return `= ${one.what} ${shown.figure}${shown.unit ? ` ${shown.unit}` : ''}${held}`
      }),
    ...answer.working.map(line => `  ${workingText(line)}`),
    ...(answer.notes ?? []).map(note => `  ${note}`),
    address,
  ]
    .join('\n')
    .replaceAll(NO_BREAK, ' ')
}

/** A sum as a table for a spreadsheet: given, then got, full figures. */
export function sumAsCsv(sum: AnySum, input: Record<string, unknown>, answer: Answer): string {
  const rows = [
    ...Object.entries(input)
      .filter(([, value]) => value !== undefined)
      .map(([key, value]) => [
        'given',
        key,
        sum.fields[key]?.label ?? key,
        say(value),
        unitOf(sum.fields[key]).trim(),
        '',
        '',
        '',
      ]),
    ...answer.figures.map(one => [
      'got',
      one.key,
      one.what,
      one.value ?? '',
      one.unit ?? '',
      one.held?.verdict ?? '',
      one.held ? limitWords(one.held, one, 'mm').replaceAll(NO_BREAK, ' ') : '',
      one.held?.source ?? '',
    ]),
  ]
  return Papa.unparse(
    { fields: ['part', 'key', 'what', 'value', 'unit', 'verdict', 'limit', 'source'], data: rows },
    { escapeFormulae: true },
  )
}
