<script setup lang="ts">
import type { Job } from '~/bench/job'

/** Everything under it has a loaded job, and one bench to work at it. */
const props = defineProps<{ job: Job }>()
provideJob(props.job)
const bench = provideBench(props.job)
const finder = useFinderStore()
const { plan } = props.job

onScopeDispose(
  finder.offer([
    ...[...plan.steps.values()].map(one => ({
      key: `s${one.id}`,
      name: one.title,
      kind: 'step',
      go: () => bench.choose(one.id),
    })),
    ...[...plan.parts.values()].map(one => ({
      key: `p${one.ref}`,
      name: `${one.part.item} ${one.name}`,
      kind: 'part',
      go: () => bench.look({ to: 'part', part: one.ref }),
    })),
    ...plan.sheet.checks.flatMap(one =>
      one.at.slice(0, 1).map(at => ({
        key: `c${one.id}`,
        name: one.title,
        kind: 'reading',
        go: () => bench.look({ to: 'reading', check: one.id, moment: at.moment }),
      })),
    ),
  ]),
)
</script>

<template>
  <slot />
</template>
