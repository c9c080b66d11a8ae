<script setup lang="ts">
import { arcPath, hourPath, SMALL_DIAL } from '~~/core/marks'

/** Where on the clock something was found, small enough for a table. */
defineProps<{ arcs: readonly (readonly [number, number])[] }>()
</script>

<template>
  <svg class="small-dial" :viewBox="`0 0 ${SMALL_DIAL} ${SMALL_DIAL}`" aria-hidden="true">
    <circle :cx="SMALL_DIAL / 2" :cy="SMALL_DIAL / 2" r="21" />
    <path :d="hourPath" class="hours" />
    <path v-for="(one, i) in arcs" :key="i" :d="arcPath(one)" class="arc" />
  </svg>
</template>

<style scoped>
.small-dial {
  width: 64px;
  display: block;
}
circle {
  fill: var(--chalk);
  stroke: var(--outline);
}
.hours {
  stroke: var(--outline);
}
.arc {
  fill: none;
  stroke: var(--out);
  stroke-width: 6;
}
</style>
