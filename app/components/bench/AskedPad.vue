<script setup lang="ts">
import { cellsOf, cellKey, readingKey, type Act } from '~~/core/job'
import type { Check, Moment } from '~~/core/sheet'

/** What is felt, heard or seen, asked in large answers: all that this step asks, on one pad. Nothing is chosen beforehand. */
const props = defineProps<{ check: string; moment: Moment }>()
const job = useJob()
const may = useMay()
const why = ref<string | null>(null)
const step = computed(() => job.plan.checks.get(props.check)!.at.find(one => one.moment === props.moment)!.step)

interface Asked {
  key: string
  check: Check
  moment: Moment
  station?: string
  plane?: string
  /** The answer that was kept. */
  kept: number | null
}
const asked = computed((): Asked[] =>
  (job.plan.checksAt.get(step.value) ?? []).flatMap(({ check, moment }) => {
    if (!check.choices || !job.view.results.get(readingKey(check.id, moment))!.owed) return []
    return cellsOf(check).map(cell => ({
      key: `${readingKey(check.id, moment)} ${cellKey(cell.station, cell.plane)}`,
      check,
      moment,
      ...cell,
      kept:
        job.state.readings.get(readingKey(check.id, moment))?.get(cellKey(cell.station, cell.plane))?.tries[0]?.[0] ??
        null,
    }))
  }),
)
const chosen = ref<Record<string, number>>({})
const answerOf = (one: Asked) => one.kept ?? chosen.value[one.key] ?? null
const choiceOf = (one: Asked) => {
  const at = answerOf(one)
  return at === null ? null : one.check.choices![at]!
}
const fresh = computed(() => asked.value.filter(one => one.kept === null && chosen.value[one.key] !== undefined))
const left = computed(() => asked.value.filter(one => answerOf(one) === null).length)
const resting = useRest(() => asked.value.map(one => `${one.key} ${one.kept}`).join())

function keep() {
  const acts = fresh.value.map((one): Act => {
    const at = chosen.value[one.key]!
    return {
      kind: 'reading.taken',
      payload: {
        check: one.check.id,
        moment: one.moment,
        ...(one.station ? { station: one.station } : {}),
        ...(one.plane ? { plane: one.plane } : {}),
        tries: [[at]],
        texts: [[one.check.choices![at]!.say]],
        instrument: one.check.instrument,
      },
    }
  })
  why.value = job.act(...acts)
  if (!why.value) chosen.value = {}
}
</script>

<template>
  <PadFrame title="What is found?" :why="why">
    <ul class="scroll" tabindex="0" aria-label="Questions">
      <li v-for="one in asked" :key="one.key">
        <p>
          <strong>{{ one.check.title }}</strong><template v-if="one.station">, {{ one.station }}</template>
        </p>
        <p>{{ one.check.ask }}</p>
        <el-radio-group
          :model-value="answerOf(one) ?? undefined"
          :disabled="one.kept !== null"
          :aria-label="`${one.check.title}${one.station ? `, ${one.station}` : ''}`"
          @change="at => (chosen = { ...chosen, [one.key]: Number(at) })"
        >
          <el-radio-button v-for="(choice, at) in one.check.choices" :key="choice.say" :value="at">
            {{ choice.say }}
          </el-radio-button>
        </el-radio-group>
        <p v-if="choiceOf(one)" class="says">
          <VerdictMark :verdict="choiceOf(one)!.verdict" /> {{ choiceOf(one)!.means }}
        </p>
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
.says {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
