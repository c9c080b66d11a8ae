<script setup lang="ts">
import { CONTACT_COLUMNS } from '~~/core/sleeves'

/** The bearing half laid flat: touch a square for full, half, none. Made by hand: a square is where the blue is. */
const props = defineProps<{ squares: string[] }>()
const emit = defineEmits<{ change: [squares: string[]] }>()
const NEXT: Record<string, string> = { 0: '1', 1: '0.5', 0.5: '0' }
const WORD: Record<string, string> = { 0: 'empty', 0.5: 'half', 1: 'full' }
const all = computed(() => Array.from({ length: 24 }, (_, i) => props.squares[i] ?? '0'))
</script>

<template>
  <div class="grid" role="group" aria-label="Contact by blue">
    <p class="soft">
      <span>left horn</span>
      <span>crown</span>
      <span>right horn</span>
    </p>
    <button
      v-for="(one, i) in all"
      :key="i"
      type="button"
      :class="`s${one.replace('.', '')}`"
      :aria-label="`Row ${Math.floor(i / CONTACT_COLUMNS) + 1}, square ${(i % CONTACT_COLUMNS) + 1}: ${WORD[one]}`"
      @click="emit('change', all.with(i, NEXT[one] ?? '0'))"
    />
  </div>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 3px;
  background: var(--metal);
  border: 1px solid var(--outline);
  padding: 4px;
  border-radius: 4px;
}
p {
  grid-column: 1 / -1;
  display: flex;
  justify-content: space-between;
  font-size: 14px;
  color: var(--ink);
}
button {
  min-height: 46px;
  border: 1px solid var(--hatch);
  border-radius: 2px;
  background: var(--chalk);
  cursor: pointer;
}
.s1 {
  background: var(--blue-ink);
}
.s05 {
  background: linear-gradient(135deg, var(--blue-ink) 0 50%, var(--chalk) 50%);
}
</style>
