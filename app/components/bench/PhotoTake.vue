<script setup lang="ts">
import { Camera } from '@element-plus/icons-vue'
import type { UploadFile } from 'element-plus'
import type { Noted } from '~~/core/job'

/** The camera, or a file, onto something. */
const props = defineProps<{ on: Noted | null; label: string }>()
/** The sentence that says why the last one was not taken. */
const why = defineModel<string | null>('why', { required: true })
/** So many are being taken in, one after the other. */
const working = defineModel<number>('working', { required: true })
const job = useJob()
const photos = usePhotosStore()

async function take({ raw }: UploadFile) {
  if (!raw) return
  working.value += 1
  try {
    why.value = (await photos.take(job, raw, props.on)) ?? why.value
  } finally {
    working.value -= 1
  }
}
const button = useTemplateRef<HTMLElement>('button')
defineExpose({ open: () => button.value?.click() })
</script>

<template>
  <el-upload accept="image/*" multiple :auto-upload="false" :show-file-list="false" :on-change="take">
    <!-- What surrounds it is the button, with its keys. -->
    <span ref="button" :title="label" data-test="photograph">
      <el-icon><Camera /></el-icon><span class="sr">{{ label }}</span>
    </span>
  </el-upload>
</template>
