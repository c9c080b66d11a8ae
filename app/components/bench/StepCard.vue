<script setup lang="ts">
import {
  basisOf,
  canBeReopened,
  causeName,
  confirmationOf,
  holdStands,
  signedFor,
  signsAt,
  isCautionRead,
  isOnTrial,
  lengthOf,
  lostWords,
  neverConceded,
  roundOf,
  goneBy,
  signerWords,
  stepsLeft,
  unmetNeeds,
  waitStands,
  wipedWords,
  STATION_WORDS,
  type Act,
  type Settle,
} from '~~/core/job'
import type { Doer, Step } from '~~/core/sheet'
import type { SignedInPerson } from '~~/shared/answers'

/** The one thing to do now, with what stands before it. */
const job = useJob()
const bench = useBench()
const session = useSessionStore()
const may = useMay()
const { system } = useDisplay()
const why = ref<string | null>(null)
const leaving = ref(false)
const reason = ref('')
const step = computed(() => bench.step)
const number = computed(() =>
  step.value
    ? `${STATION_WORDS[step.value.station]}, step ${job.plan.stepNumber.get(step.value.id)} of ${job.plan.sheet.steps.length}`
    : '',
)
/** Whether the machine comes to lie otherwise than at the step before. */
const isTurned = computed(() => {
  const nth = step.value ? job.plan.stepNumber.get(step.value.id)! : 0
  return step.value?.lies !== job.plan.sheet.steps[nth - 2]?.lies
})
/** The loop this step is gone through in, or waits for. */
const loop = computed(() => {
  const one = step.value
  return one && (job.plan.loopOf.get(one.id) ?? job.plan.loops.get(one.after?.[0] ?? ''))
})
const left = computed(() =>
  stepsLeft(job.plan, job.state)
    .filter(
      one =>
        one.id !== step.value?.id && unmetNeeds(job.plan, job.state, one).every(need => need.id === step.value?.id),
    )
    .slice(0, 2),
)
const cautions = computed(() =>
  (step.value?.cautions ?? []).map((caution, i) => ({
    ...caution,
    i,
    read: isCautionRead(job.state, step.value!.id, i, bench.reader),
  })),
)
const { sign: ask, led } = useSign()
const { as, here, other } = useAskedFor()
/** What a lead may let pass, in writing. */
const mayPass = (key: string) => {
  const debt = job.view.owed.find(one => one.key === key)
  return debt !== undefined && session.mayWrite && !neverConceded(job.plan, debt.id)
}
const before = computed(() => bench.hindered.filter(one => one.settle.to !== 'caution'))
/** What was worked out before and is gone by here. */
const shown = computed(() =>
  goneBy(job.view.results, step.value ?? {}).map(one => ({ ...one, ...showFigureOf(one, system.value) })),
)
/** What was reported and is looked into here. */
const reported = computed(() => (step.value ? signsAt(job.plan, job.state, step.value.id) : []))
/** What making it safe takes with it. */
const lost = computed(() => lostWords(bench.asks))
/** Marks that it washes off. */
const wiped = computed(() => step.value && wipedWords(job.plan, job.state, step.value))
const done = computed(() => (bench.isDone ? job.state.steps.get(step.value!.id)! : null))
/** Where a step that is done and went wrong is begun again; null where it is taken back in the ledger, if at all. */
const again = computed((): Settle | null => {
  const one = step.value
  if (!one || !done.value || done.value.skipped || job.isClosed || !canBeReopened(job.plan, one)) return null
  const round = job.plan.loopOf.get(one.id)
  return round && !isOnTrial(job.state, one) ? { to: 'round', loop: round.id } : { to: 'reopen', step: one.id }
})
const hold = computed(() => (step.value?.hold ? holdStands(job.plan, job.state, step.value) : null))
/** A press meant for what stood here before does nothing: another step, or another caution. */
const resting = useRest(() => [step.value?.id, bench.isDone, ...cautions.value.map(one => one.read)].join())

const VERBS: [(one: Step) => unknown, string][] = [
  [one => waitStands(job.state, one) === 'begun', 'It is over'],
  [one => one.removes?.length, 'Off'],
  [one => one.trial?.on?.length, 'On for the trial'],
  [one => one.trial?.off?.length, 'Off again'],
  [one => one.fits?.length, 'On'],
  [one => one.joint?.act === 'nip', 'Joint is nipped'],
  [one => one.joint?.act === 'pull', 'Joint is drawn up'],
  [() => true, 'Done'],
]
const FASTENS = ['fastener', 'screw', 'nut', 'snap ring']
/** What shuts something says what goes on or in with it: neither a gasket nor, where there is more, a screw, nor what is too small to be drawn; of screws the first. */
const closing = ({ closes, fits = [] }: Step) => {
  const places = (closes ? fits : [])
    .map(ref => job.plan.parts.get(ref)!)
    .filter(({ part }) => part.renewal !== 'always')
  const more = places.filter(({ part }) => !FASTENS.includes(part.kind))
  const one = (more.findLast(({ geometry }) => geometry) ?? more.at(-1) ?? places[0])?.part
  return one && `${one.name} ${[...FASTENS, 'shaft', 'rod'].includes(one.kind) ? 'in' : 'on'}`
}
const verb = computed(() => closing(step.value!) ?? VERBS.find(([is]) => is(step.value!))![1])
const waits = useWaitsStore()
/** What waits is not over yet. */
const tooEarly = computed(() => {
  const waiting = step.value && job.state.waits.get(step.value.id)
  return step.value?.wait && waiting && !waiting.ended && lengthOf(step.value.wait, waiting, waits.now) === 'short'
})
const ready = computed(
  () =>
    step.value &&
    !bench.isDone &&
    !bench.hindered.length &&
    !bench.lacking.length &&
    !tooEarly.value &&
    may('step.done'),
)

watch(
  () => step.value?.id,
  () => {
    why.value = null
    leaving.value = false
    reason.value = ''
  },
)

function readCaution(caution: number) {
  if (!resting.value) why.value = job.act({ kind: 'caution.read', payload: { step: step.value!.id, caution } })
}
async function confirm() {
  const one = step.value
  if (!one || bench.isDone || resting.value) return
  const unread = cautions.value.find(caution => !caution.read)
  if (unread) {
    why.value = `Read first: ${unread.word}.`
    return
  }
  // What stands before the step is said before what is asked with it.
  if (!bench.hindered.length && bench.lacking.length) {
    why.value = bench.lacking[0]!
    return bench.look({ to: 'say' })
  }
  const { doer } = one
  const me = doer ? here(doer) : null
  const acts = confirmationOf(job.plan, job.state, one, me?.on ? { ...bench.said, on: me.on } : bench.said)
  const isDone = doer && me?.may === false ? await confirmBy(doer, one, acts) : did(acts)
  if (!isDone) return
  bench.forget(one.id)
  bench.choose(null)
}
/** Done by whoever is here. */
function did(acts: Act[]): boolean {
  why.value = acts.length ? job.act(...acts) : null
  return why.value === null
}
/** Done by somebody else, who gives their PIN; under their eyes only that it is done is theirs. */
async function confirmBy(doer: Doer, { id, title }: Step, acts: Act[]): Promise<boolean> {
  const own = doer.supervised ? acts.slice(0, -1) : []
  if (!did(own)) return false
  const theirs = (who: SignedInPerson) =>
    acts.slice(own.length).map((act): Act => {
      const { on } = as(doer, who)
      return act.kind === 'step.done' && on ? { ...act, payload: { ...act.payload, on } } : act
    })
  const answer = await ask(title, theirs, who => as(doer, who).may)
  if (step.value?.id === id) why.value = answer.why
  return answer.isSigned
}
const otherSigner = computed(() => other(step.value?.hold))
const otherDoer = computed(() => other(step.value?.doer))
async function sign() {
  const { id, hold, title } = step.value!
  const basis = basisOf(job.plan, job.state, { kind: 'hold', step: id })
  const answer = await ask(
    `Hold point: ${title}`,
    who => {
      const { on } = as(hold!, who)
      return [{ kind: 'hold.signed', payload: { step: id, basis, ...(on ? { on } : {}) } }]
    },
    who => as(hold!, who).may,
    step.value!.station === 'decide' ? signedFor(job.plan, job.state) : [],
  )
  if (step.value?.id === id) why.value = answer.why
}
const isLeadsToSkip = computed(() => step.value?.skip === 'lead' && !session.isLead)
async function leaveOut() {
  const { id, title } = step.value!
  const act = { kind: 'step.skipped' as const, payload: { step: id, why: reason.value.trim() } }
  const answer = reason.value.trim()
    ? await led(`Leave out: ${title}`, isLeadsToSkip.value, act)
    : { isSigned: false, why: 'Say why it is left out.' }
  if (step.value?.id === id) why.value = answer.why
  if (answer.isSigned) bench.choose(null)
}
defineExpose({ confirm })
</script>

<template>
  <section class="card step" aria-label="The step in view">
    <template v-if="step">
      <div class="body" tabindex="0" role="group" :aria-label="step.title">
        <div class="no">
          <el-button
            text
            class="figures steps"
            data-test="steps"
            @click="bench.look({ to: 'steps', station: step.station })"
          >
            {{ number }} ›
          </el-button>
          <el-button v-if="loop" size="small" data-test="rounds" @click="bench.look({ to: 'round', loop: loop.id })">
            Round {{ roundOf(job.state, loop.id) }}
          </el-button>
        </div>
        <h2 data-test="step" :data-step="step.id">{{ step.title }}</h2>
        <p v-if="step.text">{{ step.text }}</p>
        <p v-for="one in shown" :key="one.what" class="goes-by" data-test="goes-by">
          {{ one.what }}
          <b class="figures">{{ one.figure }} {{ one.unit }}</b>
        </p>
        <p v-if="step.doer && !done" class="doer" data-test="doer">
          Done by {{ signerWords(step.doer)
          }}{{ step.doer.supervised ? ', or under their eyes: they confirm it' : ', all of it' }}.
        </p>
        <p v-if="!done && waitStands(job.state, step) === 'begun'" class="was">
          {{ tooEarly ? 'It waits' : 'It has waited long enough' }}: {{ step.wait!.what }}
          <el-button size="small" data-test="wait" @click="bench.look({ to: 'wait', step: step.id })">
            How long still
          </el-button>
        </p>
        <p v-if="reported.length && !done" class="doer" data-test="reported">
          Reported: {{ reported.map(one => one.say).join(', ') }}. It may show here.
          <el-button size="small" @click="bench.look({ to: 'signs' })">What is known</el-button>
        </p>
        <p v-if="step.saysCause && job.state.cause" class="was" data-test="cause">
          It was: {{ inSentence(causeName(job.plan, job.state.cause.cause)) }}.
          <NuxtLink class="btn" :to="`/bench/${job.id}/failure`">Failure report</NuxtLink>
          <el-button size="small" @click="bench.look({ to: 'cause' })">What speaks for it</el-button>
        </p>
        <p v-if="step.lies && isTurned" class="soft" data-test="lies">Now {{ step.lies }}.</p>
        <p v-if="done" class="was">
          {{ done.skipped ? `Left out: ${done.skipped}` : 'Done' }} by {{ job.names.get(done.by) }},
          {{ siteTime(done.at) }}
          <el-button size="small" @click="bench.choose(null)">To the next step <kbd>n</kbd></el-button>
          <el-button v-if="hold && hold !== 'signed'" size="small" data-test="hold" :disabled="resting" @click="sign">
            {{ otherSigner ? `Hold point: ${otherSigner} signs` : 'Sign the hold point again' }}
          </el-button>
          <el-button v-if="again" size="small" data-test="again" @click="bench.look(again)">{{
            again.to === 'round' ? 'Another round' : 'Take it up again'
          }}</el-button>
        </p>
        <p v-if="done && why" class="why" role="alert">{{ why }}</p>
        <template v-if="!done">
          <div v-for="caution in cautions" :key="caution.i" class="caution" :class="{ read: caution.read }">
            <p>
              <strong>{{ caution.word }}</strong> {{ caution.text }}
            </p>
            <el-button
              v-if="!caution.read"
              :type="caution === cautions.find(one => !one.read) ? 'primary' : undefined"
              :disabled="resting"
              @click="readCaution(caution.i)"
            >
              Read
            </el-button>
            <span v-else class="soft">read</span>
          </div>
          <p v-if="lost" class="why" data-test="lost">{{ lost }}</p>
          <p v-if="wiped" class="why" data-test="wiped">{{ wiped }}</p>
          <p v-if="step.tools?.length" class="soft">Tools: {{ step.tools.join(', ') }}</p>
          <ul
            v-if="before.length"
            class="before"
            :class="{ first: before.some(one => one.wrong) }"
            aria-label="Before this step"
          >
            <li v-for="one in before.slice(0, 6)" :key="one.text" :class="{ wrong: one.wrong }">
              <VerdictMark :verdict="one.wrong ? 'Out' : 'Open'" :word="false" />
              <span
                >{{ one.text }}<small v-if="one.wrong">{{ asSentence(one.wrong) }}</small></span
              >
              <el-button
                v-if="one.key && mayPass(one.key)"
                size="small"
                data-test="concede"
                @click="bench.look({ to: 'gate', passing: one.key })"
              >
                Let it pass
              </el-button>
              <el-button size="small" @click="bench.settle(one.settle)">Go</el-button>
            </li>
            <li v-if="before.length > 6">
              <span class="soft">and {{ before.length - 6 }} more</span>
              <el-button size="small" @click="bench.look({ to: 'gate' })">Show all</el-button>
            </li>
          </ul>
        </template>
      </div>
      <template v-if="!done">
        <p v-if="why" class="why" role="alert">{{ why }}</p>
        <div class="acts">
          <el-button v-if="hold && hold !== 'signed'" data-test="hold" :disabled="resting" @click="sign">
            {{
              otherSigner
                ? `Hold point: ${otherSigner} signs`
                : hold === 'lapsed'
                  ? 'Sign the hold point again'
                  : 'Sign the hold point'
            }}
          </el-button>
          <el-button
            type="primary"
            class="go"
            :class="{ unready: !ready }"
            data-test="confirm"
            :disabled="resting"
            @click="confirm"
          >
            {{ verb }}{{ otherDoer ? `: ${otherDoer} signs` : '' }} <kbd>⏎</kbd>
          </el-button>
          <el-button
            v-if="step.ladder || step.troubles?.length"
            data-test="trouble"
            @click="bench.look({ to: 'trouble', step: step.id })"
          >
            {{ step.removes?.length ? 'It is stuck' : 'It will not go' }}
          </el-button>
          <el-button data-test="items" @click="bench.look({ to: 'items' })">Left in the machine</el-button>
          <el-button v-if="step.skip && !leaving" data-test="skip" @click="leaving = true">Leave it out</el-button>
        </div>
        <form v-if="leaving" class="leave" @submit.prevent="leaveOut">
          <label class="label" for="leave">Why is it left out? It stays on the record.</label>
          <el-input id="leave" v-model="reason" maxlength="400" />
          <div class="acts">
            <el-button type="danger" native-type="submit" :disabled="resting">
              Leave it out{{ isLeadsToSkip ? ': a lead signs' : '' }}
            </el-button>
            <el-button @click="leaving = false">Cancel</el-button>
          </div>
        </form>
      </template>
      <!-- What stands in the way has the room before what only comes next. -->
      <ul v-if="done || !before.length" class="next" aria-label="Then">
        <li v-for="one in left" :key="one.id">
          <el-button class="opens" @click="resting || bench.choose(one.id)">
            <span class="figures">{{ job.plan.stepNumber.get(one.id) }}</span>{{ one.title }}
          </el-button>
        </li>
      </ul>
    </template>
    <template v-else>
      <p class="no figures soft">All stations</p>
      <h2>Every step is done</h2>
      <p>{{ job.isClosed ? 'The record is complete.' : 'A lead signs at the gate, and the record is complete.' }}</p>
      <div class="acts">
        <el-button type="primary" class="go" @click="bench.look({ to: 'gate' })">To the gate</el-button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.wrong {
  font-weight: 600;
}
.wrong small {
  display: block;
  font-weight: 400;
  font-size: 15px;
  color: var(--out);
}
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
.steps {
  color: var(--soft);
  margin: -6px 0 -6px -8px;
  padding: 0 8px;
  min-height: 44px;
}
.no {
  font-size: 15px;
  display: flex;
  gap: 10px;
  justify-content: space-between;
  align-items: center;
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
/* What is wrong stands right under the step, whatever else is said of it. */
.before.first {
  order: -1;
}
.no,
h2 {
  order: -2;
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
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding-top: 2px;
}
.acts .go {
  flex: 1 1 180px;
  min-height: 56px;
}
.leave {
  display: grid;
  gap: 6px;
}
.goes-by .figures {
  font-size: 1.5rem;
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
@media (max-width: 900px) {
  .next {
    display: none;
  }
}
.next .el-button {
  min-height: 44px;
  color: var(--soft);
}
</style>
