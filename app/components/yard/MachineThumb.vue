<script setup lang="ts">
import { pathsOf, sectionOf } from '~~/core/section'
import type { Plan } from '~~/core/sheet'

/** A machine along its own axis, whole and small, so that it is known at a glance. */
const props = defineProps<{ plan: Plan }>()
const SIZE = { width: 620, height: 130 }
const section = computed(() => sectionOf(props.plan, SIZE))
const parts = computed(() =>
  [...section.value.parts, ...section.value.row].map(({ ref, tone, shapes }) => ({
    ref,
    tone,
    paths: pathsOf(shapes),
  })),
)
</script>

<template>
  <svg class="thumb" :viewBox="`0 0 ${SIZE.width} ${SIZE.height}`" role="img" :aria-label="plan.sheet.title">
    <g v-for="one in parts" :key="one.ref" :class="one.tone">
      <path v-for="(path, i) in one.paths" :key="i" :d="path.d" :class="path.is.replace(' ', '-')" />
    </g>
    <path
      v-for="line in section.lines"
      :key="line.id"
      class="axis"
      :d="`M${section.left} ${line.centre} H${section.right}`"
    />
  </svg>
</template>

<style scoped>
.thumb {
  width: 100%;
  max-width: 420px;
  background: color-mix(in srgb, var(--chalk) 55%, var(--ground));
  border-radius: 4px;
}
path {
  stroke: var(--outline);
  stroke-width: 1.3;
  stroke-linejoin: round;
  fill: var(--steel);
}
.grey path {
  fill: var(--metal);
}
.blue path {
  fill: var(--metal-blue);
}
path.line {
  fill: none;
}
path.soft,
path.soft-round {
  fill: var(--steel-ink);
}
path.axis {
  stroke: var(--blue-ink);
  stroke-dasharray: 14 3 3 3;
  fill: none;
}
</style>
