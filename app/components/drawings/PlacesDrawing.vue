<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Where each part came from on the left, where it went on the right; what went astray is drawn across. */
const props = defineProps<Drawn>()
const placed = computed(
  () => props.input.placed as { part: string; cameFrom: string; wentTo: string; renewed?: boolean }[],
)
const places = computed(() =>
  [...new Set(placed.value.flatMap(one => [one.cameFrom, one.wentTo]))].sort((a, b) =>
    a.localeCompare(b, 'en', { numeric: true }),
  ),
)
const pitch = computed(() => Math.min(44, 240 / places.value.length))
const y = (place: string) => 34 + places.value.indexOf(place) * pitch.value
</script>

<template>
  <svg
    class="draw"
    :viewBox="`0 0 720 ${50 + places.length * pitch}`"
    role="img"
    :aria-label="placed.map(one => `${one.part} from ${one.cameFrom} to ${one.wentTo}`).join(', ')"
  >
    <text x="180" y="16" text-anchor="middle" class="small">came from</text>
    <text x="540" y="16" text-anchor="middle" class="small">went to</text>
    <g v-for="one in placed" :key="one.part">
      <path
        :d="`M196 ${y(one.cameFrom)} L524 ${y(one.wentTo)}`"
        fill="none"
        :style="{
          stroke: one.cameFrom === one.wentTo || one.renewed ? 'var(--holds)' : 'var(--out)',
          strokeWidth: 3,
          strokeDasharray: one.renewed ? '6 5' : undefined,
        }"
      />
      <text x="156" :y="y(one.cameFrom) + 5" text-anchor="end">{{ one.part }}</text>
    </g>
    <g v-for="place in places" :key="place">
      <circle v-for="x in [180, 540]" :key="x" :cx="x" :cy="y(place)" r="15" class="chalk" />
      <text v-for="x in [180, 540]" :key="`t${x}`" :x="x" :y="y(place) + 5" text-anchor="middle" class="dim">
        {{ place.slice(0, 4) }}
      </text>
    </g>
  </svg>
</template>
