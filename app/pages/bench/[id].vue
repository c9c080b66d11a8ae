<script setup lang="ts">
import { loadJob, type Job } from '~/bench/job'

const route = useRoute()
const job = shallowRef<Job | null>(null)
const why = ref<string | null>(null)
let isLeft = false

async function open() {
  why.value = null
  try {
    const loaded = await loadJob(String(route.params.id))
    // Left before it had loaded: nothing of it stays behind.
    if (isLeft) loaded.close()
    else job.value = loaded
  } catch (error) {
    why.value = sayWhy(error)
  }
}
onMounted(open)
onBeforeUnmount(() => {
  isLeft = true
  job.value?.close()
})
</script>

<template>
  <p v-if="why" class="page-say why" role="alert">
    {{ why }} <el-button @click="open">Try again</el-button>{{ ' '
    }}<NuxtLink class="btn" to="/bench">To the bench list</NuxtLink>
  </p>
  <p v-else-if="!job" class="page-say soft">Loading the job…</p>
  <JobRoom v-else :job="job">
    <NuxtPage />
  </JobRoom>
</template>
