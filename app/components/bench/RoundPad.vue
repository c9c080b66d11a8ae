<script setup lang="ts">
import { roundsOf, shortOf, type CheckResult, type RoundGoal } from '~~/core/job'
import type { Loop } from '~~/core/sheet'
import { VERDICT_WORDS } from '~~/core/verdict'

/** A loop round by round: what was changed between them, what each read, which is void and why; and the way into the next. */
const props = defineProps<{ loop: string }>()
const job = useJob()
const may = useMay()
const bench = useBench()
const { text } = useDisplay()
const loop = computed(() => job.plan.loops.get(props.loop)!)
const rounds = computed(() => roundsOf(job.plan, job.state, job.view.results, loop.value))
const rows = computed(() =>
  [...new Map(rounds.value.flatMap(round => [...round.goals].map(([key, { result }]) => [key, result])))]
    .map(([key, { check, moment }]) => ({ key, check, moment }))
    .toSorted((one, other) => Number(isShort(other)) - Number(isShort(one))),
)
/** What keeps it from having come out good stands first. */
const isShort = ({ check, moment }: Pick<CheckResult, 'check' | 'moment'>) =>
  short.value.some(one => one.check.id === check.id && one.moment === moment)
const short = computed(() => shortOf(job.plan, loop.value, job.view.results))
const isThrough = computed(() => loop.value.steps.every(step => job.state.steps.has(step)))
const says = ({ result }: RoundGoal) => (result.value === null ? '–' : text(result.value, result.check))

const changed = ref<string[]>([])
const spoiled = ref<string[]>([])
const cause = ref('')
const spoiling = ref(false)
const why = ref<string | null>(null)
const resting = useRest(() => String(rounds.value.length))
/** What the change would void, of what has been read. */
const voids = computed(() => {
  const named = new Set(loop.value.changes.filter(one => changed.value.includes(one.say)).flatMap(one => one.voids))
  return rows.value.filter(
    ({ key, check }) => named.has(check.id) && rounds.value.some(round => round.goals.get(key)?.void === null),
  )
})
const readNow = computed(() =>
  rows.value.filter(({ key }) => rounds.value.some(round => round.goals.get(key)?.void === null)),
)

function begin() {
  why.value = changed.value.length
    ? job.act({ kind: 'round.begun', payload: { loop: props.loop, changed: changed.value } })
    : 'Say what was changed: by it some readings are void, and others stand.'
  if (why.value) return
  changed.value = []
  bench.look(null)
}
/** What may have been changed: what would bring right what failed stands first. */
const changes = computed(() => {
  const failed = short.value.map(one => one.check.id)
  const mends = (one: Loop['changes'][number]) => one.voids.some(id => failed.includes(id))
  return loop.value.changes.toSorted((a, b) => Number(mends(b)) - Number(mends(a)))
})
function spoil() {
  why.value = !spoiled.value.length
    ? 'Say which reading was spoiled.'
    : job.act({
        kind: 'round.voided',
        payload: { loop: props.loop, checks: spoiled.value, cause: cause.value.trim() },
      })
  if (why.value) return
  spoiled.value = []
  cause.value = ''
  spoiling.value = false
}
</script>

<template>
  <PadFrame :title="`${loop.title}, round ${rounds.length}`" :why="why">
    <div class="strip" tabindex="0" role="group" aria-label="Rounds">
      <table>
        <thead>
          <tr>
            <th scope="col">Until</th>
            <th v-for="round in rounds" :key="round.n" scope="col">
              <b>Round {{ round.n }}</b>
              <small v-if="round.begun" class="soft">{{ round.begun.changed.join('; ') }}</small>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.key">
            <th scope="row">{{ row.check.title }}</th>
            <td v-for="round in rounds" :key="round.n" :class="{ void: round.goals.get(row.key)?.void }">
              <template v-if="round.goals.get(row.key)">
                <VerdictMark :verdict="round.goals.get(row.key)!.result.judgement.verdict" :word="false" />
                <span class="figures">{{ says(round.goals.get(row.key)!) }}</span>
                <small v-if="round.goals.get(row.key)!.void" class="soft">
                  void: {{ round.goals.get(row.key)!.void }}
                </small>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="!rows.length" class="soft">Nothing has been read in it yet.</p>
    </div>
    <p v-if="isThrough && !short.length"><strong>It has come out good.</strong> The next step may be done.</p>
    <p v-else-if="isThrough">
      <strong>{{ short[0]!.check.title }}: {{ VERDICT_WORDS[short[0]!.judgement.verdict] }}.</strong>
      {{ asSentence(short[0]!.consequence ?? short[0]!.again ?? '') }}
    </p>
    <template v-if="rows.length && !job.isClosed">
      <form v-if="spoiling" class="ask" @submit.prevent="spoil">
        <p class="label">Which reading was spoiled?</p>
        <el-checkbox-group v-model="spoiled" aria-label="Which reading was spoiled?">
          <el-checkbox-button v-for="row in readNow" :key="row.key" :value="row.check.id">
            {{ row.check.title }}
          </el-checkbox-button>
        </el-checkbox-group>
        <label class="label" for="cause">By what?</label>
        <el-input id="cause" v-model="cause" maxlength="400" placeholder="the shaft turned, a strip slid…" />
        <div class="pad-acts">
          <el-button type="danger" native-type="submit" :disabled="!may('round.voided')">It is void</el-button>
          <el-button @click="spoiling = false">Cancel</el-button>
        </div>
      </form>
      <div v-else class="ask">
        <p class="label">What is changed before the next round?</p>
        <el-checkbox-group v-model="changed" aria-label="What is changed?">
          <el-checkbox-button v-for="one in changes" :key="one.say" :value="one.say">
            {{ one.say }}
          </el-checkbox-button>
        </el-checkbox-group>
        <p v-if="voids.length" class="soft">
          Void by it, and read again: {{ voids.map(one => one.check.title).join('; ') }}.
        </p>
        <div class="pad-acts">
          <el-button type="primary" data-test="begin-round" :disabled="resting || !may('round.begun')" @click="begin">
            Begin round {{ rounds.length + 1 }}
          </el-button>
          <el-button @click="spoiling = true">A reading was spoiled</el-button>
        </div>
      </div>
    </template>
  </PadFrame>
</template>

<style scoped>
.strip {
  overflow: auto;
  flex: 1 1 0;
  min-height: 150px;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 16px;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--chalk);
  text-align: left;
  vertical-align: bottom;
  font-weight: 500;
  min-width: 108px;
}
thead small {
  display: block;
  font-weight: 400;
}
th,
td {
  border-top: 1px solid var(--line);
  padding: 5px 8px 5px 0;
  text-align: left;
  line-height: 1.2;
}
tbody th {
  font-weight: 400;
}
td > * {
  margin-right: 5px;
}
td small {
  display: block;
}
.void .figures {
  text-decoration: line-through;
}
.ask {
  display: grid;
  gap: 6px;
}
/* However many there are, the way on stays in sight. */
.ask :deep(.el-checkbox-group) {
  max-height: 150px;
  overflow: auto;
}
</style>
