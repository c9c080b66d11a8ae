<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Shaft and hub pressed together, seen along the axis to scale, the pressure between them, and where each size goes. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const first = (...keys: string[]) => keys.map(given).find(Number.isFinite) ?? Number.NaN
const d = computed(() => first('interfaceMm', 'housingBoreMm', 'hubLeastMm'))
const D = computed(() => first('outerMm', 'housingOutsideMm', 'hubOutsideMm'))
const di = computed(() => first('innerBoreMm', 'bushBoreMm', 'shaftBoreMm') || 0)
const k = computed(() => 112 / (D.value / 2))
const ARROWS = Array.from({ length: 12 }, (_, i) => i * 30)
const lines = computed(
  () =>
    [
      ['pressure', say(got('pressureMPa'), 'MPa', 1)],
      ['force', `${say(got('forceN') / 1000, 'kN', 1)}`],
      ['hub grows', Number.isFinite(got('outerGrowthMm')) ? say(got('outerGrowthMm'), 'mm', 4) : ''],
      ['bore closes', got('boreClosureMm') > 0 ? say(got('boreClosureMm'), 'mm', 4) : ''],
    ].filter(one => one[1]) as [string, string][],
)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 250"
    role="img"
    :aria-label="`Pressure ${say(got('pressureMPa'), 'MPa', 1)}`"
  >
    <circle cx="160" cy="125" :r="(D / 2) * k" class="blue" />
    <circle cx="160" cy="125" :r="(d / 2) * k" class="metal" />
    <circle v-if="di > 0" cx="160" cy="125" :r="(di / 2) * k" class="chalk" />
    <path
      v-for="turn in ARROWS"
      :key="turn"
      :d="`M160 ${125 - (d / 2) * k - 14} v10 m-4 -5 l4 5 4 -5`"
      :transform="`rotate(${turn} 160 125)`"
      class="active"
    />
    <path d="M30 125 H290" class="centre" />
    <text x="292" :y="125 - (D / 2) * k * 0.7" class="dim">⌀ {{ say(D, 'mm', 1) }}</text>
    <text x="292" y="130" class="dim">⌀ {{ say(d, 'mm', 2) }}</text>
    <text v-if="di > 0" x="292" :y="125 + (D / 2) * k * 0.5" class="dim">⌀ {{ say(di, 'mm', 2) }}</text>
    <g v-for="([name, text], i) in lines" :key="name">
      <text x="520" :y="66 + i * 42" text-anchor="end">{{ name }}</text>
      <text x="534" :y="66 + i * 42" class="dim">{{ text }}</text>
    </g>
  </svg>
</template>
