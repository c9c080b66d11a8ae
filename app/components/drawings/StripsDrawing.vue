<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** A journal in its lower half with the strips where they lay, as wide as they were pressed, and the gap they tell of, exaggerated. */
const props = defineProps<Drawn>()
const { given, got, more, say, tone } = useDrawn(props)
const widths = computed(() => (props.input.widthsMm as number[] | undefined) ?? [given('widthMm')])
const gaps = computed(() => more<number[] | undefined>('gapsMm') ?? [got('clearanceMm')])
const places = computed(() => (widths.value.length === 3 ? [150, 360, 570] : [360]))
const names = computed(() => (widths.value.length === 3 ? ['first end', 'middle', 'other end'] : ['']))
const widest = computed(() => Math.max(...widths.value))
const w = (mm: number) => 14 + (mm / widest.value) * 46
const deepest = computed(() => Math.max(...gaps.value))
const gap = (mm: number) => 10 + (mm / deepest.value) * 34
const top = computed(() =>
  gaps.value.length === 3
    ? `M90 ${96 - gap(gaps.value[0]!)} L${places.value.map((x, i) => `${x} ${96 - gap(gaps.value[i]!)}`).join(' L')} L630 ${96 - gap(gaps.value[2]!)} L630 40 L90 40 Z`
    : `M90 ${96 - gap(gaps.value[0]!)} H630 V40 H90 Z`,
)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 258"
    role="img"
    :aria-label="`Strips pressed to ${widths.map(mm => say(mm, 'mm', 2)).join(', ')}`"
  >
    <path :d="top" class="blue" />
    <text x="100" y="34">bearing, upper half</text>
    <rect x="60" y="96" width="600" height="108" class="metal" />
    <path d="M30 150 H690" class="centre" />
    <text x="640" y="226" text-anchor="end" class="small">journal, rests below</text>
    <g v-for="(mm, i) in widths" :key="i">
      <rect :x="places[i]! - w(mm) / 2" y="98" :width="w(mm)" height="104" rx="6" class="brass" />
      <text
        :x="places[i]"
        y="148"
        text-anchor="middle"
        class="dim"
        style="fill: var(--on-brass)"
        :transform="`rotate(-90 ${places[i]} 150)`"
      >
        {{ say(mm, 'mm', 2) }}
      </text>
      <path :d="`M${places[i]! + 42} 96 V${96 - gap(gaps[i]!)}`" class="active" />
      <text :x="places[i]! + 50" y="86" class="dim">{{ say(gaps[i]!, 'mm', 3) }}</text>
      <text :x="places[i]" y="246" text-anchor="middle">{{ names[i] }}</text>
    </g>
  </svg>
</template>
