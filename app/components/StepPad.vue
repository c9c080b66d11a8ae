<script setup lang="ts">
import { partState, showValue, MOMENT_WORDS } from '~~/core/job'

/** The parts and readings of the step in view, where nothing is to be measured or answered. */
const job = useJobStore()
const bench = useBenchStore()
const { system } = useDisplay()
const step = computed(() => bench.step)
const parts = computed(() =>
  [...(step.value?.removes ?? []), ...(step.value?.fits ?? [])].map(ref => ({
    ...job.plan!.parts.get(ref)!,
    now: partState(job.state, ref),
  })),
)
const readings = computed(() =>
  step.value
    ? (job.plan!.checksAt.get(step.value.id) ?? []).map(({ check, moment }) =>
        job.view!.results.get(`${check.id} ${moment}`)!,
      )
    : [],
)
const KEEP = { bag: 'goes in a bag', tag: 'gets a tag', lay: 'is laid out' }
</script>

<template>
  <div class="about">
    <template v-if="parts.length">
      <h2>{{ step?.removes?.length ? 'What comes off' : 'What goes back' }}</h2>
      <ul>
        <li v-for="one in parts" :key="one.ref">
          <button @click="bench.look({ to: 'part', part: one.ref })">
            <span class="figures no">{{ one.part.item }}</span>
            <span class="what"
              >{{ one.name }}<template v-if="one.part.quantity"> × {{ one.part.quantity }}</template>
            </span>
            <span class="soft">{{
              one.part.renewal === 'always'
                ? 'always new'
                : one.part.massKg
                  ? `${one.part.massKg} kg`
                  : KEEP[one.part.keep]
            }}</span>
          </button>
        </li>
      </ul>
    </template>
    <template v-if="readings.length">
      <h2>Readings</h2>
      <ul>
        <li v-for="one in readings" :key="one.check.id + one.moment">
          <button @click="bench.look({ to: 'reading', check: one.check.id, moment: one.moment })">
            <VerdictMark :verdict="one.judgement.verdict" :word="false" />
            <span class="what"
              >{{ one.check.title }} <small class="soft">{{ MOMENT_WORDS[one.moment] }}</small>
            </span>
            <span class="figures">{{ one.owed ? showValue(one.check, one, system) : 'not owed' }}</span>
          </button>
        </li>
      </ul>
    </template>
    <p v-if="!parts.length && !readings.length" class="soft">
      Nothing to measure here. Confirm the step when it is done.
    </p>
  </div>
</template>

<style scoped>
.about {
  display: grid;
  gap: 8px;
  align-content: start;
}
h2 {
  font-size: 22px;
}
li {
  border-top: 1px solid var(--line);
}
li button {
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
.no {
  background: #1f3a68;
  color: #fff;
  border-radius: 3px;
  min-width: 34px;
  text-align: center;
  padding: 3px 0;
}
</style>
