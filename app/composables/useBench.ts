import type { InjectionKey } from 'vue'
import { hindrances, nextStep, readingKey, unmetNeeds, wantedAt, type Hindrance, type Settle } from '~~/core/job'
import type { Station, Step } from '~~/core/sheet'
import type { Job } from '~/bench/job'

/** What the middle of the bench shows. */
export type Focus = Settle | null

/** Which step is on the card and what the pad is turned to, on this screen. */
function createBench(job: Job) {
  const session = useSessionStore()
  /** Whoever stands here reads the cautions, once a shift. */
  const now = useNow({ interval: 60_000 })
  const reader = computed(() =>
    session.person ? { person: session.person.id, at: now.value.toISOString() } : undefined,
  )
  const chosenStep = ref<string | null>(null)
  const chosenFocus = shallowRef<Focus>(null)

  const step = computed((): Step | null => {
    const chosen = chosenStep.value ? job.plan.steps.get(chosenStep.value) : undefined
    return chosen ?? nextStep(job.plan, job.state)
  })
  const isDone = computed(() => step.value !== null && job.state.steps.has(step.value.id))
  const hindered = computed((): Hindrance[] =>
    step.value && !isDone.value ? hindrances(job.plan, job.state, job.view.owed, step.value, reader.value) : [],
  )
  const isReached = computed(() => step.value !== null && unmetNeeds(job.plan, job.state, step.value).length === 0)

  const telling = createSaid(job, step, isReached)
  /** The step whose parts were gone through: its joint is next. */
  const goneThrough = ref<string | null>(null)

  /** What the step itself wants of the pad, when nothing else was asked for. */
  const ownFocus = computed((): Focus => {
    const one = step.value
    if (!one) return { to: 'gate' }
    if (isDone.value) return chosenStep.value ? { to: 'step', step: one.id } : { to: 'gate' }
    const scene = { plan: job.plan, state: job.state, results: job.view.results }
    return wantedAt(scene, one, hindered.value, telling.asks.value, goneThrough.value === one.id)[0] ?? null
  })
  /** What was turned to is left where a choice on the job has taken it out of the plan. */
  const isThere = (at: Focus) => at?.to !== 'reading' || job.view.results.has(readingKey(at.check, at.moment))
  const focus = computed(() => (chosenFocus.value && isThere(chosenFocus.value) ? chosenFocus.value : ownFocus.value))

  function look(at: Focus) {
    chosenFocus.value = at
  }
  function choose(id: string | null) {
    chosenStep.value = id
    chosenFocus.value = null
  }
  /** From what goes back to drawing it up. */
  function goOnToJoint() {
    goneThrough.value = step.value?.id ?? null
    chosenFocus.value = null
  }
  /** Turns to where something is settled: a step goes on the card, the rest on the pad. */
  function settle(to: Hindrance['settle']) {
    if (to.to === 'step' || to.to === 'caution') choose(to.step)
    else look(to)
  }
  function openStation(station: Station) {
    const steps = job.plan.sheet.steps.filter(one => one.station === station)
    choose((steps.find(one => !job.state.steps.has(one.id)) ?? steps[0])?.id ?? null)
  }

  // The step on the card once done hands it to the next one. One that was done when it was chosen stays: it is looked at again.
  watch(
    () => [step.value?.id, isDone.value] as const,
    ([id, done], [before, wasDone]) => id === before && done && !wasDone && chosenStep.value === id && choose(null),
  )

  return reactive({
    step,
    isDone,
    isReached,
    hindered,
    reader,
    focus,
    chosenFocus,
    ...telling,
    look,
    choose,
    goOnToJoint,
    settle,
    openStation,
  })
}

type Bench = ReturnType<typeof createBench>
const KEY: InjectionKey<Bench> = Symbol('bench')

export function provideBench(job: Job): Bench {
  const bench = createBench(job)
  provide(KEY, bench)
  return bench
}

export function useBench(): Bench {
  const bench = inject(KEY)
  if (!bench) throw new Error('useBench belongs under a JobRoom.')
  return bench
}
