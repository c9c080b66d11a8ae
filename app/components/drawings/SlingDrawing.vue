<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Hook, legs and load to scale: the hook straight over the centre of gravity, each leg with its lean and what it carries. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const lean = computed(() => given('fromVerticalDeg'))
const each = computed(() => (Number.isFinite(got('legKN')) ? got('legKN') : got('equalLegKN')))
const unequal = computed(() => Number.isFinite(got('leftKN')))
const a = computed(() => (unequal.value ? given('cgFromLeftM') : Math.tan((lean.value * Math.PI) / 180)))
const b = computed(() => (unequal.value ? given('cgFromRightM') : a.value))
const h = computed(() => (unequal.value ? given('hookHeightM') : 1))
const k = computed(() => Math.min(560 / Math.max(a.value + b.value, 0.01), 170 / h.value))
const hook = computed(() => ({ x: 360 - ((b.value - a.value) / 2) * k.value, y: 198 - h.value * k.value }))
const left = computed(() => hook.value.x - a.value * k.value)
const right = computed(() => hook.value.x + b.value * k.value)
const weight = computed(() => [given('weightKN'), got('weightKN'), got('hangsKN')].find(Number.isFinite) ?? Number.NaN)
const legs = computed(() =>
  unequal.value
    ? [
        { x: left.value, kN: got('leftKN'), deg: got('leftDeg') },
        { x: right.value, kN: got('rightKN'), deg: got('rightDeg') },
      ]
    : [
        { x: left.value, kN: each.value, deg: lean.value },
        { x: right.value, kN: each.value, deg: lean.value },
      ],
)
const toneOf = (deg: number) => (deg > 60 ? 'var(--out)' : deg >= 45 ? 'var(--thin)' : 'var(--holds)')
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 270"
    role="img"
    :aria-label="`Legs carry ${legs.map(leg => say(leg.kN, 'kN', 2)).join(' and ')}`"
  >
    <path :d="`M${hook.x} 8 V${hook.y}`" class="thick" />
    <circle :cx="hook.x" :cy="hook.y" r="7" class="brass" />
    <path :d="`M${hook.x} ${hook.y} V244`" class="centre" />
    <g v-for="(leg, i) in legs" :key="i">
      <path
        :d="`M${hook.x} ${hook.y} L${leg.x} 198`"
        :style="{ stroke: toneOf(leg.deg), strokeWidth: 5 }"
        fill="none"
      />
      <text
        :x="(hook.x + leg.x) / 2 + (i ? 14 : -14)"
        :y="(hook.y + 198) / 2"
        :text-anchor="i ? 'start' : 'end'"
        class="dim"
      >
        {{ say(leg.kN, 'kN', 2) }}, {{ Math.round(leg.deg) }}°
      </text>
    </g>
    <rect :x="left - 26" y="198" :width="right - left + 52" height="44" rx="3" class="metal" />
    <circle :cx="hook.x" cy="220" r="6" class="needle" />
    <text :x="hook.x + 14" y="226">{{ say(weight, 'kN', 2) }}</text>
    <g v-if="unequal">
      <path :d="`M${left} 254 H${right} M${left} 248 v12 M${right} 248 v12 M${hook.x} 248 v12`" class="line" />
      <text :x="(left + hook.x) / 2" y="267" text-anchor="middle" class="dim small">{{ say(a, 'm', 2) }}</text>
      <text :x="(right + hook.x) / 2" y="267" text-anchor="middle" class="dim small">{{ say(b, 'm', 2) }}</text>
    </g>
  </svg>
</template>
