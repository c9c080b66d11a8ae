<script setup lang="ts">
import { decidedWith, leftToLead, partState, proposalsOf } from '~~/core/job'
import { DECISIONS, type Decision } from '~~/core/sheet'

/** What becomes of one part, or of several in one bag. Taking what is proposed is one touch; anything else asks why. */
const props = defineProps<{ parts: string[]; label: string }>()
const emit = defineEmits<{ refused: [why: string | null] }>()
const job = useJob()
/** What is chosen against what is proposed, while its reason is still to be given. */
const otherwise = defineModel<Decision | null>('otherwise', { default: null })
const reason = ref('')
const asked = useTemplateRef<HTMLElement>('asked')
const choice = computed(() => {
  const all = new Set(props.parts.map(ref => partState(job.state, ref).decision?.choice))
  return all.size === 1 ? [...all][0] : undefined
})
const proposal = computed(() => proposalsOf(job.plan, job.state, job.view.results).get(props.parts[0]!))

/** What was found on one of them that is for a lead to say of. */
const left = computed(() => props.parts.map(ref => leftToLead(job.plan, job.state, ref)).find(found => found !== null))
const wantsReason = (to: Decision) =>
  (to === 'reuse' && left.value !== undefined) || (proposal.value !== undefined && proposal.value.choice !== to)

function decide(to: Decision) {
  const isAgainst = wantsReason(to)
  if (isAgainst && !reason.value.trim()) {
    otherwise.value = to
    void nextTick(() => asked.value?.scrollIntoView({ block: 'nearest' }))
    return
  }
  const why = isAgainst ? reason.value.trim() : undefined
  const refused = job.act({ kind: 'part.decided', payload: decidedWith(props.parts, to, proposal.value, why) })
  emit('refused', refused)
  if (!refused) leave()
}
function leave() {
  otherwise.value = null
  reason.value = ''
}
</script>

<template>
  <div class="pick">
    <el-radio-group :model-value="otherwise ?? choice ?? ''" :aria-label="label" @change="to => decide(to as Decision)">
      <el-radio-button
        v-for="each in DECISIONS"
        :key="each"
        :value="each"
        :class="{ hint: !choice && !otherwise && proposal?.choice === each }"
        >{{ each }}</el-radio-button
      >
    </el-radio-group>
    <form v-if="otherwise" ref="asked" class="why-not" @submit.prevent="decide(otherwise)">
      <label
        >{{
          proposal && proposal.choice !== otherwise
            ? `Why ${otherwise}, where ${proposal.choice} is proposed?`
            : `${left}. A lead signs for it: why may it go back?`
        }}
        <el-input v-model="reason" maxlength="400" autofocus />
      </label>
      <el-button type="primary" native-type="submit" :disabled="!reason.trim()">Decide it so</el-button>
      <el-button @click="leave">Leave it</el-button>
    </form>
  </div>
</template>

<style scoped>
.pick,
.why-not {
  display: flex;
  gap: 6px 8px;
  align-items: end;
  flex-wrap: wrap;
}
.why-not {
  flex-basis: 100%;
}
.why-not label {
  flex: 1 1 220px;
}
.pick :deep(.el-radio-button__inner) {
  padding: 4px 9px;
}
</style>
