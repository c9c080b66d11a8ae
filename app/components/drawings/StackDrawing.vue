<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The chain walked link by link: what opens goes right, what closes comes back, and the gap is what is left. */
const props = defineProps<Drawn>()
const { got, say, tone } = useDrawn(props)
interface Row {
  name?: string
  sign: string
  nominalMm: number
  plusMm: number
  minusMm: number
}
const steps = computed(() => {
  let at = 0
  return (props.input.links as Row[]).map(one => {
    const from = at
    at += (one.sign === 'opens' ? 1 : -1) * one.nominalMm
    return { ...one, from, to: at, opens: one.sign === 'opens' }
  })
})
const end = computed(() => steps.value.at(-1)?.to ?? 0)
const x = computed(() => scaleOf([0, ...steps.value.map(one => one.to)], 150, 700, 0.04))
const pitch = computed(() => Math.min(36, 200 / steps.value.length))
const spans = computed(
  () =>
    [
      ['worst case', got('worstLeastMm'), got('worstGreatestMm')],
      ['root-sum-square', got('rssLeastMm'), got('rssGreatestMm')],
      ['by trial', got('spanLeastMm'), got('spanGreatestMm')],
    ].filter(one => Number.isFinite(one[1])) as [string, number, number][],
)
const limits = computed(() => [Number(props.input.minMm ?? Number.NaN), Number(props.input.maxMm ?? Number.NaN)])
const gx = computed(() => scaleOf([...spans.value.flatMap(one => [one[1], one[2]]), ...limits.value], 200, 630))
const base = computed(() => 26 + steps.value.length * pitch.value)
const height = computed(() => base.value + 40 + spans.value.length * 26)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    :viewBox="`0 0 720 ${height}`"
    role="img"
    :aria-label="`Gap at nominal ${say(end, 'mm', 3)}`"
  >
    <path :d="`M${x(0)} 10 V${base}`" class="centre" />
    <g v-for="(one, i) in steps" :key="i">
      <rect
        :x="Math.min(x(one.from), x(one.to))"
        :y="16 + i * pitch"
        :width="Math.max(2, Math.abs(x(one.to) - x(one.from)))"
        :height="pitch - 8"
        :class="one.opens ? 'blue' : 'metal'"
      />
      <text x="140" :y="16 + i * pitch + pitch / 2" text-anchor="end">{{ one.name || `link ${i + 1}` }}</text>
      <text
        :x="Math.max(x(one.from), x(one.to)) + (Math.abs(x(one.to) - x(one.from)) > 90 ? -6 : 6)"
        :y="16 + i * pitch + pitch / 2"
        :text-anchor="Math.abs(x(one.to) - x(one.from)) > 90 ? 'end' : 'start'"
        class="dim small"
      >
        {{ one.opens ? '→' : '←' }} {{ say(one.nominalMm, 'mm', 2) }}
      </text>
      <path v-if="i < steps.length - 1" :d="`M${x(one.to)} ${12 + i * pitch + pitch - 4} v10`" class="line" />
    </g>
    <rect
      :x="Math.min(x(0), x(end))"
      :y="base - 8"
      :width="Math.max(3, Math.abs(x(end) - x(0)))"
      height="10"
      class="brass"
    />
    <text :x="Math.max(x(0), x(end)) + 8" :y="base + 3" class="dim">gap {{ say(end, 'mm', 3) }}</text>
    <g v-if="Number.isFinite(limits[0]!) && Number.isFinite(limits[1]!)">
      <rect
        :x="gx(limits[0]!)"
        :y="base + 16"
        :width="gx(limits[1]!) - gx(limits[0]!)"
        :height="spans.length * 26 + 2"
        class="room"
      />
    </g>
    <g v-for="([name, low, high], i) in spans" :key="name">
      <path
        :d="`M${gx(low)} ${base + 30 + i * 26} H${gx(high)} M${gx(low)} ${base + 23 + i * 26} v14 M${gx(high)} ${base + 23 + i * 26} v14`"
        class="active"
      />
      <text x="140" :y="base + 35 + i * 26" text-anchor="end">{{ name }}</text>
      <text :x="gx(low) - 5" :y="base + 35 + i * 26" text-anchor="end" class="dim small">{{ say(low, 'mm', 3) }}</text>
      <text :x="gx(high) + 5" :y="base + 35 + i * 26" class="dim small">{{ say(high, 'mm', 3) }}</text>
    </g>
  </svg>
</template>
