<script setup lang="ts">
import type { Person } from '~~/shared/answers'

/** Names to choose one from: large, two in a row. */
const chosen = defineModel<string | null>({ required: true })
defineProps<{ people: readonly Person[] }>()
</script>

<template>
  <ul class="names" aria-label="Your name">
    <li v-for="one in people" :key="one.id">
      <el-button
        class="name"
        :class="{ on: one.id === chosen }"
        :aria-pressed="one.id === chosen"
        @click="chosen = one.id"
      >
        {{ one.name }} <small>{{ one.role }}</small>
      </el-button>
    </li>
  </ul>
</template>

<style scoped>
.names {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.names .name {
  width: 100%;
  min-height: 56px;
}
.names .name > :deep(span) {
  flex-direction: column;
  gap: 1px;
}
.names .on {
  background: var(--blue-wash);
}
.names small {
  font: 400 15px var(--words);
}
</style>
