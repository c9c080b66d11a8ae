<script setup lang="ts">
import { prospectOf } from '~~/core/job'
import type { Step } from '~~/core/sheet'

/** A step taken up again: what is wrong with it, what comes off to get at it, and what is done and read anew. */
const props = defineProps<{ step: string }>()
const job = useJob()
const bench = useBench()
const session = useSessionStore()
const title = computed(() => job.plan.steps.get(props.step)!.title)
const WORDS = { put: { off: 'Comes off', on: 'Stays on' }, drawn: { off: 'Slackened', on: 'Stays tight' } }
const isPut = ({ fits, joint }: Step) => Boolean(fits?.length) || !joint
/** What was said against what is proposed, by step. */
const said = ref<Record<string, 'off' | 'on'>>({})
const harmed = ref<string[]>([])
const first = computed(() => prospectOf(job.plan, job.state, props.step))
const ways = computed(() =>
  first.value.later.map(one => ({ ...one, way: said.value[one.step.id] ?? (one.over ? 'off' : 'on') })),
)
const given = computed(() => ({
  off: ways.value.flatMap(one => (one.way === 'off' ? one.step.id : [])),
  on: ways.value.flatMap(one => (one.way === 'on' ? one.step.id : [])),
}))
const prospect = computed(() => prospectOf(job.plan, job.state, props.step, given.value))
const used = computed(() => prospect.value.parts.filter(one => !one.isAlwaysNew))
const renewed = computed(() => prospect.value.parts.filter(one => one.isAlwaysNew))
/** What is known to be wrong there is said already. */
const known = computed(() => {
  const steps = [props.step, ...given.value.off]
  return job.view.owed.filter(one => one.wrong && steps.includes(one.wrong.at ?? '')).map(one => one.what)
})
const reason = ref(known.value.join('; '))
const why = ref<string | null>(null)
const isLeads = computed(() => prospect.value.behind !== null && !session.isLead)
const resting = useRest(() => props.step)
const { led } = useSign()
async function reopen() {
  const parts = used.value.map(one => one.ref)
  const payload = {
    step: props.step,
    why: reason.value.trim(),
    ...given.value,
    harmed: harmed.value.filter(ref => parts.includes(ref)),
  }
  const act = { kind: 'step.reopened' as const, payload }
  const { isSigned, why: hindered } = await led(`Take up again: ${title.value}`, isLeads.value, act)
  why.value = hindered
  if (isSigned) bench.choose(props.step)
}
</script>

<template>
  <PadFrame :title="`Take up again: ${title}`" :why="why">
    <form class="reopen" @submit.prevent="reopen">
      <div class="scroll" tabindex="0" role="group" aria-label="What comes off">
        <label class="label" for="reopen-why">What is wrong with it?</label>
        <el-input id="reopen-why" v-model="reason" type="textarea" :autosize="{ minRows: 2 }" maxlength="400" />
        <template v-if="ways.length">
          <p class="label">To get at it, the last one first:</p>
          <ul>
            <li v-for="one in ways" :key="one.step.id">
              <span class="what">{{ one.step.title }}</span>
              <el-radio-group
                :model-value="one.way"
                :aria-label="one.step.title"
                @change="said[one.step.id] = $event as 'off' | 'on'"
              >
                <el-radio-button v-for="word in ['off', 'on'] as const" :key="word" :value="word">{{
                  WORDS[isPut(one.step) ? 'put' : 'drawn'][word]
                }}</el-radio-button>
              </el-radio-group>
            </li>
          </ul>
        </template>
        <template v-if="used.length">
          <p class="label">Harmed as it came off? It is decided again.</p>
          <el-checkbox-group v-model="harmed" class="harmed" aria-label="Harmed as it came off">
            <el-checkbox-button v-for="one in used" :key="one.ref" :value="one.ref">{{ one.name }}</el-checkbox-button>
          </el-checkbox-group>
        </template>
        <p v-if="renewed.length" class="soft">New ones are wanted of: {{ renewed.map(one => one.name).join('; ') }}.</p>
        <p v-if="prospect.again.length" class="soft">Done again besides: {{ prospect.again.join('; ') }}.</p>
        <p v-if="prospect.behind" class="soft">It lies behind “{{ prospect.behind }}”: a lead takes it up again.</p>
      </div>
      <div class="pad-acts">
        <el-button type="primary" native-type="submit" data-test="reopen" :disabled="resting">
          {{ isLeads ? 'Take it up again: a lead signs' : 'Take it up again' }}
        </el-button>
        <el-button @click="bench.look(null)">Leave it as it is</el-button>
      </div>
    </form>
  </PadFrame>
</template>

<style scoped>
.reopen {
  display: flex;
  flex-direction: column;
  gap: 8px;
  flex: 1;
  min-height: 0;
}
.scroll {
  flex: 1 1 0;
  min-height: 250px;
  overflow-y: auto;
  display: grid;
  gap: 8px;
  align-content: start;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 4px 0;
}
.what {
  flex: 1;
}
.harmed {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
