<script setup lang="ts">
import { STATION_WORDS } from '~~/core/job/ledger/words'
import type { OpenJob } from '~~/shared/answers'
import { askOrKept } from '~/device/answers'

definePageMeta({ asks: ['/api/jobs'] })

const jobs = shallowRef<OpenJob[] | null>(null)
const unsent = useUnsentStore()
const keptAt = ref<string | null>(null)
const why = ref<string | null>(null)
onMounted(async () => {
  void unsent.flush()
  try {
    const answer = await askOrKept<OpenJob[]>('/api/jobs')
    jobs.value = answer.value
    keptAt.value = answer.keptAt
  } catch (error) {
    why.value = sayWhy(error)
  }
})
</script>

<template>
  <div class="list">
    <WaitBoard />
    <h1>On the bench<KeptAt :at="keptAt" /></h1>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <el-skeleton v-else-if="jobs === null" :rows="5" animated aria-label="Loading jobs…" />
    <p v-else-if="!jobs.length">No job is open. Open one from a machine in the <NuxtLink to="/">yard</NuxtLink>.</p>
    <ul v-else>
      <li v-for="job in jobs" :key="job.id">
        <NuxtLink :to="`/bench/${job.id}`" class="card job">
          <span class="tag figures">{{ job.tag }}</span>
          <span class="what">
            <strong>{{ job.name }}</strong>
            <span>{{ job.complaint || 'Nothing reported' }}</span>
          </span>
          <span class="stands">
            <strong>{{ STATION_WORDS[job.stands.station] }}</strong>
            <span>{{ job.stands.step ?? 'Every step is done' }}</span>
            <span v-if="job.stands.waits" class="waits">Waits for: {{ job.stands.waits }}</span>
            <span v-if="unsent.left.has(job.id)" class="waits" data-test="unsent"
              >{{ counted(unsent.left.get(job.id)!, 'act') }} on this tablet not sent yet</span
            >
          </span>
          <span class="last soft">
            <span
              ><b class="figures">{{ job.stands.owed }}</b> owed</span
            >
            <span>{{ job.stands.lastBy }}, {{ siteTime(job.stands.lastAt) }}</span>
            <span>job {{ job.number }}, opened {{ siteDay(job.openedAt) }}</span>
          </span>
        </NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.list {
  padding: 18px 16px;
  max-width: 1280px;
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
  grid-template-columns: 104px minmax(180px, 4fr) minmax(220px, 5fr) minmax(170px, 3fr);
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
.what,
.stands,
.last {
  display: grid;
}
.stands strong {
  font: 600 18px var(--heads);
  color: var(--brass-ink);
}
.waits {
  color: var(--thin);
}
.last {
  font-size: 15px;
}
.what strong {
  font: 600 20px var(--heads);
}
@media (max-width: 900px) {
  .job {
    grid-template-columns: 100px 1fr;
  }
  .stands,
  .last {
    grid-column: 2;
  }
}
</style>
