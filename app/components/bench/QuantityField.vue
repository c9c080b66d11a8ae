<script setup lang="ts">
/**
 * A quantity as it is written, with the unit a bare number is read in. Made by hand: it takes `2 3/8 in` and `59,983` alike,
 * stands as large as the reading it is, and greys the leading digits that need not be typed.
 */
const text = defineModel<string>({ required: true })
const props = defineProps<{
  label: string
  unit: string
  /** Digits put before what is typed, as long as only the last ones are. */
  lead?: string | null
  placeholder?: string
  big?: boolean
  name?: string
}>()
const field = useTemplateRef<HTMLInputElement>('field')
/** A field of the page takes no keys from a dialog that was opened meanwhile. */
const focus = () => {
  if (!isDialogOpen()) field.value?.focus({ preventScroll: true })
}
/** What was refused stands selected: the next figure typed takes its place. */
const select = () => field.value?.select()
const width = computed(() => Math.max(text.value.length, (props.placeholder ?? '').length, 2) + 0.3)
defineExpose({ focus, select })
</script>

<template>
  <label class="quantity figures" :class="{ big }">
    <span class="sr">{{ label }}, {{ unit }}</span>
    <span v-if="lead" class="lead" aria-hidden="true">{{ lead }}</span>
    <input
      :id="name"
      ref="field"
      v-model="text"
      inputmode="decimal"
      autocomplete="off"
      maxlength="40"
      :placeholder="placeholder"
      :style="big ? { width: `${width}ch` } : {}"
    />
    <span class="unit">{{ unit }}</span>
  </label>
</template>

<style scoped>
.quantity {
  display: flex;
  align-items: baseline;
  gap: 8px;
  min-height: var(--touch);
  border: 1px solid var(--steel-ink);
  border-radius: 4px;
  background: var(--chalk);
  padding: 4px 12px;
  font-size: 22px;
  cursor: text;
}
.quantity:focus-within {
  border-color: var(--blue-ink);
  outline: 3px solid var(--brass);
  outline-offset: 2px;
}
input {
  flex: 1;
  min-width: 0;
  border: 0;
  background: none;
  font: inherit;
  padding: 0;
}
input:focus-visible {
  outline: none;
}
input::placeholder {
  color: var(--soft);
  opacity: 1;
}
.lead {
  color: var(--soft);
  margin-right: -8px;
}
.unit {
  font: 500 18px var(--heads);
  color: var(--soft);
}
.big {
  border-width: 0 0 2px;
  border-color: var(--line);
  border-radius: 0;
  padding: 0;
  font-size: clamp(42px, 4.6vw, 60px);
  line-height: 1.05;
  font-weight: 500;
}
.big:focus-within {
  outline: none;
  border-color: var(--brass);
}
.big input {
  flex: 0 1 auto;
}
.big .unit {
  font-size: 24px;
}
</style>
