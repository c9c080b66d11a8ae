<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** A bearing's upper half in section, to scale in its own sizes, and what becomes of its clearance on one scale of micrometres. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const d = computed(() => (Number.isFinite(got('boreMm')) ? got('boreMm') : given('boreMm')))
const D = computed(() =>
  Number.isFinite(got('outsideMm'))
    ? got('outsideMm')
    : Number.isFinite(given('outsideMm'))
      ? given('outsideMm')
      : d.value * 1.9,
)
const B = computed(() => (Number.isFinite(got('widthMm')) ? got('widthMm') : (D.value - d.value) / 2.3))
const roller = computed(() =>
  /roller/.test(
    String(
      props.answer.figures.find(one => one.key === 'type')?.value ?? props.input.kind ?? props.input.elements ?? '',
    ),
  ),
)
const k = computed(() => 200 / (D.value / 2))
const y = (radius: number) => 236 - radius * k.value
const w = computed(() => Math.min(150, B.value * k.value))
const ring = computed(() => ((D.value - d.value) / 2) * 0.27)
const middle = computed(() => (D.value + d.value) / 4)
/** The ring that turns against the load is the tight one. */
const seat = (ring: 'inner' | 'outer') =>
  typeof props.input.loadCase !== 'string'
    ? ''
    : props.input.loadCase.startsWith(ring) || props.input.loadCase.startsWith('load')
      ? ': tight'
      : ': easy'
const bars = computed(() =>
  (
    [
      ['unmounted', given('unmountedLeastUm'), given('unmountedGreatestUm')],
      ['mounted, cold', got('mountedLeastUm'), got('mountedGreatestUm')],
      ['running', got('runningLeastUm'), got('runningGreatestUm')],
      ['group', got('leastUm'), got('greatestUm')],
    ] as const
  ).filter(([, low]) => Number.isFinite(low)),
)
const short = (um: number) => say(um, 'µm', 0).split(' ')[0]
const measured = computed(() => given('measuredUm'))
const x = computed(() => scaleOf([0, ...bars.value.flatMap(([, low, high]) => [low, high]), measured.value], 410, 690))
const ball = computed(() => Math.max(3, Math.min(w.value * 0.45, (D.value - d.value) * 0.155 * k.value)))
/** The section before and after mounting, its clearance much enlarged; once where nothing is mounted. */
const sections = computed(() => {
  const before = given('unmountedLeastUm')
  if (!Number.isFinite(before)) return [{ at: 170, name: '', gap: 0, tight: false }]
  const after = got('runningLeastUm')
  const per = (ball.value * 0.5) / Math.max(before, after, 1)
  return [
    { at: 88, name: 'before', gap: before * per, tight: false },
    { at: 248, name: 'running', gap: Math.max(0, after) * per, tight: after < 0 },
  ]
})
const width = computed(() => (sections.value.length > 1 ? Math.min(w.value, 104) : w.value))
</script>

<template>
  <svg class="draw" :class="tone" viewBox="0 0 720 270" role="img" :aria-label="`Bearing ${d} × ${D}`">
    <path d="M20 236 H330" class="centre" />
    <g v-for="one in sections" :key="one.name" :transform="`translate(${one.at - width / 2} 0)`">
      <rect :x="-24" :y="y(d / 2)" :width="width + 48" :height="236 - y(d / 2)" class="metal" />
      <rect x="0" :y="y(d / 2 + ring)" :width="width" :height="ring * k" class="blue" />
      <rect x="0" :y="y(D / 2) - one.gap" :width="width" :height="ring * k" class="blue" />
      <template v-if="roller">
        <rect
          :x="width * 0.2"
          :y="y(D / 2 - ring) + 2"
          :width="width * 0.6"
          :height="Math.max(2, y(d / 2 + ring) - y(D / 2 - ring) - 4)"
          rx="4"
          :class="one.tight ? 'bad' : 'chalk'"
        />
      </template>
      <template v-else>
        <circle v-if="one.gap" :cx="width / 2" :cy="y(middle) - one.gap" :r="ball" class="hollow" />
        <circle :cx="width / 2" :cy="y(middle)" :r="ball" :class="one.tight ? 'bad' : 'chalk'" />
      </template>
      <path :d="`M0 ${y(D / 2) - one.gap} H${width}`" class="active" />
      <path :d="`M0 ${y(d / 2)} H${width}`" class="active" />
      <text v-if="one.name" :x="width / 2" y="260" text-anchor="middle">{{ one.name }}</text>
    </g>
    <text v-if="sections.length === 1" x="296" :y="y(D / 2) + 6" class="dim">
      ⌀ {{ say(D, 'mm', 0) }}{{ seat('outer') }}
    </text>
    <text v-if="sections.length === 1" x="296" :y="y(d / 2) + 6" class="dim">
      ⌀ {{ say(d, 'mm', 0) }}{{ seat('inner') }}
    </text>
    <text x="170" y="260" text-anchor="middle" class="dim">
      {{ Number.isFinite(got('widthMm')) ? `width ${say(B, 'mm', 0)}` : '' }}
    </text>
    <g v-if="bars.length">
      <path :d="`M${x(0)} 24 V230`" class="centre" />
      <text :x="x(0)" y="250" text-anchor="middle" class="dim">0</text>
      <rect
        v-if="x(0) > 404"
        x="400"
        y="24"
        :width="x(0) - 400"
        height="206"
        class="bad"
        style="opacity: 0.35; stroke: none"
      />
      <g v-for="([name, low, high], i) in bars" :key="name">
        <rect
          :x="x(low)"
          :y="48 + i * 68"
          :width="Math.max(3, x(high) - x(low))"
          height="24"
          :class="low < 0 ? 'bad' : 'room'"
          style="stroke: var(--outline)"
        />
        <text x="690" :y="42 + i * 68" text-anchor="end">{{ name }}</text>
        <text :x="x(low)" :y="89 + i * 68" class="dim small" text-anchor="middle">{{ short(low) }}</text>
        <text :x="x(high)" :y="89 + i * 68" class="dim small" text-anchor="middle">{{ short(high) }}</text>
      </g>
      <path v-if="Number.isFinite(measured)" :d="`M${x(measured)} 48 l-7 -20 h14 z`" class="needle" />
      <text x="690" y="250" text-anchor="end" class="small">clearance, {{ say(0, 'µm', 0).split(' ')[1] }}</text>
    </g>
  </svg>
</template>
