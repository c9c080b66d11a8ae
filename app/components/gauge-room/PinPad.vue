<script setup lang="ts">
import { loadJob, type Job } from '~/bench/job'
import { fromBase, toBase, UNITS, type UnitName } from '~~/core/quantity'
import { MOMENT_WORDS, readingIn, readingKey, saidIn, unmetNeeds, type Cell, type CheckResult } from '~~/core/job'
import type { Answer, AnySum } from '~~/core/sums'
import type { OpenJob } from '~~/shared/answers'

/** Pins a sum to an open job: as the reading a check of its sheet asks for, or as a note with its working. */
const props = defineProps<{ sum: AnySum; input: Record<string, unknown>; answer: Answer; text: string }>()
const emit = defineEmits<{ done: [] }>()
const job = shallowRef<Job | null>(null)
const session = useSessionStore()
const jobs = shallowRef<OpenJob[] | null>(null)
const chosen = shallowRef<OpenJob | null>(null)
const why = ref<string | null>(null)
const said = ref<string | null>(null)
onMounted(async () => {
  try {
    jobs.value = await $fetch<OpenJob[]>('/api/jobs')
  } catch (error) {
    why.value = sayWhy(error)
  }
})
let isLeft = false
onScopeDispose(() => {
  isLeft = true
  job.value?.close()
})
async function choose(one: OpenJob) {
  why.value = null
  try {
    const loaded = await loadJob(one.id)
    if (isLeft) return loaded.close()
    job.value?.close()
    job.value = loaded
  } catch (error) {
    why.value = sayWhy(error)
    return
  }
  chosen.value = one
}

/** The figure as a sheet would hold it: in base units, try by try. */
const reading = computed(() => {
  if (props.answer.reading) return { ...props.answer.reading, unitKind: 'length' as const }
  const first = props.answer.figures.find(one => typeof one.value === 'number' && one.unit && one.unit in UNITS)
  if (!first) return null
  const unit = first.unit as UnitName
  return {
    row: 'figure' as const,
    style: undefined,
    unitKind: UNITS[unit].kind,
    tries: [[toBase(Number(first.value), unit)]],
  }
})
/** Whether what stands here is what a cell asks for: as many figures, of the same kind. */
const fits = ({ as, row, tries }: Cell) =>
  reading.value !== null &&
  as.type === 'number' &&
  row.of === reading.value.row &&
  row.figures === reading.value.tries[0]!.length &&
  UNITS[as.unit].kind === reading.value.unitKind &&
  reading.value.tries.length >= tries
/** Only what can be read now: a reading belongs to a state its step can have. */
const open = computed(() => {
  const now = job.value
  return now
    ? [...now.view.results.values()].filter(({ check, moment, missing }) => {
        const step = now.plan.steps.get(check.at.find(at => at.moment === moment)!.step)!
        return missing.length > 0 && unmetNeeds(now.plan, now.state, step).length === 0
      })
    : []
})
const wanted = computed(() =>
  open.value.flatMap(({ check, moment, missing, worked }) =>
    worked.sum.bench && fits(missing[0]!)
      ? [{ key: readingKey(check.id, moment), check, moment, cell: missing[0]! }]
      : [],
  ),
)
/** Checks of the sheet that this very sum works out, still to be read. */
const sums = computed(() => open.value.filter(({ check }) => check.sum?.name === props.sum.name))
const pinned = ({ check, moment }: Pick<CheckResult, 'check' | 'moment'>) =>
  `Pinned to job ${chosen.value!.number} as ${check.title.toLowerCase()}, ${MOMENT_WORDS[moment].toLowerCase()}.`
function asFigures({ check, moment, missing, worked: { spec } }: CheckResult) {
  const other = Object.entries(spec.given ?? {}).find(
    ([key, value]) => props.input[key] !== undefined && JSON.stringify(props.input[key]) !== JSON.stringify(value),
  )
  const figures = missing.map(cell => {
    const row = spec.rows?.[cell.field]?.findIndex(one => one.name === cell.place)
    return { cell, said: saidIn(props.input, cell, cell.place === undefined ? undefined : row) }
  })
  why.value = other
    ? `The sheet of this machine fixes “${props.sum.fields[other[0]]!.label}” at ${String(other[1])}; here it is ${String(props.input[other[0]])}.`
    : figures.some(one => !one.said)
      ? `${check.title} asks for ${missing.length} figures; not all of them stand here.`
      : job.value!.act(
          ...figures.map(({ cell, said: text }) => ({
            kind: 'reading.taken' as const,
            payload: readingIn(check.id, moment, cell, [[text!]], { instrument: 'Gauge room' }),
          })),
        )
  if (!why.value) said.value = pinned({ check, moment })
}
function asReading({ check, moment, cell }: (typeof wanted.value)[number]) {
  const { tries, style } = reading.value!
  const texts = tries.map(row => row.map(one => String(Number(fromBase(one, check.unit).toPrecision(12)))))
  const instrument = `Gauge room, ${props.sum.title.toLowerCase()}`.slice(0, 60)
  const payload = readingIn(check.id, moment, cell, texts, {
    unit: check.unit,
    instrument,
    ...(style ? { style } : {}),
  })
  why.value = job.value!.act({ kind: 'reading.taken', payload })
  if (!why.value) said.value = pinned({ check, moment })
}
function asNote() {
  why.value = job.value!.act({ kind: 'note.written', payload: { text: props.text.slice(0, 1990) } })
  if (!why.value) said.value = `Pinned to job ${chosen.value!.number} as a note.`
}
</script>

<template>
  <div class="pin">
    <p v-if="!session.mayWrite" class="why">Your role only looks. Ask a fitter or a lead to pin it.</p>
    <template v-else-if="said">
      <p class="said" role="status" data-test="pinned">{{ said }}</p>
      <div class="acts">
        <NuxtLink class="btn" :to="`/bench/${chosen!.id}`">Go to the job</NuxtLink>
        <el-button type="primary" @click="emit('done')">Done</el-button>
      </div>
    </template>
    <template v-else-if="!chosen">
      <p v-if="jobs === null && !why" class="soft">Looking at the bench…</p>
      <p v-else-if="jobs && !jobs.length">No job is open. Open one from a machine in the yard.</p>
      <ul>
        <li v-for="one in jobs ?? []" :key="one.id">
          <el-button @click="choose(one)">
            <span class="figures">{{ one.tag }}</span> {{ one.name }}, job {{ one.number }}
          </el-button>
        </li>
      </ul>
    </template>
    <template v-else>
      <p>
        <strong>{{ chosen.tag }} {{ chosen.name }}</strong
        >, job {{ chosen.number }}
      </p>
      <p v-if="wanted.length || sums.length" class="soft">A reading this sheet asks for now:</p>
      <ul>
        <li v-for="one in sums" :key="`${one.check.id} ${one.moment}`">
          <el-button data-test="pin-figures" @click="asFigures(one)">
            {{ one.check.title }}, {{ MOMENT_WORDS[one.moment].toLowerCase() }}
          </el-button>
        </li>
        <li v-for="one in wanted" :key="one.key">
          <el-button data-test="pin-reading" @click="asReading(one)">
            {{ one.check.title }}, {{ MOMENT_WORDS[one.moment].toLowerCase()
            }}<template v-if="one.cell.name">, {{ one.cell.name }}</template>
          </el-button>
        </li>
      </ul>
      <el-button type="primary" data-test="pin-note" @click="asNote">As a note, with its working</el-button>
    </template>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
  </div>
</template>

<style scoped>
.pin {
  display: grid;
  gap: 10px;
  max-height: 60vh;
  overflow: auto;
}
ul {
  display: grid;
  gap: 6px;
}
li .el-button {
  width: 100%;
  justify-content: flex-start;
  text-align: left;
}
.acts {
  display: flex;
  gap: 8px;
}
.said {
  font-size: 18px;
}
</style>
