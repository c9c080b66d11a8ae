<script setup lang="ts">
/** Large figures for gloves, made by hand: the kit has no keypad. The text stays the caller's. */
const text = defineModel<string>({ required: true })
const props = defineProps<{
  sign?: boolean
  /** What stands was refused: the next figure takes its place. */
  replace?: boolean
}>()
const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫']
function press(key: string) {
  text.value = key === '⌫' ? text.value.slice(0, -1) : (props.replace ? '' : text.value) + key
}
const flip = () => {
  text.value = text.value.startsWith('-') ? text.value.slice(1) : `-${text.value}`
}
</script>

<template>
  <div class="keys" role="group" aria-label="Keypad">
    <button
      v-for="key in KEYS"
      :key="key"
      type="button"
      class="key figures"
      :aria-label="key === '⌫' ? 'Take back' : key"
      @click="press(key)"
    >
      {{ key }}
    </button>
    <button v-if="sign" type="button" class="key figures sign" @click="flip">+ / −</button>
  </div>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: repeat(3, minmax(52px, 62px));
  gap: 5px;
  align-content: start;
}
.key {
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
.sign {
  grid-column: 1 / -1;
  font-size: 18px;
}
</style>
