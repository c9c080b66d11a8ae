<script setup lang="ts">
/** Something that is asked over whatever one was at. The second tap of a double one lands beside what the first has opened: it shuts nothing. */
const open = defineModel<boolean>({ required: true })
defineProps<{ title?: string }>()
defineEmits<{ closed: [] }>()
</script>

<template>
  <el-dialog
    v-model="open"
    :title="title"
    width="440"
    align-center
    append-to-body
    :close-on-click-modal="false"
    @closed="$emit('closed')"
  >
    <slot />
  </el-dialog>
</template>
