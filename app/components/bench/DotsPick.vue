<script setup lang="ts">
/** How many punch dots there are beside a joint, as they look. */
defineProps<{ label: string; numbers: readonly number[]; taken?: readonly number[] }>()
const n = defineModel<number | null>({ required: true })
</script>

<template>
  <el-radio-group :model-value="n ?? undefined" :aria-label="label" @change="to => (n = to as number)">
    <el-radio-button
      v-for="each in numbers"
      :key="each"
      :value="each"
      :disabled="taken?.includes(each)"
      :aria-label="each ? counted(each, 'dot') : 'no dot'"
      >{{ each ? '●'.repeat(each) : 'none' }}</el-radio-button
    >
  </el-radio-group>
</template>
