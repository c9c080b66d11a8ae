<script setup lang="ts">
import type { FitState } from '~~/core/fits'
import type { Drawn } from '~/composables/useDrawn'

/** Shaft and hub pressed together, seen along the axis to scale, the pressure between them, and where each size goes. */
const props = defineProps<Drawn>()
const { given, got, more, say, tone } = useDrawn(props)
/** A shrunk hub is drawn in one state at a time: the figures of another are another picture. */
const states = computed(() => more<FitState[] | undefined>('states') ?? [])
const chosen = ref<FitState['name'] | null>(null)
const state = computed(
  () =>
    states.value.find(one => one.name === chosen.value) ??
    states.value.toSorted((a, b) => a.gripUm - b.gripUm).at(0) ??
    null,
)
const first = (...keys: string[]) => keys.map(given).find(Number.isFinite) ?? Number.NaN
const d = computed(() => first('interfaceMm', 'housingBoreMm', 'hubLeastMm'))
const D = computed(() => first('outerMm', 'housingOutsideMm', 'hubOutsideMm'))
const di = computed(() => first('innerBoreMm', 'bushBoreMm', 'shaftBoreMm') || 0)
const k = computed(() => 112 / (D.value / 2))
const ARROWS = Array.from({ length: 12 }, (_, i) => i * 30)
const stateLines = (one: FitState) => [
  ['grip left', say(one.gripUm, 'µm', 1)],
  ['pressure', say(one.pressureMPa, 'MPa', 1)],
  ['carries', say(one.torqueNm, 'N·m', 0)],
  ['stress, hub', say(one.hubEquivalentMPa, 'MPa', 0)],
]
const lines = computed(
  () =>
    (state.value
      ? stateLines(state.value)
      : [
          ['pressure', say(got('pressureMPa'), 'MPa', 1)],
          ['force', `${say(got('forceN') / 1000, 'kN', 1)}`],
          ['hub grows', Number.isFinite(got('outerGrowthMm')) ? say(got('outerGrowthMm'), 'mm', 4) : ''],
          ['bore closes', got('boreClosureMm') > 0 ? say(got('boreClosureMm'), 'mm', 4) : ''],
        ]
    ).filter(one => one[1]) as [string, string][],
)
</script>

<template>
  <div>
    <el-segmented
      v-if="states.length > 1"
      :model-value="state!.name"
      :options="states.map(one => one.name)"
      aria-label="Drawn as it is"
      @change="name => (chosen = name as FitState['name'])"
    />
    <svg
      class="draw"
      :class="tone"
      viewBox="0 0 720 250"
      role="img"
      :aria-label="lines.map(([name, text]) => `${name} ${text}`).join(', ')"
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
  </div>
</template>
