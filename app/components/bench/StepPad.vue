<script setup lang="ts">
import { partState, showValue, MOMENT_WORDS } from '~~/core/job'

/** The parts and readings of the step in view, where nothing is to be measured or answered. */
const job = useJob()
const bench = useBench()
const { system } = useDisplay()
const step = computed(() => bench.step)
const parts = computed(() =>
  [...(step.value?.removes ?? []), ...(step.value?.fits ?? [])].map(ref => ({
    ...job.plan.parts.get(ref)!,
    now: partState(job.state, ref),
  })),
)
const readings = computed(() =>
  step.value
    ? (job.plan.checksAt.get(step.value.id) ?? []).map(({ check, moment }) =>
        job.view.results.get(`${check.id} ${moment}`)!,
      )
    : [],
)
const KEEP = { bag: 'goes in a bag', tag: 'gets a tag', lay: 'is laid out' }
const says = ({ part }: (typeof parts.value)[number]) =>
  part.renewal === 'always' ? 'always new' : part.massKg ? `${part.massKg} kg` : KEEP[part.keep]
const title = computed(() =>
  parts.value.length ? (step.value?.removes?.length ? 'What comes off' : 'What goes back') : 'Readings',
)
</script>

<template>
  <PadFrame v-if="parts.length || readings.length" :title="title">
    <ul v-if="parts.length">
      <li v-for="one in parts" :key="one.ref">
        <PartRow :one="one" :says="says(one)" @open="bench.look({ to: 'part', part: one.ref })" />
      </li>
    </ul>
    <h2 v-if="parts.length && readings.length">Readings</h2>
    <ul v-if="readings.length">
      <li v-for="one in readings" :key="one.check.id + one.moment">
        <button class="reading" @click="bench.look({ to: 'reading', check: one.check.id, moment: one.moment })">
          <VerdictMark :verdict="one.judgement.verdict" :word="false" />
          <span class="what"
            >{{ one.check.title }} <small class="soft">{{ MOMENT_WORDS[one.moment] }}</small>
          </span>
          <span class="figures">{{ one.owed ? showValue(one.check, one, system) : 'not owed' }}</span>
        </button>
      </li>
    </ul>
  </PadFrame>
  <p v-else class="soft">Nothing to measure here. Confirm the step when it is done.</p>
</template>

<style scoped>
h2 {
  font-size: 22px;
}
.reading {
  width: 100%;
  min-height: 48px;
  border: 0;
  background: none;
  display: flex;
  gap: 12px;
  align-items: center;
  text-align: left;
  cursor: pointer;
  padding: 0;
}
.what {
  flex: 1;
  font-size: 17px;
}
</style>
