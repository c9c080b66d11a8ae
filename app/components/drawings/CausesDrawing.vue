<script setup lang="ts">
import type { RankedCause } from '~~/core/seals'
import type { Drawn } from '~/composables/useDrawn'

/** Likely causes ranked: evidence for to the right, against to the left. */
const props = defineProps<Drawn>()
const { more } = useDrawn(props)
const ranked = computed(() => more<RankedCause[]>('ranked').slice(0, 5))
/** Pixels a point of evidence, so that the most and the least both stay on the drawing. */
const scores = computed(() => ranked.value.map(one => one.score))
const k = computed(() =>
  Math.min(40, 270 / Math.max(1, ...scores.value), 110 / Math.max(1, ...scores.value.map(one => -one))),
)
const high = computed(() => 24 + Math.max(1, ranked.value.length) * 52)
</script>

<template>
  <svg
    class="draw"
    :viewBox="`0 0 720 ${high}`"
    role="img"
    :aria-label="ranked.map(one => `${one.cause} ${one.score}`).join(', ')"
  >
    <path :d="`M430 8 V${high - 8}`" class="line" />
    <g v-for="(one, i) in ranked" :key="one.cause">
      <text x="300" :y="30 + i * 52" text-anchor="end" :style="i === 0 ? 'font-weight: 700' : ''">{{ one.cause }}</text>
      <rect
        :x="one.score >= 0 ? 430 : 430 + one.score * k"
        :y="16 + i * 52"
        :width="Math.max(2, Math.abs(one.score) * k)"
        height="18"
        :class="one.score < 0 ? 'bad' : i === 0 ? 'brass' : 'blue'"
      />
      <text x="300" :y="52 + i * 52" text-anchor="end" class="small">
        {{ [...one.speaksFor.map(word => `+ ${word}`), ...one.speaksAgainst.map(word => `− ${word}`)].join('   ') }}
      </text>
    </g>
    <text v-if="!ranked.length" x="360" y="40" text-anchor="middle">Nothing stands out.</text>
  </svg>
</template>
