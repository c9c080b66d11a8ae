<script setup lang="ts">
import { ACTS, type Payloads } from '~~/core/job'
import type { MayGiveUp } from '~~/core/sheet'

/** Evidence that cannot be had any more is given up in writing, by whom the sheet says; where it says nobody, not at all. */
const props = defineProps<{ lost: Omit<Payloads['evidence.lost'], 'why'>; by?: MayGiveUp }>()
const job = useJob()
const session = useSessionStore()
/** A reading can't be measured, a mark can't be made, a part can't be looked at. */
const CANNOT = props.lost.mate ? "Can't be marked" : props.lost.look ? "Can't be looked at" : "Can't be measured"
const asking = ref(false)
const reason = ref('')
const why = ref<string | null>(null)
const isMine = computed(() => props.by === 'fitter' || session.isLead)
const { led } = useSign()
async function give() {
  const payload = { ...props.lost, why: reason.value.trim() }
  const title = ACTS['evidence.lost'].words(job.plan, payload)
  why.value = payload.why ? (await led(title, !isMine.value, { kind: 'evidence.lost', payload })).why : 'Say why not.'
}
</script>

<template>
  <template v-if="by">
    <el-button v-if="!asking" @click="asking = true">
      {{ isMine ? CANNOT : `${CANNOT}: a lead says so` }}
    </el-button>
    <form v-else class="lost" @submit.prevent="give">
      <label class="label" for="lost">Why not? It stays on the record.</label>
      <el-input id="lost" v-model="reason" maxlength="400" />
      <p v-if="why" class="why" role="alert">{{ why }}</p>
      <el-button type="danger" native-type="submit">Record as lost{{ isMine ? '' : ': a lead signs' }}</el-button>
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
