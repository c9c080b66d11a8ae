<script setup lang="ts">
import type { RankedCause } from '~~/core/seals'
import type { Drawn } from '~/composables/useDrawn'

/** Likely causes ranked: evidence for to the right, against to the left. */
const props = defineProps<Drawn>()
const { more } = useDrawn(props)
const ranked = computed(() => more<RankedCause[]>('ranked').slice(0, 5))
const high = computed(() => 24 + Math.max(1, ranked.value.length) * 52)
</script>

<template>
  <svg
    class="draw"
    :viewBox="`0 0 720 ${high}`"
    role="img"
    :aria-label="ranked.map(one => `${one.cause} ${one.score}`).join(', ')"
  >
    <path :d="`M330 8 V${high - 8}`" class="line" />
    <g v-for="(one, i) in ranked" :key="one.cause">
      <text x="318" :y="30 + i * 52" text-anchor="end" :style="i === 0 ? 'font-weight: 700' : ''">{{ one.cause }}</text>
      <rect
        :x="one.score >= 0 ? 330 : 330 + one.score * 44"
        :y="16 + i * 52"
        :width="Math.max(2, Math.abs(one.score) * 44)"
        height="18"
        :class="one.score < 0 ? 'bad' : i === 0 ? 'brass' : 'blue'"
      />
      <text x="336" :y="52 + i * 52" class="small">
        {{ [...one.speaksFor.map(word => `+ ${word}`), ...one.speaksAgainst.map(word => `− ${word}`)].join('   ') }}
      </text>
    </g>
    <text v-if="!ranked.length" x="340" y="40">Nothing stands out.</text>
  </svg>
</template>
