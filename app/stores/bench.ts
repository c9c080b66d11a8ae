import { defineStore } from 'pinia'
import { hindrances, nextStep, type Hindrance, type Settle } from '~~/core/job'
import type { Station, Step } from '~~/core/sheet'

/** What the middle of the bench shows. */
export type Focus =
  | Settle
  | { to: 'joint'; joint: string }
  | { to: 'fit'; step: string }
  | { to: 'decide' }
  | { to: 'gate' }
  | { to: 'ledger' }
  | { to: 'parts' }
  | null

/** Which step is on the card and what the pad is turned to, on this screen. */
export const useBenchStore = defineStore('bench', () => {
  const job = useJobStore()
  const chosenStep = ref<string | null>(null)
  const chosenFocus = shallowRef<Focus>(null)

  const step = computed((): Step | null => {
    if (!job.plan) return null
    const chosen = chosenStep.value ? job.plan.steps.get(chosenStep.value) : undefined
    return chosen ?? nextStep(job.plan, job.state)
  })
  const isDone = computed(() => step.value !== null && job.state.steps.has(step.value.id))
  const hindered = computed((): Hindrance[] =>
    job.plan && job.view && step.value && !isDone.value
      ? hindrances(job.plan, job.state, job.view.owed, step.value)
      : [],
  )

  /** What the step itself wants of the pad, when nothing else was asked for. */
  const ownFocus = computed((): Focus => {
    const one = step.value
    if (!one || !job.plan || !job.view) return { to: 'gate' }
    if (isDone.value) return chosenStep.value ? { to: 'step', step: one.id } : { to: 'gate' }
    const settle = hindered.value.map(hindrance => hindrance.settle).find(to => to.to === 'reading' || to.to === 'mark')
    if (settle) return settle
    if (one.station === 'decide') return { to: 'decide' }
    if (one.joint?.act === 'pull') return { to: 'joint', joint: one.joint.id }
    if (one.fits?.length) return { to: 'fit', step: one.id }
    const measured = (job.plan.checksAt.get(one.id) ?? []).findLast(
      ({ check, moment }) => job.view!.results.get(`${check.id} ${moment}`)?.value !== null,
    )
    if (measured) return { to: 'reading', check: measured.check.id, moment: measured.moment }
    return null
  })
  const focus = computed(() => chosenFocus.value ?? ownFocus.value)

  function look(at: Focus) {
    chosenFocus.value = at
  }
  function choose(id: string | null) {
    chosenStep.value = id
    chosenFocus.value = null
  }
  /** Turns to where something is settled: a step goes on the card, the rest on the pad. */
  function settle(to: Hindrance['settle']) {
    if (to.to === 'step') choose(to.step)
    else if (to.to === 'caution') choose(to.step)
    else look(to)
  }
  function openStation(station: Station) {
    const steps = job.plan?.sheet.steps.filter(one => one.station === station) ?? []
    choose((steps.find(one => !job.state.steps.has(one.id)) ?? steps[0])?.id ?? null)
  }

  // A step once done hands the card to the next one.
  watch(
    () => job.state.steps.size,
    (now, before) => {
      if (now > before) choose(null)
    },
  )

  return { step, isDone, hindered, focus, chosenFocus, look, choose, settle, openStation }
})
