import {
  changedAt,
  foundBefore,
  freeAlike,
  oddnessOf,
  readDraft,
  readingIn,
  readingKey,
  type Cell,
  type CellRead,
  type Payloads,
  type Tried,
} from '~~/core/job'
import { isUnit } from '~~/core/quantity'
import type { Moment } from '~~/core/sheet'

/** One check at one moment being read: what it would say with what is typed, what is odd about that, what is kept. */
export function useReading(id: string, moment: Moment) {
  const job = useJob()
  const bench = useBench()
  const signing = useSign()
  const { system, text: sayFigure } = useDisplay()
  const at = useCells(id, moment)
  const { result, cell, entered, nextOpen, goTo } = at
  const style = useLocalStorage<NonNullable<Tried['style']>>('needler-lift-style', 'signed readings')
  const tries = useTries(result, cell)
  const correcting = ref(false)
  const moving = ref(false)
  const reason = ref('')
  /** The question asked before something odd is kept. */
  const doubt = ref<string | null>(null)
  /** A place on which two readings stand against each other is read anew. */
  const anew = ref(false)
  const isOpen = computed(() => cell.value !== undefined && (!entered.value || correcting.value || anew.value))

  /** What is kept of the cell at hand, or on the pad. */
  const tried = computed((): Tried => {
    if (!isOpen.value && entered.value) return entered.value
    const rows = tries.rowsOf(tries.perTry.value === 1 ? tries.all.value : tries.figures.value)
    return { values: rows.map(row => row.map(one => one.value)), ...styled() }
  })
  const draft = computed(() => (cell.value ? readDraft(job.plan, result.value, cell.value, tried.value) : null))
  const scatter = computed(() => (isOpen.value ? (draft.value?.reduced?.scatter ?? null) : null))
  /** What was found last of the part that is there: a new one has no past. */
  const found = () =>
    changedAt(job.state, cell.value?.of ?? result.value.check.of) ? {} : foundBefore(job.about.last, id)
  const against = () => ({ found: found(), system: system.value, results: job.view.results })
  /** The unit of what was typed without one. */
  const bareIn = (typed: string) => {
    const unit = tries.unit.value
    return /^[\d.,\s+-]+$/.test(typed) && unit !== null && isUnit(unit) ? unit : null
  }
  const styled = (): Pick<Tried, 'style'> => (cell.value?.row.of === 'lift' ? { style: style.value } : {})

  watch([tries.text, cell], () => {
    doubt.value = null
  })

  /** What is odd about the try that the typed figure makes whole; null when it is not whole yet, or not odd. */
  function oddness(): string | null {
    const now = tries.all.value
    if (!cell.value || !tries.read.value?.ok || now.length % tries.perTry.value) return null
    const values = tries.rowsOf(now).map(row => row.map(one => one.value))
    const whole = readDraft(job.plan, result.value, cell.value, { values, ...styled() })
    return oddnessOf(whole, cell.value, {
      ...against(),
      bareIn: bareIn(tries.whole.value.text),
    })
  }

  /** Takes what is typed; where one try is wanted it is kept at once, and the next place is at hand. */
  function take(isSure = false): boolean {
    if (tries.text.value.trim()) {
      doubt.value = isSure ? null : oddness()
      if (doubt.value || !tries.take()) return false
      if (tries.wanted.value > tries.perTry.value || !tries.isFull.value) return true
    }
    return tries.isFull.value && keep(false)
  }

  const typedIn = (place: Cell): Payloads['reading.taken'] => {
    const leading = tries.figures.value.find(one => one.leading)?.leading
    return readingIn(
      id,
      moment,
      place,
      tries.rowsOf(tries.figures.value).map(row => row.map(one => one.text)),
      {
        ...(tries.unit.value ? { unit: tries.unit.value } : {}),
        instrument: result.value.check.instrument,
        ...(leading ? { leading } : {}),
        ...styled(),
      },
    )
  }

  /** Keeps the tries of this place; false, with the sentence, while they cannot be. */
  function keep(allTheSame: boolean): boolean {
    if (scatter.value && !allTheSame) {
      const { furthest } = scatter.value
      tries.why.value = `The tries spread over ${sayFigure(draft.value!.reduced!.range, result.value.check)}${furthest === null ? '' : `, and try ${furthest + 1} stands furthest off`}: more than a quarter of the tolerance. Touch that try to take it away, and measure again.`
      return false
    }
    const payload = typedIn(cell.value!)
    if (correcting.value) {
      void put(payload, reason.value.trim(), 'Who corrects the reading?', kept)
      return false
    }
    tries.why.value = job.act({ kind: 'reading.taken', payload })
    return tries.why.value === null && kept()
  }

  /** Puts what was read otherwise, with the reason; what another read is corrected with a PIN. */
  async function put(replacement: Payloads['reading.taken'], why: string, title: string, then: () => void) {
    if (!why) {
      tries.why.value = 'Say why the first reading is corrected.'
      return
    }
    // What was read at an earlier moment and still counts is corrected there.
    const { entry: target, moment: at } = entered.value!
    const answer = await signing.correct(title, {
      kind: 'entry.corrected',
      payload: { target, why, replacement: { ...replacement, moment: at } },
    })
    tries.why.value = answer.why
    if (answer.isSigned) then()
  }

  /** What is kept makes room for the next place. */
  function kept(): true {
    tries.clear()
    leave()
    const next = nextOpen(cell.value)
    if (next) goTo(next)
    else if (!bench.isDone && bench.hindered.some(one => one.settle.to === 'reading')) bench.look(null)
    return true
  }

  /** Places of other checks that are read alike, and are free. */
  const alike = computed(() =>
    cell.value && entered.value ? freeAlike(job.view.results, result.value, cell.value) : [],
  )

  /** A reading kept in the wrong place goes to the right one, of this check or another, which must be free. */
  function move(to: Cell, check = id) {
    const { tries: texts, unit, instrument, leading, style: how } = entered.value as CellRead
    const more = {
      ...(unit ? { unit } : {}),
      ...(instrument ? { instrument } : {}),
      ...(leading ? { leading } : {}),
      ...(how ? { style: how } : {}),
    }
    void put(readingIn(check, moment, to, texts, more), 'Kept in the wrong place', 'Who moves the reading?', () => {
      moving.value = false
      if (check === id) goTo(to)
      else bench.look({ to: 'reading', check, moment })
    })
  }

  const takeAgain = () => {
    anew.value = true
  }
  const { column, takeColumn } = useColumn(at, tries, {
    style: () => styled().style,
    oddness: (read, place) => oddnessOf(read, place, against()),
    doubt,
    kept,
  })

  const { table, takeTable } = useTable(at, tries, { doubt, kept })

  function leave() {
    // What was typed for a correction that is not made is nobody's reading.
    if (correcting.value || anew.value) tries.clear()
    anew.value = false
    correcting.value = false
    moving.value = false
    doubt.value = null
    reason.value = ''
  }
  function choose(place: Cell) {
    if (moving.value && place.key !== cell.value?.key) return move(place)
    leave()
    goTo(place)
  }

  return {
    ...at,
    column,
    takeColumn,
    table,
    takeTable,
    key: readingKey(id, moment),
    found,
    tries,
    draft,
    scatter,
    isOpen,
    doubt,
    correcting,
    moving,
    reason,
    take,
    keep,
    takeAgain,
    choose,
    alike,
    move,
    leave,
  }
}
