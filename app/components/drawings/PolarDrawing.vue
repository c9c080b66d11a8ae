<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Readings round one turn on a polar scale, exaggerated; the first harmonic in brass and the high spot on it. */
const props = defineProps<Drawn>()
const { got, say, tone } = useDrawn(props)
const readings = computed(() => (props.input.readingsUm ?? props.input.gapsMm) as number[])
const mean = computed(() => readings.value.reduce((sum, one) => sum + one, 0) / readings.value.length)
const largest = computed(() => Math.max(...readings.value.map(one => Math.abs(one - mean.value))) || 1)
const r = (value: number) => 84 + ((value - mean.value) / largest.value) * 30
const at = (turn: number, radius: number) => ({ x: 170 + radius * Math.sin(turn), y: 134 - radius * Math.cos(turn) })
const points = computed(() =>
  readings.value.map((one, i) => ({ ...at((2 * Math.PI * i) / readings.value.length, r(one)), value: one })),
)
const outline = computed(() => `M${points.value.map(one => `${one.x.toFixed(1)} ${one.y.toFixed(1)}`).join(' L')} Z`)
const isRunout = computed(() => Boolean(props.input.readingsUm))
const high = computed(() => ((isRunout.value ? got('highSpotDeg') : got('towardDeg')) * Math.PI) / 180)
const harmonic = computed(() =>
  isRunout.value
    ? `M${Array.from({ length: 73 }, (_, i) =>
        at(
          (i * Math.PI) / 36,
          84 + ((got('eccentricityUm') * Math.cos((i * Math.PI) / 36 - high.value)) / largest.value) * 30,
        ),
      )
        .map(one => `${one.x.toFixed(1)} ${one.y.toFixed(1)}`)
        .join(' L')}`
    : '',
)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 268"
    role="img"
    :aria-label="isRunout ? `High spot ${Math.round(got('highSpotDeg'))}° on` : 'Gaps round the rotor'"
  >
    <circle cx="170" cy="134" r="124" class="chalk" />
    <circle cx="170" cy="134" r="84" class="faint" />
    <path d="M170 6 V262 M42 134 H298" class="centre" style="opacity: 0.5" />
    <path :d="outline" class="path" />
    <path :d="harmonic" class="active" />
    <g v-for="(one, i) in points" :key="i">
      <circle :cx="one.x" :cy="one.y" r="5" class="needle" />
      <text v-if="i === 0" :x="one.x + 9" :y="one.y - 6" class="small">1</text>
    </g>
    <path
      v-if="Number.isFinite(high)"
      :d="`M170 134 L${at(high, 116).x} ${at(high, 116).y}`"
      class="active"
      style="stroke-dasharray: 5 4"
    />
    <circle v-if="Number.isFinite(high)" :cx="at(high, 116).x" :cy="at(high, 116).y" r="8" class="brass" />
    <g v-if="isRunout">
      <text x="400" y="74">run-out</text>
      <text x="560" y="74" class="dim">{{ say(got('tirUm'), 'µm', 1) }}</text>
      <text x="400" y="110">bend, eccentricity</text>
      <text x="560" y="110" class="dim">{{ say(got('eccentricityUm'), 'µm', 1) }}</text>
      <text x="400" y="146">form left over</text>
      <text x="560" y="146" class="dim">{{ say(got('formErrorUm'), 'µm', 1) }}</text>
      <text x="400" y="182">high spot, turn on</text>
      <text x="560" y="182" class="dim">{{ Math.round(got('highSpotDeg')) }}°</text>
    </g>
    <g v-else>
      <text x="400" y="92">smallest gap</text>
      <text x="560" y="92" class="dim">{{ say(got('leastMm'), 'mm', 3) }}</text>
      <text x="400" y="128">sits off by</text>
      <text x="560" y="128" class="dim">{{ say(got('offsetMm'), 'mm', 3) }}</text>
    </g>
  </svg>
</template>
