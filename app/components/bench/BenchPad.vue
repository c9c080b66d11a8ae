<script setup lang="ts">
/** The middle of the bench: turned to whatever is being measured, marked, fitted, pulled, decided or asked about. */
const bench = useBench()
const focus = computed(() => bench.focus)
/** A reading leaves by its own button; everything else by the cross. */
const pad = useTemplateRef<HTMLElement>('pad')
// On a narrow screen the pad may lie out of sight of what was touched, and be empty until it has been fetched.
watch(
  () => bench.chosenFocus,
  async at => {
    await nextTick()
    if (at && pad.value && pad.value.getBoundingClientRect().top > innerHeight / 2)
      pad.value.scrollIntoView({ block: 'start' })
  },
)
</script>

<template>
  <section ref="pad" class="card pad" aria-label="Gauge pad">
    <el-button
      v-if="bench.chosenFocus && focus?.to !== 'reading'"
      text
      class="back"
      aria-label="Back to the step"
      @click="bench.look(null)"
    >
      ✕
    </el-button>
    <ReadingPad
      v-if="focus?.to === 'reading'"
      :key="`${focus.check} ${focus.moment}`"
      :check="focus.check"
      :moment="focus.moment"
    />
    <MarkPad v-else-if="focus?.to === 'mark'" :key="focus.mate" :mate="focus.mate" />
    <LazyJointPad v-else-if="focus?.to === 'joint'" :key="focus.joint" :joint="focus.joint" />
    <LazyEasePad v-else-if="focus?.to === 'slackening'" :key="`ease ${focus.joint}`" :joint="focus.joint" />
    <SayPad v-else-if="focus?.to === 'say'" :key="bench.step?.id" />
    <MatePad v-else-if="focus?.to === 'mate'" :key="focus.mate" :mate="focus.mate" />
    <AxisPad v-else-if="focus?.to === 'axis'" :key="focus.axis" :axis="focus.axis" />
    <StrayPad v-else-if="focus?.to === 'stray'" :key="focus.part" :part="focus.part" />
    <LazyRoundPad v-else-if="focus?.to === 'round'" :key="focus.loop" :loop="focus.loop" />
    <LazyTroublePad v-else-if="focus?.to === 'trouble'" :key="focus.step" :step="focus.step" />
    <LazyItemsPad v-else-if="focus?.to === 'items'" />
    <DecidePad v-else-if="focus?.to === 'decide'" />
    <PartPad v-else-if="focus?.to === 'part'" :key="focus.part" :part="focus.part" />
    <PartsPad v-else-if="focus?.to === 'parts'" />
    <GatePad v-else-if="focus?.to === 'gate'" />
    <LedgerPad v-else-if="focus?.to === 'ledger'" />
    <StepPad v-else />
  </section>
</template>

<style scoped>
.pad {
  position: relative;
  padding: 12px 16px;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
@media (max-width: 900px) {
  .pad {
    min-height: 56vh;
  }
}
.back {
  position: absolute;
  right: 4px;
  top: 4px;
  z-index: 1;
}
</style>
