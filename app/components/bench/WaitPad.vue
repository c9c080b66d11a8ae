<script setup lang="ts">
import { endsOf, lengthOf, lengthText, readingKey, spanText, stillText, waitedMs } from '~~/core/job'

/** What waits at a step: what it begins on, how long still, and the way to cut it short. */
const props = defineProps<{ step: string }>()
const job = useJob()
const bench = useBench()
const session = useSessionStore()
const may = useMay()
const waits = useWaitsStore()
const why = ref<string | null>(null)
const step = computed(() => job.plan.steps.get(props.step)!)
const wait = computed(() => step.value.wait!)
const waiting = computed(() => job.state.waits.get(props.step))
const isDone = computed(() => job.state.steps.has(props.step) || Boolean(waiting.value?.ended))
const isOnce = (check: string) => wait.value.once?.includes(check) ?? false
const read = computed(() =>
  (job.plan.checksAt.get(props.step) ?? []).map(({ check, moment }) =>
    job.view.results.get(readingKey(check.id, moment))!,
  ),
)
/** What is read before it begins. */
const once = computed(() => read.value.filter(one => isOnce(one.check.id)))
/** What is still to be read at its end. */
const atEnd = computed(() => read.value.filter(one => !isOnce(one.check.id) && !one.complete))
const stands = computed(() => {
  const one = waiting.value
  if (!one) return null
  const { least, most } = endsOf(wait.value, one.begun.since)
  const gone = waitedMs(one, waits.now)
  const whole = least ? Date.parse(least) - Date.parse(one.begun.since) : gone
  return {
    gone: spanText(gone),
    share: Math.min(100, whole ? (100 * gone) / whole : 100),
    length: lengthOf(wait.value, one, waits.now),
    still: least && least > waits.now ? stillText(waits.now, least) : null,
    least,
    most,
  }
})
const resting = useRest(() => [props.step, Boolean(waiting.value)].join())
const { led } = useSign()

function begin() {
  why.value = job.act({ kind: 'wait.begun', payload: { step: props.step } })
}
const cutting = ref(false)
const reason = ref('')
async function cut() {
  const written = reason.value.trim()
  if (!written) {
    why.value = 'It is cut short in writing: say why.'
    return
  }
  const act = { kind: 'wait.ended' as const, payload: { step: props.step, why: written } }
  const answer = await led(`Cut short: ${wait.value.what}`, !session.isLead, act)
  why.value = answer.why
  if (answer.isSigned) cutting.value = false
}
</script>

<template>
  <PadFrame :why="why" data-test="wait-pad">
    <template #title>
      <span class="what">{{ wait.what }}</span>
    </template>
    <p class="wanted">
      <b class="figures">{{ lengthText(wait) }}</b>
    </p>
    <div v-if="once.length && !isDone" class="once" role="list" aria-label="Read before it begins">
      <div v-for="one in once" :key="one.check.id" role="listitem">
        <VerdictMark :verdict="one.complete ? one.judgement.verdict : 'Open'" :word="false" />
        <span>{{ one.check.title }}</span>
        <el-button size="small" @click="bench.look({ to: 'reading', check: one.check.id, moment: one.moment })">
          {{ one.complete ? 'Look' : 'Read' }}
        </el-button>
      </div>
    </div>
    <template v-if="stands && waiting">
      <el-progress
        :percentage="isDone ? 100 : stands.share"
        :show-text="false"
        :stroke-width="16"
        :status="stands.length === 'long' ? 'exception' : stands.length === 'right' ? 'success' : undefined"
      />
      <p class="now" aria-live="polite">
        <b class="figures">{{ stands.gone }}</b>
        <template v-if="waiting.ended"
          >, until {{ siteTime(waiting.ended.until)
          }}<template v-if="waiting.ended.why">. Cut short: {{ waiting.ended.why }}</template></template
        >
        <template v-else-if="stands.still">: {{ stands.still }} still</template>
        <template v-else-if="stands.length === 'long'">: too long</template>
        <template v-else>: over</template>
      </p>
      <p class="soft">
        Begun {{ siteTime(waiting.begun.since) }} by {{ job.names.get(waiting.begun.by) }}.
        <template v-if="!waiting.ended && stands.least"> Over {{ siteTime(stands.least) }}.</template>
        <template v-if="!waiting.ended && stands.most"> Out by {{ siteTime(stands.most) }}.</template>
      </p>
      <div v-if="!isDone && !stands.still" class="row">
        <el-button
          v-for="(one, i) in atEnd"
          :key="one.check.id"
          :type="i ? undefined : 'primary'"
          data-test="read-end"
          @click="bench.look({ to: 'reading', check: one.check.id, moment: one.moment })"
        >
          Read: {{ one.check.title }}
        </el-button>
      </div>
      <p v-if="!isDone && stands.still" class="soft">Other steps go on meanwhile; it counts with this page shut.</p>
      <template v-if="!isDone && stands.still && session.mayWrite">
        <el-button v-if="!cutting" data-test="cut" @click="cutting = true">Cut it short</el-button>
        <form v-else class="cut" @submit.prevent="cut">
          <label class="label" for="cut">Why is it cut short? A lead signs, and it stays on the record.</label>
          <el-input id="cut" v-model="reason" maxlength="400" />
          <div class="row">
            <el-button type="danger" native-type="submit" :disabled="resting">
              Cut it short{{ session.isLead ? '' : ': a lead signs' }}
            </el-button>
            <el-button @click="cutting = false">Cancel</el-button>
          </div>
        </form>
      </template>
    </template>
    <el-button
      v-else-if="!isDone"
      type="primary"
      class="begin"
      data-test="begin"
      :disabled="resting || !may('wait.begun')"
      @click="begin"
    >
      It begins now
    </el-button>
  </PadFrame>
</template>

<style scoped>
.what {
  display: inline-block;
}
.what::first-letter {
  text-transform: uppercase;
}
.wanted b {
  font-size: 26px;
}
.now {
  font-size: 20px;
}
.now b {
  font-size: 30px;
}
.once {
  display: grid;
  gap: 4px;
}
.once > div {
  display: flex;
  gap: 10px;
  align-items: center;
}
.once span {
  flex: 1;
}
.once .verdict {
  flex: none;
}
.begin {
  min-height: 56px;
  justify-self: start;
  min-width: 240px;
}
.cut {
  display: grid;
  gap: 6px;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
</style>
