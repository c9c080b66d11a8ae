<script setup lang="ts">
import type { FormItemRule } from 'element-plus'

/** What the meters of a machine show: its hours first, then what else is counted of it. */
const hours = defineModel<number | undefined>('hours', { required: true })
const uses = defineModel<Record<string, number | undefined>>('uses', { required: true })
defineProps<{
  counters: string[]
  rules?: FormItemRule[]
  /** Counts may be left out where nobody read them. */
  ifRead?: boolean
}>()
const SHOWN = { min: 0, max: 2_000_000, precision: 0, controls: false }
</script>

<template>
  <el-form-item prop="hoursRun" :rules="rules" label="Hours on the meter">
    <el-input-number v-model="hours" v-bind="SHOWN" aria-label="Hours on the meter" />
  </el-form-item>
  <el-form-item v-for="of in counters" :key="of" :label="`Count of ${of}${ifRead ? ', if read' : ''}`">
    <el-input-number
      v-bind="SHOWN"
      :model-value="uses[of]"
      :aria-label="`Count of ${of}`"
      @update:model-value="shown => (uses = { ...uses, [of]: shown ?? undefined })"
    />
  </el-form-item>
</template>
