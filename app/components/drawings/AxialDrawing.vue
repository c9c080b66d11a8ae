<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The float on one rule: both stops, where it was set and runs, what the coupling allows, cold and hot. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const x = computed(() => scaleOf([given('stopOuterMm'), given('stopDriveMm')], 60, 660, 0.03))
const rows = computed(() =>
  [
    { name: 'cold', y: 92, outer: got('coldOuterMm'), drive: got('coldDriveMm') },
    { name: 'hot', y: 156, outer: got('hotOuterMm'), drive: got('hotDriveMm') },
  ].map(row => ({ ...row, from: given('stopOuterMm') + row.outer, to: given('stopDriveMm') - row.drive })),
)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 246"
    role="img"
    :aria-label="`Margins hot: ${say(got('hotOuterMm'), 'mm', 2)} and ${say(got('hotDriveMm'), 'mm', 2)}`"
  >
    <rect :x="x(given('stopOuterMm')) - 40" y="40" width="40" height="150" class="blue" />
    <rect :x="x(given('stopDriveMm'))" y="40" width="40" height="150" class="blue" />
    <rect
      :x="x(given('stopOuterMm'))"
      y="40"
      :width="x(given('stopOuterMm') + given('marginMm')) - x(given('stopOuterMm'))"
      height="150"
      class="warn"
    />
    <rect
      :x="x(given('stopDriveMm') - given('marginMm'))"
      y="40"
      :width="x(given('stopDriveMm')) - x(given('stopDriveMm') - given('marginMm'))"
      height="150"
      class="warn"
    />
    <g v-for="row in rows" :key="row.name">
      <rect :x="x(row.from)" :y="row.y - 18" :width="x(row.to) - x(row.from)" height="36" class="metal" />
      <path :d="`M${x((row.from + row.to) / 2)} ${row.y + 18} l-7 -28 h14 z`" class="needle" />
      <text :x="x(row.from) + 8" :y="row.y + 5">{{ row.name }}</text>
    </g>
    <path :d="`M${x(given('magneticMm'))} 30 V196`" class="centre" />
    <text :x="x(given('magneticMm'))" y="24" text-anchor="middle">runs here</text>
    <text :x="x(given('stopOuterMm'))" y="212" text-anchor="middle" class="dim">
      {{ say(given('stopOuterMm'), 'mm', 2) }}
    </text>
    <text :x="x(given('stopDriveMm'))" y="212" text-anchor="middle" class="dim">
      {{ say(given('stopDriveMm'), 'mm', 2) }}
    </text>
    <text :x="x(given('stopOuterMm'))" y="236" text-anchor="middle" class="small">non-drive end</text>
    <text :x="x(given('stopDriveMm'))" y="236" text-anchor="middle" class="small">drive end</text>
    <text x="360" y="232" text-anchor="middle" class="small">
      grey: where the coupling lets it go; amber: the margin to keep
    </text>
  </svg>
</template>
