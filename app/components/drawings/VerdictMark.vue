<script setup lang="ts">
import { VERDICT_WORDS, type Verdict } from '~~/core/verdict'

/** A verdict by shape, word and colour together. */
withDefaults(defineProps<{ verdict: Verdict; word?: boolean }>(), { word: true })
</script>

<template>
  <span class="verdict" :class="verdict.toLowerCase()">
    <svg
      width="18"
      height="18"
      viewBox="0 0 18 18"
      :aria-hidden="word ? true : undefined"
      :role="word ? undefined : 'img'"
      :aria-label="word ? undefined : VERDICT_WORDS[verdict]"
    >
      <circle v-if="verdict === 'Holds'" cx="9" cy="9" r="7" fill="currentColor" />
      <template v-else-if="verdict === 'Thin'">
        <circle cx="9" cy="9" r="6.2" fill="none" stroke="currentColor" stroke-width="1.8" />
        <path d="M9 3 A6 6 0 0 0 9 15Z" fill="currentColor" />
      </template>
      <path
        v-else-if="verdict === 'Out'"
        d="M3.5 3.5 14.5 14.5 M14.5 3.5 3.5 14.5"
        stroke="currentColor"
        stroke-width="2.8"
        stroke-linecap="round"
      />
      <circle v-else cx="9" cy="9" r="6.2" fill="none" stroke="currentColor" stroke-width="2" />
    </svg>
    <span v-if="word">{{ VERDICT_WORDS[verdict] }}</span>
  </span>
</template>

<style scoped>
.verdict {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-weight: 600;
}
.holds {
  color: var(--holds);
}
.thin {
  color: var(--thin);
}
.out {
  color: var(--out);
}
.open {
  color: var(--open);
}
svg {
  flex: none;
}
</style>
