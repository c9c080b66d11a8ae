<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Pinion and wheel to scale of their teeth; brass are the teeth of the wheel that one tooth of the pinion ever meets. */
const props = defineProps<Drawn>()
const { given } = useDrawn(props)
const z1 = computed(() => given('pinionTeeth'))
const z2 = computed(() => given('wheelTeeth'))
const k = computed(() => 236 / Math.max(z1.value, z2.value) / 2)
const tooth = computed(() => (Number.isFinite(given('pinionTooth')) ? given('pinionTooth') : 1))
const met = computed(
  () => new Set(Array.from({ length: z2.value }, (_, turn) => (tooth.value - 1 + turn * z1.value) % z2.value)),
)
/** Where they mesh, so that the pair stands in the middle. */
const meshX = computed(() => 360 + (z1.value - z2.value) * k.value)
const c1 = computed(() => ({ x: meshX.value - z1.value * k.value, y: 136 }))
const c2 = computed(() => ({ x: meshX.value + z2.value * k.value, y: 136 }))
const ticks = (z: number) => Array.from({ length: Math.min(z, 400) }, (_, i) => i)
</script>

<template>
  <svg
    class="draw"
    viewBox="0 0 720 272"
    role="img"
    :aria-label="`One pinion tooth meets ${met.size} of ${z2} wheel teeth`"
  >
    <circle :cx="c1.x" :cy="c1.y" :r="z1 * k" class="blue" />
    <circle :cx="c2.x" :cy="c2.y" :r="z2 * k" class="metal" />
    <path
      v-for="i in ticks(z1)"
      :key="`p${i}`"
      :d="`M${c1.x + z1 * k} ${c1.y} h-8`"
      :transform="`rotate(${(-i * 360) / z1} ${c1.x} ${c1.y})`"
      :class="i === tooth - 1 ? 'active' : 'line'"
      :style="i === tooth - 1 ? 'stroke-width: 5' : ''"
    />
    <path
      v-for="i in ticks(z2)"
      :key="`w${i}`"
      :d="`M${c2.x - z2 * k} ${c2.y} h9`"
      :transform="`rotate(${(i * 360) / z2} ${c2.x} ${c2.y})`"
      :class="met.has(i) ? 'active' : 'line'"
    />
    <text :x="c1.x" :y="c1.y + 5" text-anchor="middle" class="dim">{{ z1 }}</text>
    <text :x="c2.x" :y="c2.y + 5" text-anchor="middle" class="dim">{{ z2 }}</text>
    <text x="706" y="262" text-anchor="end" class="small">one pinion tooth meets {{ met.size }} of {{ z2 }}</text>
  </svg>
</template>
