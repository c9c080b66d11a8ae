<script setup lang="ts">
import type { SlotPlace, WornSide } from '~~/core/seals'
import type { Drawn } from '~/composables/useDrawn'

/** The ring and its drive pin as one looks at them: the worn wall red, the pin against it, the way it turned brass. */
const props = defineProps<Drawn>()
const worn = computed(() => props.input.wear as WornSide)
const slotIsIn = computed(() => props.input.slotIsIn as SlotPlace)
const turned = computed(() => String(props.answer.figures[0]?.value))
/** The pin leans on the worn wall; between both where both are worn. */
const pinX = computed(() => ({ 'clockwise side': 372, 'anticlockwise side': 348, 'both sides': 360 })[worn.value])
const walls = computed(() =>
  [
    { x: 386, is: worn.value !== 'anticlockwise side' },
    { x: 334, is: worn.value !== 'clockwise side' },
  ].filter(wall => wall.is),
)
</script>

<template>
  <svg class="draw" viewBox="0 0 720 280" role="img" :aria-label="`Slot worn on its ${worn}: it turned ${turned}`">
    <circle cx="360" cy="158" r="92" :class="slotIsIn === 'ring that is driven' ? 'blue' : 'metal'" />
    <circle cx="360" cy="158" r="46" class="chalk" />
    <path d="M334 46 V100 H386 V46 Z" class="hollow" style="stroke: none" />
    <path d="M334 70 V100 H386 V70" class="path" />
    <path v-for="wall in walls" :key="wall.x" :d="`M${wall.x} 68 V100`" style="stroke: var(--out); stroke-width: 6" />
    <circle :cx="pinX" cy="84" r="12" :class="slotIsIn === 'ring that is driven' ? 'metal' : 'blue'" />
    <g
      v-if="turned === 'clockwise' || turned === 'anticlockwise'"
      :transform="turned === 'clockwise' ? '' : 'translate(720 0) scale(-1 1)'"
    >
      <path d="M268 240 A122 122 0 0 1 292 56" fill="none" style="stroke: var(--brass); stroke-width: 11" />
      <path d="M322 38 L280 44 L300 78 Z" class="brass" />
    </g>
    <text x="512" y="80">worn on its {{ worn }}</text>
    <text x="512" y="104" class="small">blue: what is driven, grey: what drives</text>
    <text x="360" y="164" text-anchor="middle">
      {{ turned === 'clockwise' || turned === 'anticlockwise' ? turned : 'both ways' }}
    </text>
  </svg>
</template>
