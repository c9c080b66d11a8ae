<script setup lang="ts">
import type { OpenJob } from '~~/shared/answers'

const jobs = shallowRef<OpenJob[] | null>(null)
const why = ref<string | null>(null)
onMounted(async () => {
  try {
    jobs.value = await $fetch<OpenJob[]>('/api/jobs')
  } catch (error) {
    why.value = sayWhy(error)
  }
})
</script>

<template>
  <div class="list">
    <h1>On the bench</h1>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <p v-else-if="jobs === null" class="soft">Looking at the bench…</p>
    <p v-else-if="!jobs.length">No job is open. Open one from a machine in the <NuxtLink to="/">yard</NuxtLink>.</p>
    <ul v-else>
      <li v-for="job in jobs" :key="job.id">
        <NuxtLink :to="`/bench/${job.id}`" class="card job">
          <span class="tag figures">{{ job.tag }}</span>
          <span class="what">
            <strong>{{ job.name }}</strong>
            <span>{{ job.complaint || 'Nothing reported' }}</span>
          </span>
          <span class="soft"
            >job <span class="figures">{{ job.number }}</span>, opened {{ siteDay(job.openedAt) }}</span
          >
          <span class="soft">
            <span class="figures">{{ job.entries }}</span> entries</span
          >
        </NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.list {
  padding: 18px 16px;
  max-width: 1100px;
  width: 100%;
}
h1 {
  font-size: 28px;
  margin-bottom: 14px;
}
ul {
  display: grid;
  gap: 10px;
}
.job {
  display: grid;
  grid-template-columns: 110px 1fr auto 110px;
  gap: 16px;
  align-items: center;
  padding: 14px 16px;
  text-decoration: none;
  min-height: 72px;
}
.job:hover {
  border-color: var(--blue-ink);
}
.tag {
  font-size: 21px;
}
.what {
  display: grid;
}
.what strong {
  font: 600 20px var(--heads);
}
@media (max-width: 800px) {
  .job {
    grid-template-columns: 100px 1fr;
  }
}
</style>
