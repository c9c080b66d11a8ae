<script setup lang="ts">
const job = useJob()
const bench = useBench()
const said = ref<string | null>(null)
const confirmStep = useTemplateRef<{ confirm: () => void }>('card')
const inHand = computed(() => (bench.isDone ? [] : [...(bench.step?.removes ?? []), ...(bench.step?.fits ?? [])]))

/** A machine that stands is drawn so where there is room beside the cards. */
const isWide = useMediaQuery('(min-width: 1500px) and (min-height: 700px)')
const standing = computed(() => isWide.value && job.plan.sheet.upright === true)

// Whoever comes from what waits stands at its step.
const asked = useRoute().query.step
if (typeof asked === 'string' && job.plan.steps.has(asked)) bench.choose(asked)

const undo = () => {
  said.value = job.undo()
}
function lookAtOwed(kind: 'reading' | 'mark' | 'keep') {
  const one = job.view.owed.find(owed => owed.kind === kind)
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
  <div class="bench" :class="{ standing }">
    <StationRail
      :about="job.about"
      :complaint="job.state.opened?.payload.complaint ?? ''"
      :parent="job.state.opened?.payload.parent"
      :stations="job.view.stations"
      :now="bench.step?.station"
      @open="bench.openStation"
    />
    <ShaftLine
      :plan="job.plan"
      :state="job.state"
      :tray="job.view.tray.off"
      :in-hand="inHand"
      :standing="standing"
      @open="part => bench.look({ to: 'part', part })"
      @parts="bench.look({ to: 'parts' })"
    />
    <div class="work">
      <WaitingNote />
      <div v-if="said || job.refused.length" class="said" role="alert">
        <p v-if="said">{{ said }} <el-button text @click="said = null">Close</el-button></p>
        <p v-for="batch in job.refused" :key="batch.act">
          {{ batch.refused }} <el-button text @click="job.dismiss(batch)">Dismiss</el-button>
        </p>
      </div>
      <div class="columns">
        <StepCard ref="card" />
        <BenchPad />
        <OwedList :owed="job.view.owed" :step="bench.step" @settle="bench.settle" />
      </div>
    </div>
    <TrayLine
      :job="job.id"
      :tray="job.view.tray"
      :gate="job.view.gate"
      :ended="job.state.signed ? 'Signed' : job.state.cancelled ? 'Cancelled' : null"
      :waiting="job.waiting.length"
      :reached="job.reached"
      :copy="job.copy"
      :held="job.held"
      @undo="undo"
      @ledger="bench.look({ to: 'ledger' })"
      @gate="bench.look({ to: 'gate' })"
    />
  </div>
</template>

<style scoped>
.bench {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: calc(100vh - 50px);
}
.work {
  display: contents;
}
.bench.standing {
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / 330px minmax(0, 1fr);
}
.standing > :first-child,
.standing > :last-child {
  grid-column: 1 / -1;
}
.standing .work {
  display: flex;
  flex-direction: column;
  min-height: 0;
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
