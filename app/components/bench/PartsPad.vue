<script setup lang="ts">
import { offWith, partName, partState } from '~~/core/job'

const job = useJob()
const bench = useBench()
const along = (ref: string) => {
  const on = offWith(job.plan, job.state, ref)
  return on === null ? undefined : partName(job.plan, on)
}
const text = ref('')
const rows = computed(() =>
  [...job.plan.parts.values()]
    .filter(one => `${one.part.item} ${one.name}`.toLowerCase().includes(text.value.trim().toLowerCase()))
    .map(one => ({ ...one, now: partState(job.state, one.ref) })),
)
</script>

<template>
  <PadFrame title="All parts">
    <el-input v-model="text" aria-label="Filter the parts" clearable placeholder="item or name" />
    <ul tabindex="0" aria-label="Parts">
      <li v-for="one in rows" :key="one.ref">
        <PartRow
          :one="one"
          :says="whereIs(one.part, one.now, along(one.ref))"
          @open="bench.look({ to: 'part', part: one.ref })"
        />
      </li>
    </ul>
  </PadFrame>
</template>
