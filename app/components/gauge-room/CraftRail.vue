<script setup lang="ts">
import { CRAFT_TITLES, CRAFTS, type Craft } from '~~/core/sums'

/** The crafts as the divisions of a steel rule. */
defineProps<{ craft: Craft }>()
</script>

<template>
  <nav class="rail" aria-label="Crafts">
    <NuxtLink
      v-for="one in CRAFTS"
      :key="one"
      :to="`/gauge-room/${one}`"
      :class="{ on: one === craft }"
      :aria-current="one === craft ? 'page' : undefined"
    >
      <span>{{ CRAFT_TITLES[one] }}</span>
    </NuxtLink>
  </nav>
</template>

<style scoped>
.rail {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: auto;
  background: var(--chalk);
  border-bottom: 1px solid var(--line);
}
a {
  min-height: 50px;
  padding: 4px 6px 14px;
  display: flex;
  align-items: center;
  justify-content: center;
  text-align: center;
  text-decoration: none;
  font: 500 17px/1 var(--heads);
  color: var(--soft);
  border-left: 1px solid var(--outline);
  position: relative;
}
a::after {
  content: '';
  position: absolute;
  inset: auto 0 0 0;
  height: 9px;
  background: repeating-linear-gradient(90deg, var(--hatch) 0 1px, transparent 1px 9px);
}
a.on {
  color: var(--brass-ink);
  font-weight: 600;
  background: var(--brass-wash);
}
a.on::after {
  background: var(--brass);
  height: 7px;
}
@media (max-width: 1200px) {
  .rail {
    grid-auto-flow: row;
    grid-template-columns: repeat(8, 1fr);
  }
  a {
    border-bottom: 1px solid var(--line);
  }
}
</style>
