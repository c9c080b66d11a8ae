<script setup lang="ts">
import type { RecordAnswer, WorkProgress } from '~~/shared/answers'
import { reportFileName, type Report } from '~~/shared/file-names'
import { askLong } from '~/device/long'

/** A report of a job as a file, or as several where it is long: how far it is while it is made, and a way to leave it. */
const props = defineProps<{ report: Report; job: { id: string; number: number }; tag: string }>()
const { system } = useDisplay()
const now = ref<WorkProgress | null>(null)
const part = ref({ n: 1, of: 1 })
const why = ref<string | null>(null)
let stop: AbortController | null = null
const percent = computed(() => (now.value && 'share' in now.value ? Math.round(now.value.share * 100) : 0))
const says = computed(() =>
  now.value && 'before' in now.value
    ? `Waiting: ${now.value.before === 1 ? 'one is' : `${now.value.before} are`} before it`
    : part.value.of > 1
      ? `Making part ${part.value.n} of ${part.value.of}`
      : 'Making the PDF',
)

function save(base64: string) {
  const bytes = Uint8Array.from(atob(base64), one => one.charCodeAt(0))
  const url = URL.createObjectURL(new Blob([bytes], { type: 'application/pdf' }))
  const link = Object.assign(document.createElement('a'), {
    href: url,
    download: reportFileName(props.report, props.tag, props.job.number, part.value),
  })
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

async function make() {
  stop = new AbortController()
  why.value = null
  now.value = { share: 0 }
  part.value = { n: 1, of: 1 }
  try {
    for (let n = 1; n <= part.value.of; n++) {
      part.value = { n, of: part.value.of }
      const path = `/api/jobs/${props.job.id}/${props.report}.pdf?lengths=${system.value}&part=${n}`
      const made = await askLong<RecordAnswer>(path, to => (now.value = to), stop.signal)
      part.value = { n, of: made.parts }
      save(made.pdf)
    }
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
