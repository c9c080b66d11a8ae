<script setup lang="ts">
import { lastAct } from '~~/core/job'

const job = useJobStore()
const bench = useBenchStore()
const session = useSessionStore()
const said = ref<string | null>(null)
const confirmStep = useTemplateRef<{ confirm: () => void }>('card')

function undo() {
  const last = session.person ? lastAct(job.folded.entries, session.person.id) : []
  said.value = last.length
    ? job.act(
        ...last.map(one => ({
          kind: 'entry.corrected' as const,
          payload: { target: one.id, why: 'Taken back at once' },
        })),
      )
    : 'There is nothing of yours to take back.'
}
function lookAtOwed(kind: 'reading' | 'mark' | 'keep') {
  const one = job.view?.owed.find(owed => owed.kind === kind)
  if (one) bench.settle(one.settle)
}
useKeys({
  n: () => bench.choose(null),
  Enter: () => confirmStep.value?.confirm(),
  r: () => lookAtOwed('reading'),
  m: () => lookAtOwed('mark'),
  t: () => lookAtOwed('keep'),
  u: undo,
})
watch(
  () => job.folded.entries.length,
  () => {
    said.value = null
  },
)
</script>

<template>
  <div class="bench">
    <StationRail />
    <ShaftLine />
    <div v-if="said || job.refused.length" class="said" role="alert">
      <p v-if="said">{{ said }} <button class="btn plain" @click="said = null">Close</button></p>
      <p v-for="batch in job.refused" :key="batch.entries[0]!.id">
        {{ batch.refused }} <button class="btn plain" @click="job.dismiss(batch)">Put aside</button>
      </p>
    </div>
    <div class="columns">
      <StepCard ref="card" />
      <BenchPad />
      <OwedList />
    </div>
    <TrayLine @undo="undo" />
  </div>
</template>

<style scoped>
.bench {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: calc(100vh - 50px);
}
.columns {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(330px, 4fr) minmax(420px, 5fr) minmax(230px, 2.6fr);
  gap: 12px;
  padding: 12px 16px;
  align-items: stretch;
}
.said {
  padding: 6px 16px 0;
  color: var(--out);
  font-weight: 500;
}
@media (min-width: 1101px) and (min-height: 700px) {
  .bench {
    height: calc(100vh - 50px);
    max-height: calc(100vh - 50px);
    flex: none;
  }
  .columns {
    min-height: 0;
    grid-auto-rows: minmax(0, 1fr);
  }
  .columns > * {
    min-height: 0;
    overflow-y: auto;
  }
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: 1fr 1fr;
  }
  .columns > :last-child {
    grid-column: 1 / -1;
  }
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
    padding: 12px;
  }
}
</style>
