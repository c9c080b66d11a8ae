import {
  cellKey,
  cellsOf,
  doubtOf,
  figureOf,
  isHistory,
  leadingDigits,
  readDraft,
  readingKey,
  unmetNeeds,
  type Cell,
  type Payloads,
} from '~~/core/job'
import type { Check, Moment } from '~~/core/sheet'

/** One check at one moment being measured: which place, what is typed, what is odd about it, what is kept. */
export function useReading(check: Check, moment: Moment) {
  const job = useJob()
  const bench = useBench()
  const signing = useSign()
  const { show, system, text: sayFigure } = useDisplay()
  const at = check.at.find(one => one.moment === moment)!
  const key = readingKey(check.id, moment)
  const cells = cellsOf(check)
  const result = computed(() => job.view.results.get(key)!)
  /** What has to be done before this can be measured at all. */
  const before = computed(() => unmetNeeds(job.plan, job.state, job.plan.steps.get(at.step)!))

  /** What fills a place. Of a part renewed since, it fills it no more where the new one is measured. */
  const taken = (cell: Cell) => {
    const entry = job.state.readings.get(key)?.get(cellKey(cell.station, cell.plane))
    return entry && !(at.renewed && isHistory(job.state, check, entry)) ? entry : undefined
  }
  const isMissing = (cell: Cell) =>
    result.value.missing.some(one => one.station === cell.station && one.plane === cell.plane)
  const nextOpen = (after?: Cell) => {
    const from = after ? cells.indexOf(after) + 1 : 0
    return [...cells.slice(from), ...cells.slice(0, from)].find(isMissing)
  }
  const cell = shallowRef<Cell>(nextOpen() ?? cells[0]!)
  const style = useLocalStorage<'signed readings' | 'travels'>('needler-lift-style', 'signed readings')
  const draft = useReadingDraft(check, moment, cell, style)
  const correcting = ref(false)
  const moving = ref(false)
  const reason = ref('')
  /** The question asked before something odd is kept. */
  const doubt = ref<string | null>(null)
  const entered = computed(() => taken(cell.value))
  const isRead = computed(() => entered.value !== undefined && !correcting.value)
  const isOpen = computed(() => !isRead.value && check.kind !== 'clearance')
  const says = computed(() => (isRead.value ? readDraft(check, entered.value!) : draft.says.value))
  const disagree = computed(() => says.value.again !== null && !isRead.value)
  const isFull = computed(
    () => draft.figures.value.length >= draft.wanted && draft.figures.value.length % draft.perTry === 0,
  )
  const lead = computed(() => (draft.perTry === 1 && isOpen.value ? leadingDigits(check, system.value) : null))

  watch([draft.text, cell], () => {
    doubt.value = null
  })

  /** What is odd about the try that the typed figure makes whole; null when it is not whole yet, or not odd. */
  function oddness(): string | null {
    const typed = draft.read.value
    if (!typed?.ok) return null
    const row = [...draft.figures.value.map(one => one.value), typed.value.value].slice(
      Math.floor(draft.figures.value.length / draft.perTry) * draft.perTry,
    )
    if (row.length < draft.perTry) return null
    return doubtOf(check, figureOf(check, { style: style.value }, row), job.about.last[check.id] ?? null, system.value)
  }

  /** Takes what is typed; where one try is wanted it is kept at once, and the next place is at hand. */
  function take(isSure = false): boolean {
    if (draft.text.value.trim()) {
      doubt.value = isSure ? null : oddness()
      if (doubt.value || !draft.take()) return false
      if (draft.wanted > draft.perTry || !isFull.value) return true
    }
    return isFull.value && keep(false)
  }

  function payload(place: Cell): Payloads['reading.taken'] {
    const assumed = draft.figures.value.find(one => one.assumed)?.assumed
    return {
      check: check.id,
      moment,
      ...(place.station ? { station: place.station } : {}),
      ...(place.plane ? { plane: place.plane } : {}),
      tries: draft.rows.value.map(row => row.map(one => one.value)),
      texts: draft.rows.value.map(row => row.map(one => one.text)),
      unit: draft.unit.value,
      instrument: check.instrument,
      ...(assumed ? { assumed } : {}),
      ...(check.kind === 'lift' ? { style: style.value } : {}),
    }
  }

  /** Keeps the tries of this place; false, with the sentence, while they cannot be. */
  function keep(allTheSame: boolean): boolean {
    if (disagree.value && !allTheSame) {
      const odd = says.value.again!.furthest
      draft.why.value = `The tries spread over ${sayFigure(says.value.range, check)}${odd === null ? '' : `, and try ${odd + 1} stands furthest off`}: more than a quarter of the tolerance. Touch that try to take it away, and measure again.`
      return false
    }
    const replacement = payload(cell.value)
    if (correcting.value) {
      void correct(replacement)
      return false
    }
    draft.why.value = job.act({ kind: 'reading.taken', payload: replacement })
    return draft.why.value === null && kept()
  }

  /** Puts what was read otherwise, with the reason; what another read is corrected with a PIN. */
  async function correct(replacement: Payloads['reading.taken']) {
    const written = reason.value.trim()
    if (!written) {
      draft.why.value = 'Say why the first reading is corrected.'
      return
    }
    const target = entered.value!.entry
    const answer = await signing.correct('Who corrects the reading?', {
      kind: 'entry.corrected',
      payload: { target, why: written, replacement },
    })
    draft.why.value = answer.why
    if (answer.isSigned) kept()
  }

  /** What is kept makes room for the next place. */
  function kept(): true {
    draft.clear()
    leave()
    const next = nextOpen(cell.value)
    if (next) cell.value = next
    else if (!bench.isDone && bench.hindered.some(one => one.settle.to === 'reading')) bench.look(null)
    return true
  }

  /** A reading kept in the wrong place goes to the right one, which must be free. */
  async function move(to: Cell) {
    const { station: _, plane: __, ...rest } = entered.value! as Payloads['reading.taken']
    const { check: id, moment: when, tries, texts, unit, instrument, assumed, style: how } = rest
    const replacement = {
      check: id,
      moment: when,
      ...(to.station ? { station: to.station } : {}),
      ...(to.plane ? { plane: to.plane } : {}),
      tries,
      texts,
      ...(unit ? { unit } : {}),
      ...(instrument ? { instrument } : {}),
      ...(assumed ? { assumed } : {}),
      ...(how ? { style: how } : {}),
    }
    const answer = await signing.correct('Who moves the reading?', {
      kind: 'entry.corrected',
      payload: { target: entered.value!.entry, why: 'Kept in the wrong place', replacement },
    })
    draft.why.value = answer.why
    if (!answer.isSigned) return
    moving.value = false
    cell.value = to
  }

  const verdictOf = (place: Cell) => readDraft(check, taken(place)!).judgement.verdict
  const figureAt = (place: Cell) => {
    const { value, scatter } = readDraft(check, taken(place)!)
    return scatter ? 'disagree' : value === null ? '' : show(value, check).figure
  }

  function leave() {
    correcting.value = false
    moving.value = false
    doubt.value = null
    reason.value = ''
  }
  function goTo(place: Cell) {
    if (moving.value && place !== cell.value) return void move(place)
    leave()
    cell.value = place
  }

  return {
    result,
    before,
    cells,
    cell,
    taken,
    style,
    draft,
    lead,
    says,
    entered,
    isRead,
    isOpen,
    isFull,
    disagree,
    doubt,
    correcting,
    moving,
    reason,
    verdictOf,
    figureAt,
    take,
    keep,
    goTo,
    leave,
  }
}
