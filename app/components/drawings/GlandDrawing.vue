<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The ring in its gland, cut across and to scale: free beside it, squeezed in place, the groove as it is. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const k = computed(() => 110 / Math.max(given('sectionMm'), given('grooveDepthMm'), given('grooveWidthMm') * 0.6))
const depth = computed(() => given('grooveDepthMm') * k.value)
const width = computed(() => given('grooveWidthMm') * k.value)
const section = computed(() => got('sectionStretchedMm') * k.value)
const area = computed(() => (Math.PI / 4) * section.value ** 2)
const flat = computed(() =>
  Math.min(width.value, depth.value > 0 ? (area.value + (1 - Math.PI / 4) * depth.value ** 2) / depth.value : 0),
)
const squeezed = computed(() => section.value > depth.value)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 230"
    role="img"
    :aria-label="`Squeeze ${Math.round(got('squeeze') * 100)} %, fill ${Math.round(got('fill') * 100)} %`"
  >
    <circle cx="110" cy="115" :r="(given('sectionMm') * k) / 2" class="metal" />
    <text x="110" y="216" text-anchor="middle" class="dim">free {{ say(given('sectionMm'), 'mm', 2) }}</text>
    <g transform="translate(400 0)">
      <rect x="-190" y="24" width="380" height="36" class="blue" />
      <path :d="`M-190 60 H${-width / 2} V${60 + depth} H${width / 2} V60 H190 V200 H-190 Z`" class="blue" />
      <rect v-if="squeezed" :x="-flat / 2" y="60" :width="flat" :height="depth" :rx="depth / 2" class="needle" />
      <circle v-else cx="0" :cy="60 + depth - section / 2" :r="section / 2" class="needle" />
      <text x="0" y="222" text-anchor="middle" class="dim">
        {{ say(given('grooveWidthMm'), 'mm', 2) }} wide, {{ say(given('grooveDepthMm'), 'mm', 2) }} deep
      </text>
    </g>
    <text x="700" y="96" text-anchor="end">squeeze {{ Math.round(got('squeeze') * 100) }} %</text>
    <text x="700" y="122" text-anchor="end">stretch {{ Math.round(got('stretch') * 1000) / 10 }} %</text>
    <text x="700" y="148" text-anchor="end">fill {{ Math.round(got('fill') * 100) }} %</text>
  </svg>
</template>
