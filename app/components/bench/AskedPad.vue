<script setup lang="ts">
import { answersOf, keyOf, readingIn, readingKey, type Act, type Cell, type CellRead } from '~~/core/job'
import type { Check, Moment } from '~~/core/sheet'

/** What is felt, heard or seen, asked in large answers: all that this step asks, on one pad. Nothing is chosen beforehand. */
const props = defineProps<{ check: string; moment: Moment }>()
const job = useJob()
const may = useMay()
const why = ref<string | null>(null)
const step = computed(() => job.plan.checks.get(props.check)!.at.find(one => one.moment === props.moment)!.step)

interface Asked {
  key: string
  canBeLost: boolean
  check: Check
  moment: Moment
  cell: Cell
  /** The answer that was kept. */
  kept: string | null
  /** What says so, maybe at an earlier moment. */
  read: CellRead | null
  /** What two tablets answered that had not seen each other. */
  unseen: { by: string; words: string }[]
}
const asked = computed((): Asked[] =>
  (job.plan.checksAt.get(step.value) ?? []).flatMap(({ check, moment }) => {
    const key = readingKey(check.id, moment)
    const { owed, read, rivals, worked, complete } = job.view.results.get(key)!
    if (!check.choices || !owed) return []
    const isLost = job.state.evidenceLost.has(keyOf({ kind: 'reading', check: check.id, moment }))
    return worked.cells.map((cell, i) => ({
      // Given up is the whole of it: said once, under the last of its places.
      canBeLost: !complete && !isLost && i === worked.cells.length - 1,
      key: `${key} ${cell.key}`,
      check,
      moment,
      cell,
      kept: read.get(cell.key)?.tries.at(-1)![0] ?? null,
      read: read.get(cell.key) ?? null,
      unseen: (rivals.find(two => two.cell.key === cell.key)?.said ?? []).map(said => ({
        by: said.by,
        words: said.tries.at(-1)![0]!,
      })),
    }))
  }),
)
const chosen = ref<Record<string, string>>({})
const answerOf = (one: Asked) => one.kept ?? chosen.value[one.key]
const choiceOf = (one: Asked) => one.check.choices!.find(choice => choice.say === answerOf(one))
const fresh = computed(() => asked.value.filter(one => one.kept === null && chosen.value[one.key] !== undefined))
const left = computed(() => asked.value.filter(one => answerOf(one) === undefined).length)
/** What was answered otherwise than it is: put right with the reason, one at a time. */
const correcting = ref<{ key: string; say: string } | null>(null)
const reason = ref('')
const { correct: put } = useSign()
async function correct({ check, cell, read }: Asked) {
  const written = reason.value.trim()
  const say = correcting.value?.say
  if (!say || !written) {
    why.value = say ? 'Say why it is corrected.' : 'Choose what it is.'
    return
  }
  const replacement = readingIn(check.id, read!.moment, cell, [[say]], { instrument: check.instrument })
  const answer = await put('Who corrects the answer?', {
    kind: 'entry.corrected',
    payload: { target: read!.entry, why: written, replacement },
  })
  why.value = answer.why
  if (!answer.isSigned) return
  correcting.value = null
  reason.value = ''
}
const resting = useRest(() => asked.value.map(one => `${one.key} ${one.kept}`).join())

function choose({ key }: Asked, say: string) {
  if (correcting.value?.key === key) correcting.value = { key, say }
  else chosen.value = { ...chosen.value, [key]: say }
}
function keep() {
  const acts = fresh.value.map(({ key, check, moment, cell }): Act => ({
    kind: 'reading.taken',
    payload: readingIn(check.id, moment, cell, [[chosen.value[key]!]], { instrument: check.instrument }),
  }))
  why.value = job.act(...acts)
  if (!why.value) chosen.value = {}
}
</script>

<template>
  <PadFrame title="What is found?" :why="why">
    <ul class="scroll" tabindex="0" aria-label="Questions">
      <li v-for="one in asked" :key="one.key">
        <p>
          <strong>{{ one.check.title }}</strong><template v-if="one.cell.name">, {{ one.cell.name }}</template>
        </p>
        <p>
          {{ one.check.ask }} <span v-if="one.check.evidence" class="soft">Now or never: afterwards it is gone.</span>
        </p>
        <el-radio-group
          :model-value="correcting?.key === one.key ? correcting.say : answerOf(one)"
          :disabled="one.kept !== null && correcting?.key !== one.key"
          :aria-label="`${one.check.title}${one.cell.name ? `, ${one.cell.name}` : ''}`"
          @change="say => choose(one, String(say))"
        >
          <el-radio-button v-for="choice in answersOf(one.check)" :key="choice.say" :value="choice.say">
            {{ choice.say }}
          </el-radio-button>
        </el-radio-group>
        <UnseenNote v-if="one.unseen.length" :said="one.unseen" />
        <p v-if="choiceOf(one)" class="says">
          <VerdictMark :verdict="choiceOf(one)!.verdict" /> {{ choiceOf(one)!.means }}
        </p>
        <form v-if="correcting?.key === one.key" class="row" @submit.prevent="correct(one)">
          <el-input
            v-model="reason"
            maxlength="400"
            aria-label="Why is it corrected?"
            placeholder="why, for the record"
          />
          <el-button type="primary" native-type="submit">Keep as correction</el-button>
          <el-button @click="correcting = null">Cancel</el-button>
        </form>
        <el-button
          v-else-if="one.kept !== null && !job.isClosed"
          class="again"
          size="small"
          @click="correcting = { key: one.key, say: '' }"
        >
          Correct it
        </el-button>
        <LazyOutDoor
          v-if="one.kept !== null && choiceOf(one)?.verdict === 'Out'"
          :check="one.check.id"
          :moment="one.moment"
          :place="one.cell.place"
        />
        <EvidenceLost v-if="one.canBeLost" :lost="{ check: one.check.id, moment: one.moment }" :by="one.check.lost" />
      </li>
    </ul>
    <el-button
      v-if="fresh.length"
      type="primary"
      data-test="keep-asked"
      :disabled="resting || !may('reading.taken')"
      @click="keep"
    >
      {{ left ? `Keep ${counted(fresh.length, 'answer')}, ${left} still open` : 'Keep what was found' }}
    </el-button>
  </PadFrame>
</template>

<style scoped>
.scroll {
  display: grid;
  gap: 10px;
  align-content: start;
}
li {
  display: grid;
  gap: 4px;
  border-top: 1px solid var(--line);
  padding: 8px 2px 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.row > :deep(.el-input) {
  flex: 1 1 180px;
}
.again {
  justify-self: start;
}
.says {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
