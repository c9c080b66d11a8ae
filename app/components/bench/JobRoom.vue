<script setup lang="ts">
import { lineOf, notedName, partName, settleOf, waitsOn, type Noted } from '~~/core/job'
import type { Job } from '~/bench/job'

/** Everything under it has a loaded job, and one bench to work at it. */
const props = defineProps<{ job: Job }>()
provideJob(props.job)
const bench = provideBench(props.job)
const finder = useFinderStore()
/** Steps, parts and readings of the plan in force: another after a choice has changed it. */
const offers = () => [
  ...[...props.job.plan.steps.values()].map(one => ({
    key: `s${one.id}`,
    name: one.title,
    kind: 'step',
    go: () => bench.choose(one.id),
  })),
  ...[...props.job.plan.parts.values()].map(one => ({
    key: `p${one.ref}`,
    name: `${one.part.item} ${one.name}`,
    kind: 'part',
    go: () => bench.look({ to: 'part', part: one.ref }),
  })),
  ...[...props.job.plan.looks.values()].flatMap(one =>
    one.of.map(part => ({
      key: `l${one.id} ${part}`,
      name: `${one.title}: ${partName(props.job.plan, part)}`,
      kind: 'look',
      go: () => bench.look({ to: 'look', part, look: one.id }),
    })),
  ),
  ...props.job.plan.sheet.axes.map(one => ({
    key: `a${one.id}`,
    name: one.title,
    kind: 'choice',
    go: () => bench.look({ to: 'axis', axis: one.id }),
  })),
  ...props.job.plan.sheet.checks.flatMap(one =>
    one.at.slice(0, 1).map(at => ({
      key: `c${one.id}`,
      name: one.title,
      kind: 'reading',
      go: () => bench.look({ to: 'reading', check: one.id, moment: at.moment }),
    })),
  ),
]
/** Turns to where something was noted or taken. */
function turnTo(on: Noted | undefined) {
  const at = on && settleOf(props.job.plan, on)
  if (at?.to === 'step') bench.choose(at.step)
  else bench.look(at ?? { to: 'ledger' })
}
/** What was noted, found by its words. */
const notes = () =>
  props.job.state.notes.map(one => ({
    key: `n${one.entry}`,
    name: one.on ? `${one.text} (${notedName(props.job.plan, one.on)})` : one.text,
    kind: 'note',
    go: () => turnTo(one.on),
  }))
/** What is said under photographs. */
const pictures = () =>
  props.job.state.photos.map(one => {
    const words = lineOf(props.job.state, one)
    const name = one.on ? notedName(props.job.plan, one.on) : 'the job'
    return {
      key: `f${one.photo}`,
      name: words ? `${words} (${name})` : `Photograph of ${name}`,
      kind: 'photograph',
      go: () => turnTo(one.on),
    }
  })
watch(
  () => [props.job.plan, props.job.state.notes, props.job.state.photos, props.job.state.drawn],
  (_, __, leave) => leave(finder.offer([...notes(), ...pictures(), ...offers()])),
  { immediate: true },
)
const { isSettled } = useSettled()
// Once the server has what began or ended here, everybody is told.
const waits = useWaitsStore()
const waiting = computed(() =>
  props.job.waiting.length
    ? null
    : waitsOn(props.job.plan, props.job.state)
        .map(one => one.step.id)
        .join(),
)
let told = waiting.value
watch(waiting, now => {
  if (now === null || now === told) return
  told = now
  void waits.ask()
})
</script>

<template>
  <slot />
  <LazyBenchRest v-if="isSettled && !job.isClosed" />
</template>
