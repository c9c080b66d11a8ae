<script setup lang="ts">
import { causeStep, failureTables, groupDials } from '~~/core/job'

/** What the machine of a job failed of: where everything lay, what was found, and what speaks for which cause. */
const job = useJob()
const dials = computed(() => groupDials(job.plan, job.state))
</script>

<template>
  <ReportSheet v-if="causeStep(job.plan)" report="failure" title="Failure report" :tables-of="failureTables">
    <template #acts>
      <NuxtLink class="btn" :to="`/bench/${job.id}/record`">Overhaul record</NuxtLink>
    </template>
    <PositionsDial v-for="dial in dials" :key="dial.name" :dial="dial" />
  </ReportSheet>
  <p v-else class="page-say">
    Nobody asks on this job what it failed of, so there is no failure report.
    <NuxtLink class="btn" :to="`/bench/${job.id}/record`">To its record</NuxtLink>
  </p>
</template>
