<script setup lang="ts">
import { curedBy, basisOf, photosMissing, isOwnWork, neverConceded, STATION_WORDS, type Obligation } from '~~/core/job'
import { STATIONS } from '~~/core/sheet'

/** The one gate: everything that must still be true, or the way through; `passing` names a debt to let pass at once. */
const props = defineProps<{ passing?: string }>()
const job = useJob()
const bench = useBench()
const session = useSessionStore()
const may = useMay()
const gate = computed(() => job.view.gate)
const resting = useRest(() => `${gate.value.guards} ${gate.value.open}`)
const groups = computed(() =>
  STATIONS.map(station => [station, gate.value.reasons.filter(one => one.station === station)] as const).filter(
    ([, list]) => list.length,
  ),
)
const conceding = ref<Obligation | null>(null)
const reason = ref('')
const why = ref<string | null>(null)
const CURED = ['yes', 'no', 'not known yet'] as const
const cured = ref<(typeof CURED)[number] | undefined>()
const cause = useLocalStorage(`needler-cause-${job.id}`, '')

/** A hold point over work that a lead did: they concede it only where nobody else leads. */
const isOwnOf = (person: string) =>
  conceding.value !== null && isOwnWork(job.plan, job.state, conceding.value.id, person)
const isOwn = computed(() => job.about.people.some(one => one.role === 'lead' && isOwnOf(one.id)))
const alone = ref(false)
/** What it rested on when it was opened to be looked at: changed meanwhile, it is looked at again. */
const basis = ref<string[]>([])
function open(one: Obligation) {
  conceding.value = one
  basis.value = basisOf(job.plan, job.state, one.id)
}
const named = job.view.owed.find(one => one.key === props.passing)
if (named) open(named)
const { sign: ask } = useSign()
async function concede() {
  const of = conceding.value!.id
  const written = reason.value.trim()
  if (!written) {
    why.value = 'A lead accepts it in writing: say why.'
    return
  }
  const { isSigned, why: hindered } = await ask('Which lead accepts it?', who => [
    {
      kind: 'concession.given',
      payload: { of, basis: basis.value, why: written, ...(alone.value && isOwnOf(who.id) ? { onlyLead: true } : {}) },
    },
  ])
  why.value = hindered
  if (!isSigned) return
  conceding.value = null
  reason.value = ''
  alone.value = false
}
const cancelling = ref(false)
async function cancel() {
  const written = reason.value.trim()
  if (!written) {
    why.value = 'A job is cancelled in writing: say why.'
    return
  }
  const { isSigned, why: hindered } = await ask('Who cancels the job?', () => [
    { kind: 'job.cancelled', payload: { why: written } },
  ])
  why.value = hindered
  if (!isSigned) return
  cancelling.value = false
  reason.value = ''
}
function leave() {
  conceding.value = null
  cancelling.value = false
  why.value = null
}
/** Photographs that are still on tablets: the record is signed without them, and they come to it later. */
const missing = computed(() => {
  const all = photosMissing(job.state)
  const takers = [...new Set(all.map(one => job.names.get(one.by) ?? 'somebody no longer here'))]
  return all.length
    ? `${counted(all.length, 'photograph')} of ${takers.join(', ')} ${all.length === 1 ? 'has' : 'have'} not arrived: still on the tablet that took ${all.length === 1 ? 'it' : 'them'}.`
    : null
})
/** Whether it is cured, where every sign that was reported is answered. */
const answered = computed(() => curedBy(job.plan, job.state))
async function sign() {
  const [answer, written] = [answered.value ?? cured.value, cause.value.trim()]
  why.value = answer
    ? (
        await ask('Who signs the record?', () => [
          { kind: 'job.signed', payload: { cured: answer, ...(written ? { cause: written } : {}) } },
        ])
      ).why
    : 'Say whether the complaint is cured.'
}
</script>

<template>
  <PadFrame data-test="gate-pad" :why="why">
    <template #title>
      {{
        job.isClosed
          ? job.state.signed
            ? 'Signed and handed back'
            : 'Cancelled'
          : gate.open
            ? gate.step
              ? `The gate is open: the ${gate.guards} may go on`
              : 'The gate is open: sign the record'
            : `Gate shut before the ${gate.guards}: ${counted(gate.reasons.length, 'reason')}`
      }}
    </template>
    <el-alert v-if="missing" :title="missing" type="warning" :closable="false" show-icon data-test="not-arrived" />
    <template v-if="job.isClosed">
      <p v-if="job.state.signed">
        By {{ job.names.get(job.state.signed.by) }}, {{ job.state.signed.role }}, {{ siteTime(job.state.signed.at) }}.
        Complaint cured: {{ job.state.signed.cured }}.
      </p>
      <p v-else-if="job.state.cancelled">
        By {{ job.names.get(job.state.cancelled.by) }}, {{ job.state.cancelled.role }},
        {{ siteTime(job.state.cancelled.at) }}: {{ job.state.cancelled.why }}.
      </p>
      <NuxtLink class="btn now" :to="`/bench/${job.id}/record`">Open the record</NuxtLink>
    </template>
    <form v-else-if="cancelling" class="sign" @submit.prevent="cancel">
      <label class="label" for="cancel">Why is the job cancelled? It stays on the record, and ends here.</label>
      <el-input id="cancel" v-model="reason" type="textarea" :rows="3" maxlength="400" />
      <div class="row">
        <el-button type="danger" native-type="submit">Cancel the job</el-button>
        <el-button @click="leave">Cancel</el-button>
      </div>
    </form>
    <form v-else-if="gate.open && gate.guards === 'hand-back'" class="sign" @submit.prevent="sign">
      <p><strong>Reported:</strong> {{ job.state.opened?.payload.complaint || 'nothing' }}</p>
      <p v-if="answered" data-test="cured">
        By the answers, it is cured: <strong>{{ answered }}</strong>.
        <el-button size="small" @click="bench.look({ to: 'signs' })">What was reported</el-button>
      </p>
      <fieldset v-else>
        <legend class="label">Is the fault gone?</legend>
        <el-radio-group v-model="cured" aria-label="Is the fault gone?">
          <el-radio-button v-for="answer in CURED" :key="answer" :value="answer">{{ answer }}</el-radio-button>
        </el-radio-group>
      </fieldset>
      <label class="label" for="cause">What caused it?</label>
      <el-input id="cause" v-model="cause" type="textarea" :rows="2" maxlength="400" />
      <p class="soft">
        The record says what was done. It does not certify the machine as safe; that stays with your site's own
        procedure.
      </p>
      <el-button v-if="session.mayWrite" type="primary" native-type="submit" data-test="sign" :disabled="resting">
        {{ may('job.signed') ? `Sign as ${session.person?.name}` : 'A lead signs it here' }}
      </el-button>
    </form>
    <template v-else-if="gate.open">
      <p>Everything that had to be true before the {{ gate.guards }} is.</p>
      <el-button type="primary" @click="bench.choose(gate.step!.id)">
        {{ gate.step!.title }}
      </el-button>
    </template>
    <form v-else-if="conceding" class="sign" @submit.prevent="concede">
      <p>
        <strong>{{ conceding.what }}</strong>. {{ conceding.why }}.
      </p>
      <label class="label" for="concession">Why may it pass? It stays on the record, with the lead’s name.</label>
      <el-input id="concession" v-model="reason" type="textarea" :rows="3" maxlength="400" />
      <el-checkbox v-if="isOwn" v-model="alone">
        The lead did some of this work, or vouched for it, and nobody else here leads.
      </el-checkbox>
      <div class="row">
        <el-button type="primary" native-type="submit">A lead accepts it</el-button>
        <el-button @click="leave">Cancel</el-button>
      </div>
    </form>
    <div v-else class="scroll" tabindex="0" role="group" aria-label="Reasons">
      <section v-for="[station, list] in groups" :key="station">
        <h3>{{ STATION_WORDS[station] }}</h3>
        <ul>
          <li v-for="one in list" :key="one.key">
            <VerdictMark :verdict="one.wrong ? 'Out' : 'Open'" :word="false" />
            <span
              >{{ one.what }}<small v-if="one.kind !== 'step'" class="soft">{{ one.why }}</small>
            </span>
            <el-button v-if="session.mayWrite && !neverConceded(job.plan, one.id)" size="small" @click="open(one)">
              Let it pass
            </el-button>
            <el-button size="small" @click="bench.settle(one.settle)">Go</el-button>
          </li>
        </ul>
      </section>
      <JobChoices />
    </div>
    <template v-if="may('job.cancelled') && !job.isClosed && !cancelling && !conceding">
      <el-button v-if="!job.view.tray.off.length" class="end" @click="cancelling = true">Cancel the job</el-button>
      <p v-else class="soft">
        The job can be cancelled once everything that came off is back:
        {{ counted(job.view.tray.off.length, 'part') }} off now.
      </p>
    </template>
  </PadFrame>
</template>

<style scoped>
h3 {
  font-size: 18px;
  padding: 8px 0 2px;
  color: var(--blue-ink);
}
.scroll {
  overflow: auto;
  flex: 1 1 0;
  min-height: 260px;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 3px 0;
}
li > span:nth-child(2) {
  flex: 1;
}
small {
  display: block;
  font-size: 15px;
}
.sign {
  display: grid;
  gap: 9px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.end {
  align-self: flex-start;
}
</style>
