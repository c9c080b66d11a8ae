<script setup lang="ts">
import type { YardMachine } from '~~/shared/answers'
import { dueOn } from '~/say/due'

/** What the yard wants next, while no machine is chosen: jobs to go on with, checks at their limit, what is due first. */
const props = defineProps<{
  machines: YardMachine[]
  /** So many of each are shown; the others are a press away. */
  most: number
}>()
const emit = defineEmits<{ choose: [tag: string]; worst: [] }>()
/** What was opened last comes first. */
const open = computed(() =>
  props.machines.filter(one => one.openJob).toSorted((a, b) => b.openJob!.number - a.openJob!.number),
)
const worn = computed(() =>
  props.machines
    .filter(one => one.worst && (one.worst.verdict === 'Out' || one.worst.verdict === 'Thin'))
    .toSorted((a, b) => (b.worst!.share ?? 9) - (a.worst!.share ?? 9)),
)
const due = computed(() =>
  props.machines
    .filter(one => !one.openJob)
    .flatMap(one => dueOn(one).map(due => ({ ...due, tag: one.tag, name: one.name })))
    .toSorted((a, b) => a.next.weeks - b.next.weeks)
    .slice(0, 6),
)
</script>

<template>
  <aside class="next" aria-label="What is next">
    <section v-if="open.length">
      <h2>On the bench</h2>
      <NuxtLink
        v-for="one in open.slice(0, most)"
        :key="one.tag"
        class="btn now go"
        :to="`/bench/${one.openJob!.id}`"
        :aria-label="`Continue ${one.tag}, job ${one.openJob!.number}`"
      >
        <span class="figures tag">{{ one.tag }}</span>
        <span class="what">{{ one.name }}</span>
        <span>job {{ one.openJob!.number }}</span>
      </NuxtLink>
      <NuxtLink v-if="open.length > most" class="btn" to="/bench">All {{ open.length }} on the bench</NuxtLink>
    </section>
    <section v-if="worn.length">
      <h2>At or past a limit</h2>
      <el-button v-for="one in worn.slice(0, most)" :key="one.tag" class="opens" @click="emit('choose', one.tag)">
        <span class="figures tag">{{ one.tag }}</span>
        <span class="what">{{ one.worst!.check }}</span>
        <VerdictMark :verdict="one.worst!.verdict" />
      </el-button>
      <el-button v-if="worn.length > most" @click="emit('worst')">All {{ worn.length }}: worst first</el-button>
    </section>
    <section v-if="due.length" class="due">
      <h2>Due first</h2>
      <el-button v-for="one in due" :key="`${one.tag} ${one.what}`" class="opens" @click="emit('choose', one.tag)">
        <span class="figures tag">{{ one.tag }}</span>
        <span class="what"
          >{{ one.what }}<small class="soft">{{ one.name }}</small></span
        >
        <span class="soft">{{ weeksWords(one.next.weeks) }}</span>
      </el-button>
    </section>
  </aside>
</template>

<style scoped>
.what small {
  display: block;
  font-size: 15px;
}
.next {
  grid-column: 2;
  grid-row: 2 / 4;
  background: var(--chalk);
  border-left: 1px solid var(--line);
  padding: 14px 18px;
  display: grid;
  gap: 16px;
  align-content: start;
}
section {
  display: grid;
  gap: 6px;
  align-content: start;
}
/* Over the yard there is room for what comes first; what is due is asked for in the bar above. */
@media (max-width: 1000px) {
  .next {
    grid-template-columns: 1fr 1fr;
    padding: 10px 16px;
  }
  .due {
    display: none;
  }
}
.opens {
  border-top: 1px solid var(--line);
}
.btn.go {
  justify-content: flex-start;
  gap: 10px;
  text-align: left;
}
h2 {
  font-size: 20px;
}
.tag {
  flex: 0 0 74px;
}
.what {
  flex: 1;
}
</style>
