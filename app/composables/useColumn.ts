import { readCell, readDraft, readingIn, type Cell, type Draft, type Payloads, type Tried } from '~~/core/job'

/** What a column needs of the reading it is pasted into. */
interface Into {
  style: () => Tried['style']
  /** What is odd about one of them, before it is kept. */
  oddness: (read: Draft, place: Cell) => string | null
  /** The question that is asked then. */
  doubt: Ref<string | null>
  kept: () => void
}

/** A column of figures pasted: place after place from the one at hand, as many figures in each as it takes, kept with one press. */
export function useColumn(
  { result, cells, cell }: ReturnType<typeof useCells>,
  tries: ReturnType<typeof useTries>,
  { style, oddness, doubt, kept }: Into,
) {
  const job = useJob()
  /** A column that is asked about before it is kept. */
  const column = shallowRef<string[] | null>(null)
  watch(doubt, now => {
    if (now === null) column.value = null
  })

  /** Places still to be read, from the one at hand, going round. */
  function openFrom(): Cell[] {
    const from = Math.max(
      0,
      cells.value.findIndex(one => one.key === cell.value?.key),
    )
    const missing = new Set(result.value.missing.map(one => one.key))
    return [...cells.value.slice(from), ...cells.value.slice(0, from)].filter(one => missing.has(one.key))
  }

  /** The figures of one place, as its entry; or what is wrong with them, or odd. */
  function entryOf(
    place: Cell,
    figures: string[],
  ): { payload: Payloads['reading.taken']; odd: string | null } | string {
    const { check, moment } = result.value
    const { figures: perTry } = place.row
    const wanted = place.tries * perTry
    if (figures.length < wanted) return `${figures.length} of ${wanted} figures are there.`
    const rows = Array.from({ length: place.tries }, (_, i) => figures.slice(i * perTry, (i + 1) * perTry))
    const unit = tries.unit.value ?? undefined
    const how = style()
    const read = readCell(place, rows, unit, how)
    if (!read.ok) return read.why
    const more = { ...(unit ? { unit } : {}), instrument: check.instrument, ...(how ? { style: how } : {}) }
    return {
      payload: readingIn(check.id, moment, place, rows, more),
      odd: oddness(readDraft(job.plan, result.value, place, read.value), place),
    }
  }

  function takeColumn(figures: string[], isSure = false): void {
    const left = [...figures]
    const payloads: Payloads['reading.taken'][] = []
    doubt.value = null
    for (const place of openFrom()) {
      if (!left.length) break
      const entry = entryOf(place, left.splice(0, place.tries * place.row.figures))
      const where = place.name ? `${place.name}: ` : ''
      if (typeof entry === 'string') {
        tries.why.value = `Nothing of the column is kept. ${where}${entry}`
        return
      }
      if (entry.odd && !isSure) {
        doubt.value = `${where}${entry.odd}`
        column.value = figures
        return
      }
      payloads.push(entry.payload)
    }
    tries.why.value = left.length
      ? `Nothing of the column is kept: it has ${figures.length} figures, and the places still open take ${figures.length - left.length}.`
      : job.act(...payloads.map(payload => ({ kind: 'reading.taken' as const, payload })))
    if (tries.why.value === null) kept()
  }
  return { column, takeColumn }
}
