<script setup lang="ts">
import type { Payloads } from '~~/core/job'
import type { MayGiveUp } from '~~/core/sheet'

/** Evidence that cannot be had any more is given up in writing, by whom the sheet says; where it says nobody, not at all. */
const props = defineProps<{ lost: Omit<Payloads['evidence.lost'], 'why'>; by?: MayGiveUp }>()
const job = useJob()
const session = useSessionStore()
const asking = ref(false)
const reason = ref('')
const why = ref<string | null>(null)
const isMine = computed(() => props.by === 'fitter' || session.isLead)
function ask() {
  if (isMine.value) asking.value = true
  else session.changing = true
}
function give() {
  why.value = reason.value.trim()
    ? job.act({ kind: 'evidence.lost', payload: { ...props.lost, why: reason.value.trim() } })
    : 'Say why it cannot be had.'
}
</script>

<template>
  <template v-if="by">
    <button v-if="!asking" class="btn" @click="ask">
      {{ isMine ? 'It cannot be had' : 'It cannot be had: a lead says so' }}
    </button>
    <form v-else class="lost" @submit.prevent="give">
      <label class="label" for="lost">Why can it not be had? It stays on the record.</label>
      <input id="lost" v-model="reason" class="field" maxlength="400" />
      <p v-if="why" class="why" role="alert">{{ why }}</p>
      <button class="btn danger" type="submit">Record as lost</button>
    </form>
  </template>
</template>

<style scoped>
.lost {
  flex: 1 1 100%;
  display: grid;
  gap: 6px;
}
</style>
