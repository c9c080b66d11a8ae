<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Every judged figure as a needle on its own rule. */
const props = defineProps<Drawn>()
const { system } = useDisplay()
const bands = computed(() =>
  props.answer.figures
    .filter(
      one =>
        typeof one.value === 'number' &&
        one.held &&
        (one.held.limits.max !== undefined || one.held.limits.min !== undefined),
    )
    .slice(0, 3),
)
</script>

<template>
  <div v-if="bands.length" class="bands" :class="`n${bands.length}`">
    <figure v-for="one in bands" :key="one.key">
      <figcaption>{{ one.what }}</figcaption>
      <ReadingBand
        :limits="one.held!.limits"
        :value="one.value as number"
        :verdict="one.held!.verdict"
        :decimals="Math.min(3, one.decimals ?? 3)"
        :scale="value => shownValue(value, one.unit, system)"
      />
    </figure>
  </div>
</template>

<style scoped>
.bands {
  display: grid;
  gap: 8px;
  background: var(--ground);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 10px 16px;
}
figure {
  margin: 0;
}
figcaption {
  font: 500 16px var(--heads);
  color: var(--soft);
}
</style>
