<script setup lang="ts">
import type { NuxtError } from '#app'

/** What is shown when a page cannot be: what happened, and the way on. */
const props = defineProps<{ error: NuxtError }>()
const isMissing = computed(() => props.error.statusCode === 404)
const leave = () => clearError({ redirect: '/' })
</script>

<template>
  <main class="lost">
    <section class="card">
      <h1>{{ isMissing ? 'There is nothing here' : 'This page stopped' }}</h1>
      <p>
        {{
          isMissing
            ? 'The address may be mistyped, or what stood here is gone.'
            : 'What was done is kept. Load the page again; if it stops again, tell the office what you did last.'
        }}
      </p>
      <p v-if="!isMissing && error.message" class="soft">{{ error.message }}</p>
      <el-button type="primary" @click="leave">To the yard</el-button>
    </section>
  </main>
</template>

<style scoped>
.lost {
  min-height: 100vh;
  display: grid;
  place-items: center;
  padding: 20px;
}
.card {
  padding: 28px;
  max-width: 560px;
  display: grid;
  gap: 14px;
  justify-items: start;
}
h1 {
  font-size: 28px;
}
</style>
