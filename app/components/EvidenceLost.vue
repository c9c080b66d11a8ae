<script setup lang="ts">
import type { Payloads } from '~~/core/job'

/** Evidence that cannot be had any more is given up in writing, never in silence. */
const props = defineProps<{ lost: Omit<Payloads['evidence.lost'], 'why'> }>()
const job = useJobStore()
const asking = ref(false)
const reason = ref('')
const why = ref<string | null>(null)
function give() {
  why.value = reason.value.trim()
    ? job.act({ kind: 'evidence.lost', payload: { ...props.lost, why: reason.value.trim() } })
    : 'Say why it cannot be had.'
}
</script>

<template>
  <button v-if="!asking" class="btn" @click="asking = true">It cannot be had</button>
  <form v-else class="lost" @submit.prevent="give">
    <label class="label" for="lost">Why can it not be had? It stays on the record.</label>
    <input id="lost" v-model="reason" class="field" maxlength="400" />
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <button class="btn danger" type="submit">Record as lost</button>
  </form>
</template>

<style scoped>
.lost {
  flex: 1 1 100%;
  display: grid;
  gap: 6px;
}
</style>
