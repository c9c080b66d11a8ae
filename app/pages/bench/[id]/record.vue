<script setup lang="ts">
import { causeStep, recordTables } from '~~/core/job'

/** Everything that was done on a job. */
const job = useJob()
</script>

<template>
  <ReportSheet report="record" title="Overhaul record" :tables-of="recordTables">
    <template #acts>
      <NuxtLink v-if="causeStep(job.plan)" class="btn" :to="`/bench/${job.id}/failure`">Failure report</NuxtLink>
    </template>
  </ReportSheet>
</template>
