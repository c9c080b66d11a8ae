<script setup lang="ts">
import type { Verdict } from '~~/core/verdict'

/** A short steel rule: how much of the allowance is used, with the needle on it. */
const props = defineProps<{ share: number | null; verdict: Verdict }>()
const at = computed(() => 6 + Math.min(1.04, Math.max(0, props.share ?? (props.verdict === 'Out' ? 1.04 : 0))) * 100)
const words = computed(() =>
  props.share === null ? props.verdict : `${Math.round(props.share * 100)} % of the allowance used`,
)
</script>

<template>
  <svg class="rule" :class="verdict.toLowerCase()" viewBox="0 0 116 30" role="img" :aria-label="words">
    <rect x="6" y="10" width="80" height="7" class="room" />
    <rect x="86" y="10" width="20" height="7" class="warn" />
    <path v-for="i in 11" :key="i" :d="`M${i * 10 - 4} 17 v${i % 5 === 1 ? 9 : 5}`" class="tick" />
    <path v-if="verdict !== 'Open'" :d="`M${at} 19 l-5.5 -16 h11 z`" class="needle" />
  </svg>
</template>

<style scoped>
.rule {
  display: block;
  width: 100%;
  height: auto;
  overflow: visible;
}
.room {
  fill: var(--steel);
}
.warn {
  fill: var(--thin-wash);
}
.tick {
  stroke: var(--steel-ink);
  stroke-width: 1;
}
.holds .needle {
  fill: var(--holds);
}
.thin .needle {
  fill: var(--thin);
}
.out .needle {
  fill: var(--out);
}
</style>
