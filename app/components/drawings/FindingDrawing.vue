<script setup lang="ts">
import { BOX, findingDrawing, pathOf, type DrawnAs, type Ground } from '~~/core/looks'

/** What a finding looks like, in its grade. */
const props = defineProps<{ on: Ground; as?: DrawnAs; grade: 0 | 1 | 2 | 3 }>()
const pieces = computed(() => findingDrawing(props.on, props.as ?? 'pits', props.as ? props.grade : 0))
</script>

<template>
  <svg class="found" :viewBox="`-2 -2 ${BOX.width + 4} ${BOX.height + 4}`" aria-hidden="true">
    <path v-for="(one, i) in pieces" :key="i" :d="pathOf(one)" :class="one.is" />
  </svg>
</template>

<style scoped>
.found {
  display: block;
  width: 100%;
}
.body {
  fill: var(--metal);
  stroke: var(--outline);
  stroke-width: 1.2;
}
.line,
.hole {
  fill: none;
  stroke: var(--outline);
  stroke-width: 0.9;
}
.patch,
.dot {
  fill: var(--out);
}
.tint {
  fill: var(--out);
  opacity: 0.4;
}
.crack,
.score,
.ring {
  fill: none;
  stroke: var(--out);
  stroke-width: 1.8;
}
.score {
  stroke-width: 1;
}
.ring {
  stroke-width: 1.4;
}
</style>
