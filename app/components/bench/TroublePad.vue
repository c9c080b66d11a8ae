<script setup lang="ts">
import { causesOf, signMet, signsOf } from '~~/core/job'
import type { WorkedAnswer } from '~~/shared/answers'
import { askOrKept } from '~/device/answers'

/** Stuck, or will not go: gentler ways first, with what worked elsewhere; and where to look again, likeliest first. */
const props = defineProps<{ step: string }>()
const job = useJob()
const bench = useBench()
const may = useMay()
const { system } = useDisplay()
const why = ref<string | null>(null)
const own = ref('')
const worked = shallowRef<WorkedAnswer[]>([])
onMounted(async () => {
  // What worked elsewhere is a help, not a must: without it the sheet's own order stands.
  worked.value = await askOrKept<WorkedAnswer[]>(`/api/jobs/${job.id}/worked`)
    .then(one => one.value)
    .catch(() => [])
})
const step = computed(() => job.plan.steps.get(props.step)!)
const sign = computed(() => signMet(job.state, step.value))
const signs = computed(() => signsOf(step.value))
const times = (what: string) =>
  worked.value.find(one => one.step === props.step && one.what.toLowerCase() === what.toLowerCase())?.times ?? 0
const causes = computed(() =>
  sign.value ? causesOf(job.plan, job.state, job.view.results, step.value, sign.value, worked.value, system.value) : [],
)
const resting = useRest(() => sign.value ?? '')
function met(one: string) {
  why.value = job.act({ kind: 'trouble.met', payload: { step: props.step, sign: one } })
}
function cleared(means: string) {
  why.value = job.act({ kind: 'trouble.cleared', payload: { step: props.step, sign: sign.value!, means } })
  if (why.value) return
  own.value = ''
  bench.look(null)
}
</script>

<template>
  <PadFrame :title="sign ?? (step.removes?.length ? 'It is stuck' : 'It will not go')" :why="why">
    <div class="body" tabindex="0" role="group" aria-label="What to do">
      <template v-if="sign">
        <p class="label">Force nothing. Look again, likeliest first; then say what it was.</p>
        <ul aria-label="Causes">
          <li v-for="cause in causes" :key="cause.means">
            <p>
              <strong>{{ cause.means }}</strong>
              <span v-if="cause.worked" class="soft"> It was this {{ counted(cause.worked, 'time') }} before.</span>
            </p>
            <div v-for="look in cause.looks" :key="look.what" class="row">
              <span>
                <VerdictMark v-if="look.verdict" :verdict="look.verdict" :word="false" />
                {{ look.what }} <span class="soft">{{ look.known }}</span>
              </span>
              <el-button size="small" @click="bench.settle(look.settle)">Look again</el-button>
            </div>
            <el-button data-test="it-was" :disabled="resting || !may('trouble.cleared')" @click="cleared(cause.means)">
              It was this
            </el-button>
          </li>
        </ul>
        <form class="row" @submit.prevent="cleared(own.trim())">
          <el-input
            v-model="own"
            maxlength="400"
            placeholder="It was something else…"
            aria-label="It was something else"
          />
          <el-button native-type="submit" :disabled="!own.trim()">Say it</el-button>
        </form>
      </template>
      <template v-else>
        <template v-if="step.ladder">
          <p class="label">Gentlest first. Which one {{ step.removes?.length ? 'freed it' : 'brought it home' }}?</p>
          <el-radio-group
            :model-value="bench.said.method ?? ''"
            :aria-label="`Which one ${step.removes?.length ? 'freed it' : 'brought it home'}?`"
            @change="method => bench.say({ method: method as string })"
          >
            <el-radio-button v-for="one in step.ladder" :key="one" :value="one">
              {{ one }}<small v-if="times(one)" class="soft"> worked {{ counted(times(one), 'time') }}</small>
            </el-radio-button>
          </el-radio-group>
        </template>
        <template v-if="signs.length">
          <p class="label">What do you see?</p>
          <div class="signs">
            <el-button
              v-for="one in signs"
              :key="one"
              data-test="sign"
              :disabled="resting || !may('trouble.met')"
              @click="met(one)"
            >
              {{ one }}
            </el-button>
          </div>
        </template>
      </template>
    </div>
  </PadFrame>
</template>

<style scoped>
.body {
  display: grid;
  gap: 10px;
  align-content: start;
  overflow: auto;
  flex: 1 1 0;
}
ul {
  display: grid;
  gap: 10px;
}
li {
  display: grid;
  gap: 4px;
  justify-items: start;
  padding-top: 8px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
}
.row > :first-child {
  flex: 1;
}
.signs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
