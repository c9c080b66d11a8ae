<script setup lang="ts">
import { childStands } from '~~/core/job'
import type { OpenedJob } from '~~/shared/answers'

/** A sub-assembly that may go to a bench of its own: its job, or that it goes back without one. */
const props = defineProps<{ part: string }>()
const job = useJob()
const session = useSessionStore()
const may = useMay()
const why = ref<string | null>(null)
const reason = ref('')
const saying = ref(false)
const opening = ref(false)
const name = computed(() => job.plan.parts.get(props.part)!.name)
const stands = computed(() => childStands(job.plan, job.state, props.part))
const said = computed(() => job.state.children.get(props.part))
const child = computed(() => said.value?.child)
const { led } = useSign()
/** Off, and on no bench: it may go to one, once more where that came out otherwise than wanted. */
const canOpen = computed(() => stands.value !== null && stands.value !== 'away')

async function open() {
  why.value = null
  if (job.waiting.length) {
    why.value = 'What was done here is not all sent yet. Open its job once it is: the line at the bottom says so.'
    return
  }
  opening.value = true
  try {
    const path = `/api/jobs/${job.id}/children`
    const { id } = await $fetch<OpenedJob>(path, { method: 'POST', body: { part: props.part } })
    await navigateTo(`/bench/${id}`)
  } catch (error) {
    why.value = sayWhy(error)
  } finally {
    opening.value = false
  }
}

async function without() {
  const written = reason.value.trim()
  if (!written) {
    why.value = 'Say why it needs no job of its own: it stays on the record.'
    return
  }
  const act = { kind: 'child.none' as const, payload: { part: props.part, why: written } }
  if (stands.value === 'cancelled') {
    const answer = await led(`${name.value} goes back without a job of its own`, !session.isLead, act)
    why.value = answer.why
    if (answer.isSigned) saying.value = false
    return
  }
  why.value = job.act(act)
  if (!why.value) saying.value = false
}
</script>

<template>
  <PadFrame :why="why" data-test="child-pad">
    <template #title>{{ name }}: its own bench</template>
    <template v-if="child">
      <p class="job">
        <NuxtLink class="btn" :class="{ now: stands === 'away' }" :to="`/bench/${child.opened.job}`"
          >{{ stands === 'away' ? 'Go to job' : 'Look at job' }} {{ child.opened.number }}</NuxtLink
        >
        <span class="figures">{{ child.opened.equipment }}</span>
      </p>
      <p v-if="child.returned">
        Back {{ siteTime(child.returned.at) }}: its job was signed by {{ job.names.get(child.returned.by) }}. Cured:
        {{ child.returned.cured }}.
      </p>
      <ul v-if="child.returned?.left.length" class="left" aria-label="As it was built up and proved">
        <li v-for="one in child.returned.left" :key="one.what">
          <VerdictMark :verdict="one.verdict" :word="false" />
          <span>{{ one.what }}</span>
          <b class="figures">{{ one.value }}</b>
        </li>
      </ul>
      <p v-if="child.cancelled">
        Its job was cancelled {{ siteTime(child.cancelled.at) }} by {{ job.names.get(child.cancelled.by) }}:
        {{ child.cancelled.why }}
      </p>
      <p v-else-if="!child.returned" class="soft">
        Opened {{ siteTime(child.opened.at) }} by {{ job.names.get(child.opened.by) }}. It goes in here once that job is
        signed; other steps go on meanwhile.
      </p>
    </template>
    <p v-if="said?.none">Goes back without a job of its own: {{ said.none.why }}</p>
    <p v-if="stands === 'unsaid'" class="soft">
      It has a sheet of its own. In a job by that it is taken apart, measured and built up; this job waits for it where
      it is fitted.
    </p>
    <p v-if="stands === 'cancelled'">A lead says what becomes of it now: another job, or back without one.</p>
    <template v-if="canOpen && session.mayWrite">
      <div class="row">
        <el-button
          :type="stands === 'without' || stands === 'back' ? undefined : 'primary'"
          data-test="open-child"
          :loading="opening"
          @click="open"
        >
          Open {{ child ? 'another job' : 'its job' }}
        </el-button>
        <el-button
          v-if="!saying && stands !== 'without' && stands !== 'back'"
          data-test="no-child"
          :disabled="!may('child.none')"
          @click="saying = true"
        >
          Back without one
        </el-button>
      </div>
      <form v-if="saying" class="none" @submit.prevent="without">
        <label class="label" for="no-child">Why does it need none?</label>
        <el-input id="no-child" v-model="reason" maxlength="400" placeholder="Sound as it came out…" />
        <div class="row">
          <el-button type="primary" native-type="submit">
            It goes back without one{{ stands === 'cancelled' && !session.isLead ? ': a lead signs' : '' }}
          </el-button>
          <el-button @click="saying = false">Cancel</el-button>
        </div>
      </form>
    </template>
  </PadFrame>
</template>

<style scoped>
.job {
  display: flex;
  gap: 12px;
  align-items: center;
}
.job .figures {
  font-size: 20px;
}
.left li {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 8px;
  padding: 6px 0;
}
.none {
  display: grid;
  gap: 6px;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
</style>
