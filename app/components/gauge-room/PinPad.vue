<script setup lang="ts">
import { loadJob, type Job } from '~/bench/job'
import { fromBase, toBase, UNITS, type UnitName } from '~~/core/quantity'
import { figureFor, MOMENT_WORDS, saidIn, unmetNeeds, type CheckResult } from '~~/core/job'
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
    kind: 'single' as const,
    style: undefined,
    unitKind: UNITS[unit].kind,
    tries: [[toBase(Number(first.value), unit)]],
  }
})
const wanted = computed(() =>
  !reading.value || !job.value
    ? []
    : [...job.value.view.results.values()].flatMap(({ check, moment, missing }) => {
        // Only what can be read now: a reading belongs to a state its step can have.
        const step = job.value!.plan.steps.get(check.at.find(at => at.moment === moment)!.step)!
        const fits =
          unmetNeeds(job.value!.plan, job.value!.state, step).length === 0 &&
          check.kind === reading.value!.kind &&
          UNITS[check.unit].kind === reading.value!.unitKind &&
          reading.value!.tries.length >= (check.tries ?? 1) &&
          (check.kind !== 'runout' || reading.value!.tries[0]!.length === (check.sweep ?? 8))
        return fits ? missing.slice(0, 1).map(cell => ({ key: `${check.id} ${moment}`, check, moment, cell })) : []
      }),
)
/** Checks of the sheet that this very sum works out, still to be read. */
const sums = computed(() =>
  !job.value
    ? []
    : [...job.value.view.results.values()].filter(
        ({ check, moment, missing }) =>
          check.sum?.name === props.sum.name &&
          missing.length > 0 &&
          unmetNeeds(
            job.value!.plan,
            job.value!.state,
            job.value!.plan.steps.get(check.at.find(at => at.moment === moment)!.step)!,
          ).length === 0,
      ),
)
function asFigures({ check, moment, worked }: CheckResult) {
  const other = Object.entries(check.sum!.given ?? {}).find(
    ([key, value]) => props.input[key] !== undefined && JSON.stringify(props.input[key]) !== JSON.stringify(value),
  )
  const figures = worked!.missing.map(cell => figureFor(cell, saidIn(props.input, cell) ?? ''))
  why.value = other
    ? `The sheet of this machine fixes “${props.sum.fields[other[0]]!.label}” at ${String(other[1])}; here it is ${String(props.input[other[0]])}.`
    : figures.some(one => !one.said)
      ? `${check.title} asks for ${worked!.missing.length} figures; not all of them stand here.`
      : job.value!.act({
          kind: 'figures.taken',
          payload: { check: check.id, moment, figures, instrument: 'Gauge room' },
        })
  if (!why.value)
    said.value = `Pinned to job ${chosen.value!.number} as ${check.title.toLowerCase()}, ${MOMENT_WORDS[moment].toLowerCase()}.`
}
function asReading({ check, moment, cell }: (typeof wanted.value)[number]) {
  const { tries, style } = reading.value!
  why.value = job.value!.act({
    kind: 'reading.taken',
    payload: {
      check: check.id,
      moment,
      ...(cell.station ? { station: cell.station } : {}),
      ...(cell.plane ? { plane: cell.plane } : {}),
      tries,
      texts: tries.map(row => row.map(one => String(Number(fromBase(one, check.unit).toPrecision(12))))),
      unit: check.unit,
      instrument: `Gauge room, ${props.sum.title.toLowerCase()}`.slice(0, 60),
      ...(style ? { style } : {}),
    },
  })
  if (!why.value)
    said.value = `Pinned to job ${chosen.value!.number} as ${check.title.toLowerCase()}, ${MOMENT_WORDS[moment].toLowerCase()}.`
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
            }}<template v-if="one.cell.station">, {{ one.cell.station }}</template>
            <template v-if="one.cell.plane">, plane {{ one.cell.plane }}</template>
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
