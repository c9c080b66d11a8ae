<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Both ends seen from end A, the journal where its gaps put it, and the line it lies on seen from above. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const ENDS = [
  { name: 'A', x: 150 },
  { name: 'B', x: 570 },
] as const
/** Gaps as they were read, or as strips gave them. */
const gap = (key: string) => (props.answer.more?.gaps as Record<string, number> | undefined)?.[key] ?? given(key)
const largest = computed(() => Math.max(gap('leftAMm'), gap('rightAMm'), gap('leftBMm'), gap('rightBMm')))
// The left gap being larger means that the journal lies to the right.
const shift = (end: 'A' | 'B') => ((gap(`left${end}Mm`) - gap(`right${end}Mm`)) / largest.value) * 22
const phi = computed(() => (given('fromCrownDeg') * Math.PI) / 180)
const at = (x: number, side: number, r: number) => ({
  x: x + side * r * Math.sin(phi.value),
  y: 122 - r * Math.cos(phi.value),
})
</script>

<template>
  <svg class="draw" :class="tone" viewBox="0 0 720 270" role="img" aria-label="How the journal lies at both ends">
    <g v-for="one in ENDS" :key="one.name">
      <circle :cx="one.x" cy="122" r="96" class="blue" />
      <circle :cx="one.x" cy="122" r="84" class="chalk" />
      <circle :cx="one.x + shift(one.name)" cy="126" r="68" class="metal" />
      <path :d="`M${one.x} 18 V226`" class="centre" />
      <circle
        v-for="side in [-1, 1]"
        :key="side"
        :cx="at(one.x, side, 76).x"
        :cy="at(one.x, side, 76).y"
        r="6"
        class="brass"
      />
      <text :x="one.x - 60" y="246" text-anchor="middle" class="dim">
        {{ say(gap(`left${one.name}Mm`), 'mm', 3) }}
      </text>
      <text :x="one.x + 60" y="246" text-anchor="middle" class="dim">
        {{ say(gap(`right${one.name}Mm`), 'mm', 3) }}
      </text>
      <text :x="one.x" y="132" text-anchor="middle">end {{ one.name }}</text>
    </g>
    <text x="360" y="108" text-anchor="middle" class="small">from above</text>
    <path d="M290 150 H430" class="centre" />
    <path :d="`M290 ${150 + shift('A')} L430 ${150 + shift('B')}`" class="active" />
    <text x="284" y="154" text-anchor="end">A</text>
    <text x="436" y="154">B</text>
    <text x="360" y="206" text-anchor="middle">
      {{ String(answer.figures.find(one => one.key === 'says')?.value) }}
    </text>
    <text x="360" y="228" text-anchor="middle" class="dim">{{ say(got('skewMmPerM'), '', 3) }} mm/m</text>
  </svg>
</template>
