<script setup lang="ts">
import { causeStep, recordOf, recordTables } from '~~/core/job'

/** Everything that was done on a job. */
const job = useJob()
const { system } = useDisplay()
const record = computed(() => recordOf(job.opened, job.folded.entries, job.names, system.value, job.state))
const tables = computed(() => recordTables(record.value))
</script>

<template>
  <ReportSheet report="record" title="Overhaul record" :record="record" :tables="tables">
    <template #acts>
      <NuxtLink v-if="causeStep(job.plan)" class="btn" :to="`/bench/${job.id}/failure`">Failure report</NuxtLink>
    </template>
  </ReportSheet>
</template>
