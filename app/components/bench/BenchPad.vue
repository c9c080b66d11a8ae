<script setup lang="ts">
import type { Component } from 'vue'
import { notedAt } from '~~/core/job'

/** The middle of the bench: turned to whatever is being measured, marked, fitted, pulled, decided or asked about. */
const bench = useBench()
const focus = computed(() => bench.focus)

/** What is not needed to begin is fetched this long after. */
const REST_MS = 4000

/** A pad is the file of its name; it is fetched when it is first wanted, and all of them once the bench has been at rest: the network may go. */
const FILES = import.meta.glob<{ default: Component }>(['./*Pad.vue', '!./BenchPad.vue'])
const PADS = Object.fromEntries(
  Object.entries(FILES).map(([file, load]) => [file.slice(2, -'Pad.vue'.length), defineAsyncComponent(load)]),
)
useTimeoutFn(() => void Promise.allSettled(Object.values(FILES).map(load => load())), REST_MS)
const nameOf = (to: string) => `${to[0]!.toUpperCase()}${to.slice(1)}`

/** What the pad is, and what it is turned to. */
const shown = computed(() => {
  const { to, ...turnedTo } = focus.value ?? { to: 'step' as const, step: bench.step?.id ?? '' }
  return { to, is: PADS[nameOf(to)]!, key: JSON.stringify([to, turnedTo, to === 'say' && bench.step?.id]), turnedTo }
})

/** What a note written here would be on: what the pad is turned to; what the step itself wants of the pad is of that step. */
const on = computed(() => {
  const at = focus.value && notedAt(focus.value)
  return at ?? (bench.step && !bench.chosenFocus ? { what: 'step' as const, id: bench.step.id } : null)
})

providePadOn(on)
const onKey = computed(() => (on.value ? `${on.value.what} ${on.value.id} ${on.value.part ?? ''}` : ''))

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
  <section ref="pad" class="card pad" aria-label="Gauge pad" :data-pad="shown.to">
    <!-- A reading leaves by its own button; everything else by the cross. -->
    <el-button
      v-if="bench.chosenFocus && shown.to !== 'reading'"
      text
      class="back"
      aria-label="Back to the step"
      @click="bench.look(null)"
    >
      ✕
    </el-button>
    <component :is="shown.is" :key="shown.key" v-bind="shown.turnedTo" />
    <PadNotes v-if="on" :key="onKey" :on="on" />
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
/* How far from the edge a note and a photograph begin, right of the heading: beside keys, or the way on from what is out, left of those. */
.pad {
  --beside: 46px;
}
.pad:has(.gauge > .keys) {
  --beside: 224px;
}
.pad:has(.gauge > .way-on) {
  --beside: 264px;
}
.back {
  position: absolute;
  right: 4px;
  top: 4px;
  z-index: 1;
}
</style>
