import {
  checkName,
  doubtOf,
  figureFor,
  figureInBase,
  figureKey,
  isHistory,
  MOMENT_WORDS,
  readCell,
  readingKey,
  unmetNeeds,
  workSum,
  type CellValue,
  type SumCell,
} from '~~/core/job'
import { fromOf, type Moment } from '~~/core/sheet'
import type { Field } from '~~/core/sums'

/** As many decimals as a figure was written with, as far as a screen shows any. */
const decimalsOf = (value: number) => Math.min(4, (String(Number(value.toFixed(4))).split('.')[1] ?? '').length)

/** A sum of the sheet being filled in at the bench: which figure, what is typed, what it comes to, what is odd about it. */
export function useFigures(id: string, moment: Moment) {
  const job = useJob()
  const bench = useBench()
  const signing = useSign()
  const { system } = useDisplay()
  const key = readingKey(id, moment)
  const result = computed(() => job.view.results.get(key)!)
  const check = computed(() => result.value.check)
  const worked = computed(() => result.value.worked!)
  const cells = computed(() => worked.value.cells)
  const at = check.value.at.find(one => one.moment === moment)!
  const before = computed(() => unmetNeeds(job.plan, job.state, job.plan.steps.get(at.step)!))
  const taken = (cell: SumCell) => {
    const one = job.state.figures.get(key)?.get(figureKey(cell))
    return one && !(at.renewed && isHistory(job.state, check.value, one)) ? one : undefined
  }

  /** A figure that was kept, in the screen's own unit; null where none was. */
  function sayKept(one: SumCell): string | null {
    const kept = taken(one)
    if (!kept) return null
    return typeof kept.value === 'number' && one.as.type === 'number'
      ? showFigureOf({ value: kept.value, unit: one.as.unit, decimals: decimalsOf(kept.value) }, system.value).figure
      : kept.said
  }

  const chosen = ref<string | null>(null)
  const cell = computed(
    (): SumCell | undefined =>
      cells.value.find(one => figureKey(one) === chosen.value) ?? worked.value.missing[0] ?? undefined,
  )
  const correcting = ref(false)
  const reason = ref('')
  const why = ref<string | null>(null)
  const doubt = ref<string | null>(null)
  const typed = useLocalStorage(() => `needler-draft-${job.id}-${key}-${cell.value ? figureKey(cell.value) : ''}`, '')
  const entered = computed(() => cell.value && taken(cell.value))
  const isOpen = computed(() => cell.value !== undefined && (!entered.value || correcting.value))
  // What is typed keeps its size when the screen's unit changes.
  watch(
    system,
    (now, then) => {
      const field = cell.value?.as
      const size = field?.type === 'number' && typed.value ? readNumber(typed.value, field, then) : null
      if (field?.type === 'number' && size?.ok) typed.value = writeNumber(size.value, field.unit, now)
    },
    { flush: 'sync' },
  )
  watch([typed, chosen], () => {
    why.value = null
    doubt.value = null
  })

  const read = computed(() =>
    cell.value && typed.value.trim() ? readCell(cell.value, typed.value, system.value) : null,
  )
  /** The sum as it would stand with what is typed. */
  const would = computed(() => {
    if (!isOpen.value || !read.value?.ok) return worked.value
    const known = new Map<string, CellValue>(
      cells.value.flatMap(one => {
        const kept = taken(one)
        return kept ? [[figureKey(one), kept.value]] : []
      }),
    )
    known.set(figureKey(cell.value!), read.value.value)
    return workSum(worked.value.sum, check.value, worked.value.derived, known)
  })
  /** What is odd about it, before it is kept: it cannot be so, or it is far from what it should be. */
  function oddness(): string | null {
    const { answer } = would.value
    if (!answer) return null
    if (!answer.ok) return answer.why
    const value = figureInBase(answer.value, check.value.sum!.trend)
    return value === null ? null : doubtOf(check.value, value, job.about.last[id] ?? null, system.value)
  }

  function take(isSure = false): boolean {
    const said = typed.value.trim()
    if (!cell.value) return false
    if (!said) {
      why.value = `Still wanted: ${cell.value.name.toLowerCase()}.`
      return false
    }
    if (!read.value?.ok) {
      why.value = read.value?.why ?? null
      return false
    }
    doubt.value = isSure ? null : oddness()
    if (doubt.value) return false
    const figure = figureFor(cell.value, said, system.value)
    if (entered.value && correcting.value) {
      void correct(figure)
      return false
    }
    why.value = put([figure])
    return why.value === null && keptIt()
  }
  /** What is kept makes room for the next figure. */
  function keptIt(): true {
    typed.value = ''
    leave()
    if (!worked.value.missing.length && !bench.isDone && bench.hindered.some(one => one.settle.to === 'reading'))
      bench.look(null)
    return true
  }
  type Figures = ReturnType<typeof figureFor>[]
  const payload = (figures: Figures) => ({
    check: id,
    moment,
    figures,
    instrument: check.value.instrument,
  })
  const put = (figures: Figures) => job.act({ kind: 'figures.taken', payload: payload(figures) })
  /** One figure put otherwise; what was read with it in one press stays as it was. What another read is corrected with a PIN. */
  async function correct(figure: Figures[number]) {
    const written = reason.value.trim()
    if (!written) {
      why.value = 'Say why the first figure is corrected.'
      return
    }
    const { entry } = entered.value!
    const figures = cells.value.flatMap(one => {
      const kept = taken(one)
      if (kept?.entry !== entry) return []
      return [figureKey(one) === figureKey(figure) ? figure : figureFor(one, kept.said, kept.lengths)]
    })
    const answer = await signing.correct('Who corrects the figure?', {
      kind: 'entry.corrected',
      payload: { target: entry, why: written, replacement: payload(figures) },
    })
    why.value = answer.why
    if (answer.isSigned) keptIt()
  }
  function leave() {
    correcting.value = false
    reason.value = ''
    chosen.value = null
  }
  function goTo(one: SumCell) {
    leave()
    chosen.value = figureKey(one)
  }

  /** What the sheet fixed, and what other checks gave: shown, not asked. */
  const fixed = computed(() => {
    const { sum, derived, input } = worked.value
    const { given = {}, from = {} } = check.value.sum!
    const said = (field: Field, value: unknown) =>
      'unit' in field && typeof value === 'number'
        ? Object.values(showFigureOf({ value, unit: field.unit, decimals: decimalsOf(value) }, system.value))
            .join(' ')
            .trim()
        : String(value)
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

  return {
    result,
    check,
    worked,
    would,
    cells,
    cell,
    before,
    taken,
    typed,
    sayKept,
    entered,
    isOpen,
    correcting,
    reason,
    why,
    doubt,
    fixed,
    take,
    goTo,
    leave,
  }
}
