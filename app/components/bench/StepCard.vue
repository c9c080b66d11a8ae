<script setup lang="ts">
import { cautionKey, confirmationOf, holdStands, keptBy, progressOf, stepsLeft, STATION_WORDS } from '~~/core/job'
import type { Step } from '~~/core/sheet'

/** The one thing to do now, with what stands before it. */
const job = useJob()
const bench = useBench()
const session = useSessionStore()
const may = useMay()
const answers = useAnswers()
const why = ref<string | null>(null)
const stuck = ref(false)
const leaving = ref(false)
const reason = ref('')
const method = ref<string | undefined>()
const keeps = ref({ bag: '', tag: '' })
const step = computed(() => bench.step)
const number = computed(() =>
  step.value
    ? `${STATION_WORDS[step.value.station]} ${job.plan.stepNumber.get(step.value.id)} of ${job.plan.sheet.steps.filter(one => one.station === step.value!.station).length}`
    : '',
)
const left = computed(() =>
  stepsLeft(job.plan, job.state)
    .filter(
      one =>
        one.id !== step.value?.id && (one.needs ?? []).every(id => job.state.steps.has(id) || id === step.value?.id),
    )
    .slice(0, 2),
)
const cautions = computed(() =>
  (step.value?.cautions ?? []).map((caution, i) => ({
    ...caution,
    i,
    read: job.state.cautions.has(cautionKey(step.value!.id, i)),
  })),
)
const before = computed(() => bench.hindered.filter(one => one.settle.to !== 'caution'))
const kept = (way: 'bag' | 'tag') => (step.value ? keptBy(job.plan, step.value, way) : [])
const done = computed(() => (bench.isDone ? job.state.steps.get(step.value!.id)! : null))
const hold = computed(() => (step.value?.hold ? holdStands(job.plan, job.state, step.value) : null))
/** A press meant for what stood here before does nothing: another step, or another caution. */
const resting = useRest(() => [step.value?.id, bench.isDone, ...cautions.value.map(one => one.read)].join())

const VERBS: [(one: Step) => unknown, string][] = [
  [one => one.closes, 'Close the case'],
  [one => one.removes?.length, 'Lift off'],
  [one => one.fits?.length, 'Fit back'],
  [one => one.joint?.act === 'pull', 'Joint is pulled'],
  [() => true, 'Done'],
]
const verb = computed(() => VERBS.find(([is]) => is(step.value!))![1])
/** The joint names itself among the hindrances until its last bolt is in. */
const ready = computed(
  () =>
    step.value &&
    !bench.isDone &&
    !bench.hindered.length &&
    may('step.done') &&
    (!step.value.joint ||
      step.value.joint.act === 'slacken' ||
      progressOf(job.plan.joints.get(step.value.joint.id)!, job.state).verdict === 'Holds') &&
    answers.complete(step.value),
)

watch(
  () => step.value?.id,
  () => {
    why.value = null
    stuck.value = false
    leaving.value = false
    reason.value = ''
    method.value = undefined
    const used = [...job.state.parts.values()].flatMap(part => part.kept?.label ?? [])
    const free = (letter: string) =>
      `${letter}${1 + Math.max(0, ...used.filter(label => label.startsWith(letter)).map(label => Number(label.slice(1)) || 0))}`
    keeps.value = { bag: free('B'), tag: free('T') }
  },
  { immediate: true },
)

function readCaution(caution: number) {
  if (!resting.value) why.value = job.act({ kind: 'caution.read', payload: { step: step.value!.id, caution } })
}
function confirm() {
  const one = step.value
  if (!one || bench.isDone || resting.value) return
  const unread = cautions.value.find(caution => !caution.read)
  if (unread) {
    why.value = `Read first: ${unread.word}.`
    return
  }
  if (!answers.complete(one)) {
    why.value = 'Answer how each part stands first; the questions are on the pad.'
    return bench.look({ to: 'fit', step: one.id })
  }
  why.value = job.act(
    ...confirmationOf(job.plan, job.state, one, { method: method.value, ...keeps.value, answers: answers.of }),
  )
  if (why.value) return
  answers.forget(one)
  bench.choose(null)
}
function sign() {
  if (!may('hold.signed')) session.changing = true
  else why.value = job.act({ kind: 'hold.signed', payload: { step: step.value!.id } })
}
function leaveOut() {
  why.value = reason.value.trim()
    ? job.act({ kind: 'step.skipped', payload: { step: step.value!.id, why: reason.value.trim() } })
    : 'Say why it is left out.'
  if (!why.value) bench.choose(null)
}
const maySkip = computed(() => step.value?.skip && (step.value.skip === 'fitter' || session.isLead))
defineExpose({ confirm })
</script>

<template>
  <section class="card step" aria-label="The step in view">
    <template v-if="step">
      <div class="body" tabindex="0" role="group" :aria-label="step.title">
        <p class="no figures soft">{{ number }}</p>
        <h2 data-test="step" :data-step="step.id">{{ step.title }}</h2>
        <p v-if="step.text">{{ step.text }}</p>
        <p v-if="done" class="was">
          {{ done.skipped ? `Left out: ${done.skipped}` : 'Done' }} by {{ job.names.get(done.by) }},
          {{ siteTime(done.at) }}
          <button class="btn" @click="bench.choose(null)">To the next <kbd>n</kbd></button>
        </p>
        <template v-else>
          <div v-for="caution in cautions" :key="caution.i" class="caution" :class="{ read: caution.read }">
            <p>
              <strong>{{ caution.word }}</strong> {{ caution.text }}
            </p>
            <button
              v-if="!caution.read"
              class="btn"
              :class="{ now: caution === cautions.find(one => !one.read) }"
              :disabled="resting"
              @click="readCaution(caution.i)"
            >
              Read
            </button>
            <span v-else class="soft">read</span>
          </div>
          <p v-if="step.tools?.length" class="soft">Tools: {{ step.tools.join(', ') }}</p>
          <p v-for="one in step.lubricants" :key="one.on" class="lube">
            <strong>{{ one.on }}</strong>: {{ one.medium }}
          </p>
          <ul v-if="before.length" class="before" aria-label="Before this step">
            <li v-for="one in before.slice(0, 6)" :key="one.text">
              <VerdictMark verdict="Open" :word="false" />
              <span>{{ one.text }}</span>
              <button class="btn" @click="bench.settle(one.settle)">Go</button>
            </li>
            <li v-if="before.length > 6">
              <span class="soft">and {{ before.length - 6 }} more</span>
              <button class="btn" @click="bench.look({ to: 'gate' })">Show all</button>
            </li>
          </ul>
          <div v-if="stuck" class="ladder">
            <p class="label">It is stuck: gentlest first. Which one freed it?</p>
            <button
              v-for="one in step.ladder"
              :key="one"
              class="btn"
              :class="{ on: method === one }"
              :aria-pressed="method === one"
              @click="method = one"
            >
              {{ one }}
            </button>
          </div>
        </template>
      </div>
      <template v-if="!done">
        <div v-if="kept('bag').length || kept('tag').length" class="keep">
          <label v-if="kept('bag').length"
            >Bag<input v-model="keeps.bag" class="field figures" maxlength="24" />
          </label>
          <label v-if="kept('tag').length"
            >Tag<input v-model="keeps.tag" class="field figures" maxlength="24" />
          </label>
        </div>
        <p v-if="why" class="why" role="alert">{{ why }}</p>
        <div class="acts">
          <button v-if="hold && hold !== 'signed'" class="btn" data-test="hold" :disabled="resting" @click="sign">
            {{
              may('hold.signed')
                ? hold === 'lapsed'
                  ? 'Sign the hold point again'
                  : 'Sign the hold point'
                : 'Hold point: a lead signs'
            }}
          </button>
          <button class="btn now go" data-test="confirm" :aria-disabled="!ready" :disabled="resting" @click="confirm">
            {{ verb }} <kbd>⏎</kbd>
          </button>
          <button v-if="step.ladder" class="btn" :aria-expanded="stuck" @click="stuck = !stuck">It is stuck</button>
          <button v-if="maySkip && !leaving" class="btn" data-test="skip" @click="leaving = true">Leave it out</button>
        </div>
        <form v-if="leaving" class="leave" @submit.prevent="leaveOut">
          <label class="label" for="leave">Why is it left out? It stays on the record.</label>
          <input id="leave" v-model="reason" class="field" maxlength="400" />
          <div class="acts">
            <button class="btn danger" :disabled="resting">Leave it out</button>
            <button class="btn" type="button" @click="leaving = false">Cancel</button>
          </div>
        </form>
      </template>
      <ul class="next" aria-label="Then">
        <li v-for="one in left" :key="one.id">
          <button @click="bench.choose(one.id)">
            <span class="figures">{{ job.plan.stepNumber.get(one.id) }}</span>{{ one.title }}
          </button>
        </li>
      </ul>
    </template>
    <template v-else>
      <p class="no figures soft">All stations</p>
      <h2>Every step is done</h2>
      <p>{{ job.isClosed ? 'The record is complete.' : 'A lead signs at the gate, and the record is complete.' }}</p>
      <div class="acts">
        <button class="btn now go" @click="bench.look({ to: 'gate' })">To the gate</button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.step {
  padding: 10px 16px 4px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.body {
  flex: 1 1 auto;
  min-height: 120px;
  overflow-y: auto;
  display: grid;
  gap: 7px;
  align-content: start;
}
h2 {
  font-size: 28px;
}
.no {
  font-size: 15px;
}
.caution {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  border-left: 5px solid var(--thin);
  background: var(--brass-wash);
  padding: 6px 10px;
}
.caution strong {
  color: var(--thin);
  font: 600 18px var(--heads);
}
.caution.read {
  background: transparent;
}
.before li {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
.before span {
  flex: 1;
}
.before .verdict {
  flex: none;
}
.before .btn {
  min-height: 44px;
}
.keep {
  display: flex;
  gap: 12px;
}
.keep label {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 500;
}
.keep .field {
  width: 92px;
  font-size: 18px;
}
.ladder {
  display: grid;
  gap: 6px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding-top: 2px;
}
.go {
  flex: 1 1 180px;
  min-height: 56px;
}
.leave {
  display: grid;
  gap: 6px;
}
.was {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.next li {
  border-top: 1px dashed var(--line);
}
.next button {
  width: 100%;
  min-height: 44px;
  border: 0;
  background: none;
  text-align: left;
  display: flex;
  gap: 12px;
  align-items: center;
  color: var(--soft);
  cursor: pointer;
  padding: 0;
}
</style>
