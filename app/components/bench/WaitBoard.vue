<script setup lang="ts">
import { stillText } from '~~/core/job/parts/waits'
import type { RunningWait } from '~~/shared/answers'

/** What waits over all open jobs: what is over first, then what ends next. */
const waits = useWaitsStore()

function standing({ since, leastAt, mostAt }: RunningWait) {
  const { now } = waits
  if (mostAt && mostAt < now) return { verdict: 'Out' as const, says: `Too long by ${stillText(mostAt, now)}` }
  if (leastAt && leastAt > now)
    return { verdict: 'Open' as const, says: `${stillText(now, leastAt)} still, until ${siteTime(leastAt)}` }
  return {
    verdict: 'Holds' as const,
    says: mostAt ? `Over: out by ${siteTime(mostAt)}` : `Over, after ${stillText(since, now)}`,
  }
}
</script>

<template>
  <section v-if="waits.running.length" class="waiting" aria-label="What waits" data-test="waits">
    <h2>Waiting</h2>
    <ul>
      <li v-for="one in waits.running" :key="`${one.job} ${one.stepId}`">
        <NuxtLink :to="`/bench/${one.job}?step=${one.stepId}`" class="card one">
          <span class="tag figures">{{ one.tag }}</span>
          <span class="what">
            <strong>{{ one.what }}</strong>
            <span class="soft">{{ one.step }}</span>
          </span>
          <span class="says"
            ><VerdictMark :verdict="standing(one).verdict" :word="false" />{{ standing(one).says }}</span
          >
        </NuxtLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.waiting {
  margin-bottom: 22px;
}
h2 {
  font-size: 22px;
  margin-bottom: 8px;
}
ul {
  display: grid;
  gap: 8px;
}
.one {
  display: grid;
  grid-template-columns: 104px minmax(200px, 1fr) minmax(260px, auto);
  gap: 6px 16px;
  align-items: center;
  padding: 10px 16px;
  min-height: 60px;
  text-decoration: none;
}
.one:hover {
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
.what strong::first-letter {
  text-transform: uppercase;
}
.says {
  font-size: 18px;
  display: flex;
  gap: 8px;
  align-items: center;
}
@media (max-width: 900px) {
  .one {
    grid-template-columns: 104px 1fr;
  }
  .says {
    grid-column: 2;
  }
}
</style>
