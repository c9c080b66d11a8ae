<script setup lang="ts">
import type { WorkProgress } from '~~/shared/answers'
import { askLong } from '~/device/long'

/** The record as a file: how far it is while it is made, and a way to leave it. */
const props = defineProps<{ path: string; name: string }>()
const now = ref<WorkProgress | null>(null)
const why = ref<string | null>(null)
let stop: AbortController | null = null
const percent = computed(() => (now.value && 'share' in now.value ? Math.round(now.value.share * 100) : 0))
const says = computed(() =>
  now.value && 'before' in now.value
    ? `Waiting: ${now.value.before === 1 ? 'one is' : `${now.value.before} are`} before it`
    : 'Making the PDF',
)

function save(base64: string) {
  const bytes = Uint8Array.from(atob(base64), one => one.charCodeAt(0))
  const url = URL.createObjectURL(new Blob([bytes], { type: 'application/pdf' }))
  const link = Object.assign(document.createElement('a'), { href: url, download: props.name })
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

async function make() {
  stop = new AbortController()
  why.value = null
  now.value = { share: 0 }
  try {
    save(await askLong<string>(props.path, to => (now.value = to), stop.signal))
  } catch (error) {
    if (!stop.signal.aborted) why.value = sayWhy(error)
  } finally {
    now.value = null
  }
}
onBeforeUnmount(() => stop?.abort())
</script>

<template>
  <el-button v-if="!now" type="primary" @click="make">Download PDF</el-button>
  <span v-else class="making" role="status">
    <span>{{ says }}</span>
    <el-progress :percentage="percent" :show-text="false" :stroke-width="10" />
    <el-button @click="stop?.abort()">Leave it</el-button>
  </span>
  <p v-if="why" class="why" role="alert">{{ why }}</p>
</template>

<style scoped>
.making {
  display: inline-flex;
  gap: 10px;
  align-items: center;
}
.making :deep(.el-progress) {
  width: 160px;
}
</style>
