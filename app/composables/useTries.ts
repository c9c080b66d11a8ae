import {
  changedAt,
  leadingDigits,
  readFigure,
  readingKey,
  unitOf,
  withLeading,
  type Cell,
  type CellValue,
  type CheckResult,
} from '~~/core/job'
import { fromBase, toBase } from '~~/core/quantity'

/** One figure or answer as typed, and as read. */
export interface Figure {
  text: string
  value: CellValue
  /** Leading digits of the text that were not typed. */
  leading?: string
}

interface Kept {
  /** The reading that stood in the cell when it was typed, and the part it was of; once either is another, what was typed goes with it. */
  of: string
  text: string
  /** The unit the figures were typed in: a draft goes on in it. */
  unit: string | null
  figures: Figure[]
}

/**
 * Each change is written as it is made. What is kept takes its pad along, and what waited for the next drawing would never be
 * written; and whoever listens to their own writing is deaf to a second change right after it.
 */
const AT_ONCE = { flush: 'sync', listenToStorageChanges: false } as const

/** Tries being taken in one cell: what is typed outlives a refusal and a reload. */
export function useTries(result: Ref<CheckResult>, cell: Ref<Cell | undefined>) {
  const job = useJob()
  const { show, system } = useDisplay()
  const ownUnit = () => (cell.value ? unitOf(cell.value, system.value) : null)
  const stands = () =>
    `${result.value.read.get(cell.value?.key ?? '')?.entry ?? ''} ${changedAt(job.state, cell.value?.of ?? []) || ''}`.trim()
  const nothing = (): Kept => ({ of: stands(), text: '', unit: ownUnit(), figures: [] })
  const kept = useLocalStorage<Kept>(
    () => `needler-draft-${job.id}-${readingKey(result.value.check.id, result.value.moment)}-${cell.value?.key ?? ''}`,
    nothing(),
    AT_ONCE,
  )
  const draft = computed<Kept>({
    get: () => (kept.value.of === stands() ? kept.value : nothing()),
    set: typed => {
      kept.value = { ...typed, of: stands() }
    },
  })
  const why = ref<string | null>(null)
  const perTry = computed(() => cell.value?.row.figures ?? 1)
  const wanted = computed(() => (cell.value?.tries ?? 1) * perTry.value)
  /** A cell half filled keeps its unit, so that the display's change does not re-read it. */
  const unit = computed(() => (draft.value.figures.length ? draft.value.unit : ownUnit()))
  const text = computed({
    get: () => draft.value.text,
    set: (typed: string) => {
      draft.value = { ...draft.value, text: typed }
      why.value = null
    },
  })
  const figures = computed(() => draft.value.figures)
  const isFull = computed(() => figures.value.length >= wanted.value && figures.value.length % perTry.value === 0)
  // What is typed keeps its size when the screen's unit changes.
  watch(
    system,
    (now, then) => {
      const field = cell.value?.as
      if (field?.type !== 'number' || !text.value || figures.value.length) return
      const size = readFigure(cell.value!, text.value, unitOf(cell.value!, then)!)
      const base = size.ok && toBase(size.value as number, field.unit)
      if (base !== false) text.value = String(Number(fromBase(base, unitOf(cell.value!, now)!).toPrecision(12)))
    },
    { flush: 'sync' },
  )

  /** Digits that every figure inside the limits begins with: only the others need be typed. */
  const lead = computed(() =>
    perTry.value === 1 && cell.value?.as.type === 'number' && cell.value.as.shown && unit.value === ownUnit()
      ? leadingDigits(result.value.check, system.value)
      : null,
  )
  const whole = computed(() => {
    const typed = text.value.trim()
    if (lead.value === null) return { text: typed }
    const { check } = result.value
    const length = show(check.limits.min!, check).figure.length - lead.value.length
    const full = withLeading(lead.value, length, typed)
    return full === null ? { text: typed } : { text: full, leading: lead.value }
  })
  const readOne = (typed: string) => readFigure(cell.value!, typed, unit.value ?? undefined)
  const read = computed(() => (cell.value && whole.value.text ? readOne(whole.value.text) : null))
  /** Every figure there is, the one still in the field counted in. */
  const all = computed((): Figure[] => [
    ...figures.value,
    ...(read.value?.ok ? [{ ...whole.value, value: read.value.value }] : []),
  ])
  const rowsOf = (list: readonly Figure[]): Figure[][] =>
    Array.from({ length: Math.ceil(list.length / perTry.value) }, (_, i) =>
      list.slice(i * perTry.value, (i + 1) * perTry.value),
    )

  /** Takes what is typed as the next figure; false, with the sentence, when it cannot be. */
  function take(): boolean {
    const typed = readOne(whole.value.text)
    if (!typed.ok) why.value = typed.why
    else if (figures.value.length >= wanted.value + 3 * perTry.value)
      why.value = 'Enough tries. Keep them, or take one away.'
    else {
      const figure = { ...whole.value, value: typed.value }
      draft.value = { ...nothing(), unit: unit.value, figures: [...figures.value, figure] }
      return true
    }
    return false
  }
  /** Takes a try away, whole. */
  function drop(at: number) {
    const from = Math.floor(at / perTry.value) * perTry.value
    draft.value = { ...draft.value, figures: figures.value.toSpliced(from, perTry.value) }
    why.value = null
  }
  const clear = () => {
    draft.value = nothing()
  }
  return { text, figures, all, rowsOf, lead, whole, read, unit, why, perTry, wanted, isFull, take, drop, clear }
}
