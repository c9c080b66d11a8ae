<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The nut as the technician stands before it, and the way it is turned. */
const props = defineProps<Drawn>()
const clockwise = computed(() => props.answer.figures[0]?.value === 'clockwise')
const HEX = Array.from(
  { length: 6 },
  (_, i) => `${360 + 52 * Math.sin((i * Math.PI) / 3)} ${135 - 52 * Math.cos((i * Math.PI) / 3)}`,
).join(' L')
</script>

<template>
  <svg
    class="draw"
    viewBox="0 0 720 270"
    role="img"
    :aria-label="`Turn it ${clockwise ? 'clockwise' : 'anticlockwise'}`"
  >
    <circle cx="360" cy="135" r="70" class="metal" />
    <path :d="`M${HEX} Z`" class="blue" />
    <circle cx="360" cy="135" r="24" class="chalk" />
    <path :d="input.hand === 'left' ? 'M346 149 L374 121' : 'M346 121 L374 149'" class="line" />
    <g :transform="clockwise ? '' : 'translate(720 0) scale(-1 1)'">
      <path d="M276 185 A98 98 0 1 1 444 185" fill="none" style="stroke: var(--brass); stroke-width: 12" />
      <path d="M458 162 L446 204 L416 172 Z" class="brass" />
    </g>
    <text x="360" y="258" text-anchor="middle">{{ input.hand }}-hand thread, from {{ input.seenFrom }}</text>
  </svg>
</template>
