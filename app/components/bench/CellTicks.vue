<script setup lang="ts">
/** Of several words, those that hold are ticked. */
defineProps<{ words: readonly string[]; ticked: readonly string[]; title: string }>()
const emit = defineEmits<{ change: [ticked: string[]] }>()
</script>

<template>
  <el-checkbox-group :model-value="[...ticked]" :aria-label="title" @change="all => emit('change', all as string[])">
    <el-checkbox-button v-for="word in words" :key="word" :value="word">{{ word }}</el-checkbox-button>
  </el-checkbox-group>
</template>
