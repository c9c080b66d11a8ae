<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The journal's own outline from station to station, diameters exaggerated; every reading as a dot, the limits as a band. */
const props = defineProps<Drawn>()
const { given, more, say, tone } = useDrawn(props)
const stations = computed(() => more<{ station: string; meanMm: number }[]>('stations'))
const readings = computed(() => props.input.readings as { station: string; plane: string; mm: number }[])
const limits = computed(() => [given('minMm'), given('maxMm')].filter(Number.isFinite))
const y = computed(() => scaleOf([...readings.value.map(one => one.mm), ...limits.value], 190, 30, 0.12))
const x = (i: number) => (stations.value.length === 1 ? 380 : 160 + (i * 470) / (stations.value.length - 1))
const outline = computed(() =>
  stations.value.map((one, i) => `${i ? 'L' : 'M'}${x(i)} ${y.value(one.meanMm)}`).join(' '),
)
const spots = computed(() =>
  readings.value
    .map(one => ({ ...one, at: stations.value.findIndex(other => other.station === one.station) }))
    .map((one, i, all) => ({
      ...one,
      shift: (all.slice(0, i).filter(other => other.at === one.at).length - 0.5) * 14,
    })),
)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 250"
    role="img"
    :aria-label="stations.map(one => `${one.station} ${say(one.meanMm, 'mm', 3)}`).join(', ')"
  >
    <rect
      v-if="limits.length === 2"
      x="100"
      :y="y(limits[1]!)"
      width="600"
      :height="y(limits[0]!) - y(limits[1]!)"
      class="room"
    />
    <g v-for="mm in limits" :key="mm">
      <path :d="`M100 ${y(mm)} H700`" class="faint" />
      <text x="94" :y="y(mm) + 5" text-anchor="end" class="dim small">{{ say(mm, 'mm', 3).split(' ')[0] }}</text>
    </g>
    <path
      v-if="stations.length > 1"
      :d="`${outline} L${x(stations.length - 1)} 214 L${x(0)} 214 Z`"
      class="metal"
      style="opacity: 0.75"
    />
    <path :d="outline" class="active" />
    <g v-for="(one, i) in spots" :key="i">
      <circle :cx="x(one.at) + one.shift" :cy="y(one.mm)" r="5" class="needle" />
      <text :x="x(one.at) + one.shift + 8" :y="y(one.mm) + 5" class="small">{{ one.plane }}</text>
    </g>
    <text v-for="(one, i) in stations" :key="one.station" :x="x(i)" y="236" text-anchor="middle">
      {{ one.station }}
      <tspan class="dim small">{{ say(one.meanMm, 'mm', 3) }}</tspan>
    </text>
  </svg>
</template>
