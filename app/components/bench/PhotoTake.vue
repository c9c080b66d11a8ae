<script setup lang="ts">
import { Camera } from '@element-plus/icons-vue'
import type { Noted } from '~~/core/job'

/** The camera, or a file, onto something. */
defineProps<{ on: Noted | null; label: string }>()
const job = useJob()
const photos = usePhotosStore()
const button = useTemplateRef<HTMLElement>('button')
defineExpose({ open: () => button.value?.click() })
</script>

<template>
  <el-upload
    class="add-sign"
    accept="image/*"
    multiple
    :auto-upload="false"
    :show-file-list="false"
    :on-change="({ raw }) => raw && photos.take(job, raw, on)"
  >
    <!-- What surrounds it is the button, with its keys. -->
    <span ref="button" :title="label" data-test="photograph">
      <el-icon><Camera /></el-icon><span class="sr">{{ label }}</span>
    </span>
  </el-upload>
</template>
