<script setup lang="ts">
import type { Step } from '~~/core/sheet'

/** What was looked at in passing, written down while it is there to be seen: words at hand, and any others. */
const props = defineProps<{ found: NonNullable<Step['found']>; text: string }>()
const emit = defineEmits<{ write: [text: string] }>()
const parts = computed(() => props.text.split(/,\s*/).filter(Boolean))
function turn(word: string) {
  const now = parts.value.includes(word) ? parts.value.filter(one => one !== word) : [...parts.value, word]
  emit('write', now.join(', '))
}
</script>

<template>
  <div class="found" role="group" :aria-label="found.ask">
    <p class="ask">{{ found.ask }}</p>
    <div class="words">
      <el-check-tag
        v-for="word in found.words"
        :key="word"
        :checked="parts.includes(word)"
        role="checkbox"
        tabindex="0"
        :aria-checked="parts.includes(word)"
        @click="turn(word)"
        @keydown.enter.prevent.stop="turn(word)"
        @keydown.space.prevent="turn(word)"
      >
        {{ word }}
      </el-check-tag>
    </div>
    <el-input
      :model-value="text"
      type="textarea"
      :autosize="{ minRows: 2, maxRows: 4 }"
      maxlength="400"
      :aria-label="`${found.ask} In your own words`"
      placeholder="in your own words"
      @update:model-value="one => emit('write', one)"
    />
  </div>
</template>

<style scoped>
.found {
  display: grid;
  gap: 10px;
  padding: 8px 0;
}
.ask {
  font: 600 20px var(--heads);
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
