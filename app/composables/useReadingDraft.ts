import {
  cellKey,
  figuresPerTry,
  leadingDigits,
  readDraft,
  readingKey,
  withLeading,
  type Cell,
  type CellReading,
} from '~~/core/job'
import { parseQuantity, UNITS, type Field, type UnitName } from '~~/core/quantity'
import type { Check, Moment } from '~~/core/sheet'

/** One figure as typed, with the unit a bare number was read in, and as read. */
export interface Figure {
  text: string
  value: number
  /** Leading digits of the text that were not typed. */
  assumed?: string
}

interface Kept {
  text: string
  /** The unit the figures were typed in: a draft goes on in it. */
  unit: UnitName
  figures: Figure[]
}

/** Tries being taken in one gauge place: what is typed outlives a refusal and a reload. */
export function useReadingDraft(
  check: Check,
  moment: Moment,
  cell: Ref<Cell>,
  style: Ref<NonNullable<CellReading['style']>>,
) {
  const job = useJob()
  const { fieldUnit, show, system } = useDisplay()
  const key = () =>
    `needler-draft-${job.id}-${readingKey(check.id, moment)}-${cellKey(cell.value.station, cell.value.plane)}`
  const draft = useLocalStorage<Kept>(key, { text: '', unit: fieldUnit(check.unit), figures: [] })
  const why = ref<string | null>(null)

  const perTry = figuresPerTry(check)
  const wanted = (check.tries ?? 1) * perTry
  /** A page half filled keeps its unit, so that the display's change does not re-read it. */
  const unit = computed((): UnitName => (draft.value.figures.length ? draft.value.unit : fieldUnit(check.unit)))
  const text = computed({
    get: () => draft.value.text,
    set: (typed: string) => {
      draft.value = { ...draft.value, text: typed }
      why.value = null
    },
  })
  const figures = computed(() => draft.value.figures)
  const rows = computed(() =>
    Array.from({ length: Math.floor(figures.value.length / perTry) }, (_, i) =>
      figures.value.slice(i * perTry, (i + 1) * perTry),
    ),
  )
  /** Only the last figures typed: the leading ones are those of every figure inside the limits. */
  const whole = computed(() => {
    const lead = perTry === 1 && unit.value === fieldUnit(check.unit) ? leadingDigits(check, system.value) : null
    const typed = text.value.trim()
    const wanted = lead === null ? 0 : show(check.limits.min!, check).figure.length - lead.length
    const full = lead === null ? null : withLeading(lead, wanted, typed)
    return full === null ? { text: typed } : { text: full, assumed: lead! }
  })
  const read = computed(() => (whole.value.text ? parseQuantity(whole.value.text, fieldOf()) : null))
  /** What it would say if it were kept now, the figure still in the field counted in where it makes a whole try. */
  const says = computed(() => {
    const tries = rows.value.map(row => row.map(one => one.value))
    const typed = perTry === 1 && read.value?.ok ? [[read.value.value.value]] : []
    return readDraft(check, { ...cell.value, style: style.value, tries: [...tries, ...typed] })
  })

  function fieldOf(): Field {
    return { kind: UNITS[unit.value].kind, unit: unit.value, span: check.span, label: check.title }
  }

  /** Takes what is typed as the next figure; false, with the sentence, when it cannot be. */
  function take(): boolean {
    const parsed = parseQuantity(whole.value.text, fieldOf())
    if (!parsed.ok) {
      why.value = parsed.why
      return false
    }
    if (figures.value.length >= wanted + 3 * perTry) {
      why.value = 'Enough tries. Keep them, or take one away.'
      return false
    }
    draft.value = {
      text: '',
      unit: unit.value,
      figures: [...figures.value, { ...whole.value, value: parsed.value.value }],
    }
    return true
  }
  function drop(at: number) {
    draft.value = { ...draft.value, figures: figures.value.toSpliced(Math.floor(at / perTry) * perTry, perTry) }
    why.value = null
  }
  const clear = () => {
    draft.value = { text: '', unit: fieldUnit(check.unit), figures: [] }
  }

  return { text, whole, figures, rows, read, unit, says, why, perTry, wanted, take, drop, clear }
}
