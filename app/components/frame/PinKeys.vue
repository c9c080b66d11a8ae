<script setup lang="ts">
import type { FormItemRule } from 'element-plus'

/** A PIN typed by key or by touch: its field in a form, and the keypad of a gloved hand. */
const pin = defineModel<string>({ required: true })
const props = withDefaults(
  defineProps<{
    prop: string
    label: string
    rules?: FormItemRule[]
    /** Entered by itself once it is so long; only by the button where this is left out. */
    length?: number
    verb: string
    disabled?: boolean
  }>(),
  { rules: undefined, length: undefined },
)
const emit = defineEmits<{ whole: [] }>()
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')
const MOST = 8
const look = async () => {
  // The form that holds it has it a tick later.
  await nextTick()
  if (pin.value.length === props.length) emit('whole')
}
function press(key: string) {
  pin.value = key === '⌫' ? pin.value.slice(0, -1) : (pin.value + key).slice(0, MOST)
  if (key !== '⌫') void look()
}
defineExpose({ focus: () => field.value?.focus(), select: () => field.value?.select() })
</script>

<template>
  <el-form-item :prop="prop" :rules="rules" :label="label">
    <el-input
      ref="field"
      v-model="pin"
      class="figures pin"
      type="password"
      inputmode="numeric"
      autocomplete="off"
      :maxlength="MOST"
      @input="look"
    />
  </el-form-item>
  <div class="keys" aria-label="PIN keypad">
    <el-button
      v-for="key in ['1', '2', '3', '4', '5', '6', '7', '8', '9', '⌫', '0']"
      :key="key"
      class="figures"
      :aria-label="key === '⌫' ? 'Take back' : key"
      @click="press(key)"
    >
      {{ key }}
    </el-button>
    <el-button type="primary" native-type="submit" :disabled="disabled">{{ verb }}</el-button>
  </div>
</template>

<style scoped>
.pin :deep(.el-input__inner) {
  font-size: 28px;
  letter-spacing: 0.3em;
  text-align: center;
}
.keys {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.keys .el-button {
  min-height: 54px;
  font-size: 22px;
}
.keys .el-button--primary {
  font-size: 19px;
}
</style>
