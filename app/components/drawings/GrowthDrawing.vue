<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** A machine on its feet from the side: the axis cold, and warm as each end rises, much enlarged. */
const props = defineProps<Drawn>()
const { got, say, tone } = useDrawn(props)
const largest = computed(() => Math.max(Math.abs(got('growFrontMm')), Math.abs(got('growBackMm'))) || 1)
const ends = computed(() =>
  (
    [
      ['front feet', 220, 'growFrontMm'],
      ['back feet', 500, 'growBackMm'],
    ] as const
  ).map(([name, x, key]) => ({ name, x, mm: got(key), y: 96 - (got(key) / largest.value) * 40 })),
)
const warm = computed(() => {
  const [front, back] = ends.value as [(typeof ends.value)[0], (typeof ends.value)[0]]
  const slope = (back.y - front.y) / (back.x - front.x)
  return `M120 ${front.y + slope * (120 - front.x)} L600 ${front.y + slope * (600 - front.x)}`
})
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 232"
    role="img"
    :aria-label="ends.map(one => `${one.name} grow ${say(one.mm, 'mm', 3)}`).join(', ')"
  >
    <rect x="180" y="76" width="360" height="84" class="metal" />
    <rect v-for="one in ends" :key="one.name" :x="one.x - 30" y="160" width="60" height="26" class="blue" />
    <path d="M120 96 H600" class="centre" />
    <path :d="warm" class="active" style="stroke-width: 3" />
    <g v-for="one in ends" :key="one.name">
      <path :d="`M${one.x} 96 V${one.y}`" class="path" style="stroke-dasharray: 4 4" />
      <circle :cx="one.x" :cy="one.y" r="6" class="brass" />
      <text :x="one.x" y="212" text-anchor="middle" class="small">{{ one.name }}</text>
      <text :x="one.x" :y="Math.min(one.y, 96) - 14" text-anchor="middle" class="dim">{{ say(one.mm, 'mm', 3) }}</text>
    </g>
    <text x="616" y="100" class="small">cold</text>
  </svg>
</template>
