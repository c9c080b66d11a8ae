<script setup lang="ts">
import { bearingRingLimits, limitsOfClass } from '~~/core/fits'
import { fixed } from '~~/core/quantity'

/** Both tolerance bands and the measured size on one scale of micrometres from nominal. */
const props = defineProps<{ fit: { nominalMm: number; hole: string; shaft: string; span: [number, number] } }>()
const W = 480
const bands = computed(() => {
  const shaft = limitsOfClass(props.fit.nominalMm, props.fit.shaft)
  const ring = bearingRingLimits(props.fit.nominalMm, 'bore')
  return [
    ...(ring.ok ? [{ name: 'bearing bore', ...ring.value, y: 6, tone: 'hole' }] : []),
    ...(shaft.ok ? [{ name: `journal ${props.fit.shaft}`, ...shaft.value, y: 30, tone: 'shaft' }] : []),
  ]
})
const measured = computed(() => props.fit.span.map(mm => (mm - props.fit.nominalMm) * 1000) as [number, number])
const x = computed(() =>
  scaleOf([0, ...measured.value, ...bands.value.flatMap(one => [one.upperUm, one.lowerUm])], 112, W - 14),
)
const clearance = computed(() => {
  const hole = bands.value.find(one => one.tone === 'hole')
  return hole ? [hole.lowerUm - measured.value[1], hole.upperUm - measured.value[0]] : null
})
const words = computed(() =>
  clearance.value
    ? `With a bearing of normal class: ${clearance.value.map(um => (um < 0 ? `${fixed(-um, 0)} µm interference` : `${fixed(um, 0)} µm clearance`)).join(' to ')}`
    : '',
)
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${W} 78`" role="img" :aria-label="words">
      <g v-for="one in bands" :key="one.name">
        <rect :x="x(one.lowerUm)" :y="one.y" :width="x(one.upperUm) - x(one.lowerUm)" height="18" :class="one.tone" />
        <text x="104" :y="one.y + 14" text-anchor="end">{{ one.name }}</text>
      </g>
      <path :d="`M${x(0)} 0 V56`" class="nominal" />
      <text :x="x(0)" y="72" text-anchor="middle">{{ fit.nominalMm }}</text>
      <path
        :d="`M${x(measured[0])} 58 l-5 12 h10 z M${x(measured[1])} 58 l-5 12 h10 z M${x(measured[0])} 54 H${x(measured[1])}`"
        class="needle"
      />
    </svg>
    <figcaption class="soft">{{ words }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 84px;
  display: block;
}
.hole {
  fill: var(--metal-blue);
  stroke: var(--blue-ink);
}
.shaft {
  fill: var(--holds-wash);
  stroke: var(--holds);
}
.nominal {
  stroke: var(--outline);
  stroke-dasharray: 4 3;
}
.needle {
  fill: var(--ink);
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font: 500 14px var(--heads);
  fill: var(--soft);
}
figcaption {
  font-size: 15px;
}
</style>
