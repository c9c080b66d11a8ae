<script setup lang="ts">
/** Large figures for gloves, made by hand: the kit has no keypad. The text stays the caller's. */
const text = defineModel<string>({ required: true })
const props = defineProps<{
  sign?: boolean
  /** What stands was refused: the next figure takes its place. */
  replace?: boolean
}>()
const FIGURES = ['7', '8', '9', '4', '5', '6', '1', '2', '3'] as const
const SAID: Record<string, string> = { '⌫': 'Take back', '±': 'Plus or minus' }
const foot = computed(() => ['.', '0', ...(props.sign ? ['±'] : []), '⌫'])
function press(key: string) {
  if (key === '±') text.value = text.value.startsWith('-') ? text.value.slice(1) : `-${text.value}`
  else text.value = key === '⌫' ? text.value.slice(0, -1) : (props.replace ? '' : text.value) + key
}
</script>

<template>
  <div class="keys" role="group" aria-label="Keypad">
    <button
      v-for="key in [...FIGURES, ...foot]"
      :key="key"
      type="button"
      class="key figures"
      :class="{ narrow: sign && foot.includes(key) }"
      :aria-label="SAID[key] ?? key"
      @click="press(key)"
    >
      {{ key }}
    </button>
  </div>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  width: 100%;
  min-width: 166px;
  max-width: 196px;
  gap: 5px;
  align-content: start;
}
.key {
  grid-column: span 4;
  min-height: 44px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--chalk);
  font-size: 22px;
  font-weight: 500;
  cursor: pointer;
}
.key:active {
  background: var(--brass-wash);
}
/* A sign takes no row of its own: four keys stand in the last one. */
.narrow {
  grid-column: span 3;
}
</style>
