<script setup lang="ts">
import { leftOut } from '~~/core/job'

/** What this machine is, choice by choice, and what the job leaves out by it; each can be changed in mid-job. */
const job = useJob()
const bench = useBench()
const choices = computed(() =>
  job.plan.sheet.axes.map(axis => ({
    ...axis,
    now: axis.choices.find(one => one.id === job.plan.variants[axis.id])?.title ?? 'not decided yet',
  })),
)
const out = computed(() => leftOut(job.plan, job.state))
</script>

<template>
  <section v-if="choices.length" aria-label="This machine">
    <h3>This machine</h3>
    <ul>
      <li v-for="one in choices" :key="one.id">
        <span
          >{{ one.title }}: <strong>{{ one.now }}</strong></span
        >
        <el-button v-if="!job.isClosed" size="small" text @click="bench.look({ to: 'axis', axis: one.id })">
          Change
        </el-button>
      </li>
    </ul>
    <p v-if="out.length" class="soft">Left out on this job: {{ out.map(one => one.title).join('; ') }}.</p>
  </section>
</template>

<style scoped>
section {
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
</style>
