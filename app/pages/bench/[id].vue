<script setup lang="ts">
const route = useRoute()
const job = useJobStore()
const why = ref<string | null>(null)

async function open() {
  why.value = null
  try {
    await job.open(String(route.params.id))
  } catch (error) {
    why.value = sayWhy(error)
  }
}
onMounted(open)
onBeforeUnmount(job.close)
</script>

<template>
  <p v-if="why" class="say why" role="alert">
    {{ why }} <button class="btn" @click="open">Try again</button>{{ ' '
    }}<NuxtLink class="btn" to="/bench">To the bench list</NuxtLink>
  </p>
  <p v-else-if="!job.plan" class="say soft">Laying out the job…</p>
  <NuxtPage v-else />
</template>

<style scoped>
.say {
  padding: 20px;
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
