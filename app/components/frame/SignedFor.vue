<script setup lang="ts">
import type { SignedLine } from '~~/core/job'

/** What a lead signs for where parts were decided: what was found, what was decided about it, and why where that is odd. */
defineProps<{ list: SignedLine[] }>()
</script>

<template>
  <section v-if="list.length" class="judged" aria-label="What is signed for">
    <h4>What is signed for</h4>
    <p v-for="one in list" :key="one.what" :class="{ odd: one.isOdd }">
      <strong>{{ one.what }}</strong>{{ one.why ? `. ${one.why}` : '' }}.
      <span v-if="one.found" class="soft">{{ one.found }}.</span>
    </p>
  </section>
</template>

<style scoped>
.judged {
  flex: none;
  max-height: 120px;
  overflow: auto;
}
.judged h4 {
  font: 600 18px var(--heads);
  margin: 0;
}
.judged p {
  margin: 3px 0;
}
.judged .odd strong {
  color: var(--out);
}
</style>
