import { cellKey, readingKey, type Cell } from '~~/core/job'
import { parseQuantity, UNITS, type Field } from '~~/core/quantity'
import type { Check, Moment } from '~~/core/sheet'

/** One figure as typed and as read. */
export interface Figure {
  text: string
  value: number
}

/** Tries being taken in one gauge place: what is typed outlives a refusal and a reload. */
export function useReadingDraft(check: Check, moment: Moment, cell: Ref<Cell>) {
  const job = useJobStore()
  const { fieldUnit } = useDisplay()
  const key = () =>
    `needler-draft-${job.about?.job.id}-${readingKey(check.id, moment)}-${cellKey(cell.value.station, cell.value.plane)}`
  const draft = useLocalStorage<{ text: string; figures: Figure[] }>(key, { text: '', figures: [] })
  const why = ref<string | null>(null)

  const perTry =
    check.kind === 'endFloat' || check.kind === 'lift' ? 2 : check.kind === 'runout' ? (check.sweep ?? 8) : 1
  const wanted = (check.tries ?? 1) * perTry
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
  const read = computed(() => (text.value.trim() ? parseQuantity(text.value, fieldOf()) : null))

  function fieldOf(): Field {
    const unit = fieldUnit(check.unit)
    return { kind: UNITS[unit].kind, unit, span: check.span, label: check.title }
  }

  /** Takes what is typed as the next figure; false, with the sentence, when it cannot be. */
  function take(): boolean {
    const parsed = parseQuantity(text.value, fieldOf())
    if (!parsed.ok) {
      why.value = parsed.why
      return false
    }
    if (figures.value.length >= wanted + 3 * perTry) {
      why.value = 'Enough tries. Keep them, or take one away.'
      return false
    }
    draft.value = { text: '', figures: [...figures.value, { text: text.value.trim(), value: parsed.value.value }] }
    return true
  }
  function drop(at: number) {
    draft.value = { ...draft.value, figures: figures.value.toSpliced(Math.floor(at / perTry) * perTry, perTry) }
    why.value = null
  }
  const clear = () => {
    draft.value = { text: '', figures: [] }
  }

  return { text, figures, rows, read, why, perTry, wanted, take, drop, clear }
}
