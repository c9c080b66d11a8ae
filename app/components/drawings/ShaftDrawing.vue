<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The shaft between its stations: its own middle line exaggerated to the side each high spot stands, with the hand of a small dial at each. */
const props = defineProps<Drawn>()
const { more, say, tone } = useDrawn(props)
const stations = computed(() =>
  more<{ station: string; tirUm: number; eccentricityUm: number; highSpotDeg: number }[]>('stations'),
)
const most = computed(() => Math.max(...stations.value.map(one => one.eccentricityUm)) || 1)
const worst = computed(() => stations.value.reduce((a, b) => (b.eccentricityUm > a.eccentricityUm ? b : a)))
const x = (i: number) => 70 + (i * 580) / Math.max(1, stations.value.length - 1)
// Sideways as seen along the worst high spot: in line goes up, opposed goes down.
const y = (one: { eccentricityUm: number; highSpotDeg: number }) =>
  92 - (one.eccentricityUm / most.value) * 44 * Math.cos(((one.highSpotDeg - worst.value.highSpotDeg) * Math.PI) / 180)
const line = computed(() => stations.value.map((one, i) => `${i ? 'L' : 'M'}${x(i)} ${y(one)}`).join(' '))
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 264"
    role="img"
    :aria-label="`The shaft is ${answer.figures.find(one => one.key === 'shape')?.value}`"
  >
    <path d="M30 92 H690" class="centre" />
    <path :d="line" fill="none" style="stroke: var(--metal); stroke-width: 26; stroke-linejoin: round" />
    <path :d="line" class="active" />
    <g v-for="(one, i) in stations" :key="i">
      <circle :cx="x(i)" :cy="y(one)" r="5" class="needle" />
      <circle :cx="x(i)" cy="184" r="26" class="chalk" />
      <path :d="`M${x(i)} 184 V160`" class="active" :transform="`rotate(${one.highSpotDeg} ${x(i)} 184)`" />
      <text :x="x(i)" y="232" text-anchor="middle">{{ one.station }}</text>
      <text :x="x(i)" y="254" text-anchor="middle" class="dim small">
        {{ say(one.tirUm, 'µm', 0) }}, {{ Math.round(one.highSpotDeg) }}°
      </text>
    </g>
  </svg>
</template>
