import { checkName, MOMENT_WORDS, type CheckResult } from '~~/core/job'
import { fromOf, type Moment } from '~~/core/sheet'
import type { Field } from '~~/core/sums'

/** What the sheet fixed of a sum, and what other checks gave it: shown, not asked. */
export function useGiven(result: Ref<CheckResult>) {
  const job = useJob()
  const { system } = useDisplay()
  function said(field: Field, value: unknown): string {
    // What hangs together is told by what it weighs together.
    if (Array.isArray(value) && 'unit' in field && field.unit === 'kg')
      return `${said(
        field,
        (value as number[]).reduce((sum, one) => sum + one, 0),
      )}, ${counted(value.length, 'part')}`
    if (Array.isArray(value)) return value.map(one => said(field, one)).join(', ')
    if (!('unit' in field) || typeof value !== 'number') return String(value)
    const { figure, unit } = showFigureOf({ value, unit: field.unit, decimals: decimalsWritten(value) }, system.value)
    // What is counted says itself what it counts.
    return field.unit === 'pcs' ? figure : `${figure} ${unit}`.trim()
  }
  const fixed = computed(() => {
    const { sum, spec, derived, input } = result.value.worked
    const { given = {}, from = {} } = spec
    if (sum.bench) return []
    return [
      ...Object.entries(sum.fields)
        .filter(([field, { type }]) => given[field] !== undefined && !Array.isArray(given[field]) && type !== 'flag')
        .map(([field, as]) => `${as.label} ${said(as, given[field])}`),
      ...Object.entries(from).map(([field, text]) => {
        const { of, at: when } = fromOf(text)!
        const where = of === 'mass' ? '' : `, from ${checkName(job.plan, of)} ${MOMENT_WORDS[when as Moment]}`
        return derived[field] === null
          ? `Waits for ${checkName(job.plan, of)}`
          : `${sum.fields[field]!.label} ${said(sum.fields[field]!, input[field])}${where}`
      }),
    ]
  })
  return { fixed }
}
