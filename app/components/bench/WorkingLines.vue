<script setup lang="ts">
import type { CheckResult } from '~~/core/job'

/** How a check was worked out, line by line, with what it is held against and what is to be known of it. */
defineProps<{ result: CheckResult }>()
const { system } = useDisplay()
</script>

<template>
  <ol class="figures">
    <li>
      <em>Held against {{ result.check.source }}</em>
    </li>
    <li v-for="(line, i) in result.working(system)" :key="i">
      <span>{{ line.what }}</span>
      <span>{{ line.sum === line.gives ? '' : line.sum }}</span>
      <b>{{ line.gives }}</b>
    </li>
    <li v-for="note in result.notes(system)" :key="note">
      <em>{{ note }}</em>
    </li>
  </ol>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 1fr 2fr auto;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding: 3px 0;
  font-size: 15px;
}
em {
  grid-column: 1 / -1;
  font-family: var(--words);
}
</style>
