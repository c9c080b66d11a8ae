<script setup lang="ts">
import { readThread } from '~~/core/joints'
import type { Drawn } from '~/composables/useDrawn'

/** The bolt's shank with its thread to scale, and beside it the section that carries. */
const props = defineProps<Drawn>()
const { say } = useDrawn(props)
const thread = computed(() => {
  const read = readThread(String(props.input.thread))
  return read.ok ? read.value : null
})
const k = computed(() => 110 / (thread.value?.diameterMm ?? 1))
const carries = computed(() => Math.sqrt(((thread.value?.stressAreaMm2 ?? 0) * 4) / Math.PI))
/** Depth of an ISO and unified profile, 0.6134 of the pitch. */
const flank = (side: 1 | -1) => {
  const { diameterMm, pitchMm } = thread.value!
  const crest = 100 + (side * diameterMm * k.value) / 2
  const root = crest - side * 0.6134 * pitchMm * k.value
  const pitch = pitchMm * k.value
  const turns = Math.floor(300 / pitch)
  return Array.from(
    { length: turns },
    (_, i) => `L${130 + i * pitch} ${root} L${130 + (i + 0.5) * pitch} ${crest}`,
  ).join(' ')
}
</script>

<template>
  <svg
    v-if="thread"
    class="draw"
    viewBox="0 0 720 210"
    role="img"
    :aria-label="`${thread.name}, carries on ${thread.stressAreaMm2.toFixed(1)} mm²`"
  >
    <path :d="`M60 ${100 - 55} H130 ${flank(-1)} H440 V100 H60 Z`" class="metal" />
    <path :d="`M60 ${100 + 55} H130 ${flank(1)} H440 V100 H60 Z`" class="metal" />
    <path d="M40 100 H460" class="centre" />
    <circle cx="580" cy="100" r="55" class="chalk" />
    <circle cx="580" cy="100" :r="(carries * k) / 2" class="blue" />
    <text x="250" y="192" text-anchor="middle">{{ thread.name }}, pitch {{ say(thread.pitchMm, 'mm', 3) }}</text>
    <text x="580" y="192" text-anchor="middle">carries on {{ thread.stressAreaMm2.toFixed(1) }} mm²</text>
  </svg>
</template>
