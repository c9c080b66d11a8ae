<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Springs of the set side by side on one rule, lengths exaggerated from the shortest; the odd one stands out. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const free = computed(() => props.input.freeMm as number[])
const y = computed(() => scaleOf([...free.value, given('newMm'), Math.min(...free.value) - 1], 226, 24, 0.02))
const pitch = computed(() => Math.min(80, 600 / free.value.length))
const x = (i: number) => 90 + i * pitch.value + pitch.value / 2
const coil = (i: number, mm: number) =>
  `M${x(i)} 226 ${Array.from({ length: 9 }, (_, n) => `L${x(i) + (n % 2 ? 1 : -1) * pitch.value * 0.26} ${226 - ((226 - y.value(mm)) * (n + 1)) / 10}`).join(' ')} L${x(i)} ${y.value(mm)}`
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 262"
    role="img"
    :aria-label="Number.isFinite(got('odd')) ? `Spring ${got('odd')} is the odd one` : 'Springs alike'"
  >
    <path :d="`M70 ${y(given('newMm'))} H700`" class="faint" />
    <text x="64" :y="y(given('newMm')) + 5" text-anchor="end" class="small">new</text>
    <path d="M70 226 H700" class="thick" />
    <g v-for="(mm, i) in free" :key="i">
      <path
        :d="coil(i, mm)"
        fill="none"
        :style="{ stroke: got('odd') === i + 1 ? 'var(--out)' : 'var(--blue-ink)', strokeWidth: 3 }"
      />
      <text :x="x(i)" y="248" text-anchor="middle">{{ i + 1 }}</text>
      <text v-if="pitch > 44" :x="x(i)" :y="y(mm) - 6" text-anchor="middle" class="dim small">
        {{ say(mm, 'mm', 1).replace(/ \w+$/, '') }}
      </text>
    </g>
  </svg>
</template>
