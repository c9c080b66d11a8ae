<script setup lang="ts">
import {
  answerText,
  choicesOf,
  markOf,
  markText,
  missedBy,
  partName,
  partState,
  readLabel,
  sentenceOf,
  standsMet,
  standsWrong,
  type MateAnswer,
} from '~~/core/job'
import { withinTurn } from '~~/core/marks'
import { fixed, parseQuantity } from '~~/core/quantity'
import { datumSeen, type Mate } from '~~/core/sheet'

/**
 * How two parts stand to each other, asked blind: what is seen, where the mark stands, how far it is. Only what was said is
 * judged, and then it is said what that means.
 */
type Answer = Omit<MateAnswer, 'mate'>
const props = defineProps<{ mate: Mate; given?: Answer }>()
const emit = defineEmits<{ give: [answer: Answer | undefined] }>()
const job = useJob()
const bench = useBench()
/** A second tap on what stood here before answers nothing. */
const resting = useRest(() => props.mate.id)
/** It was seen to stand wrong: that it cannot be seen is no way past. */
const stoodWrong = computed(() => standsWrong(job.state, props.mate))
const { fieldUnit } = useDisplay()
const made = computed(() => job.state.marks.get(props.mate.id))
const mark = computed(() => markOf(job.state, props.mate))
/** With what, and from which end: as it was made, or as the maker stamped it. */
const carrier = computed(() => made.value?.carrier ?? props.mate.mark?.method ?? '')
const seenFrom = computed(() => made.value?.seenFrom ?? props.mate.mark?.seenFrom ?? '')
const datum = computed(() => datumSeen(job.plan, props.mate.b, seenFrom.value))
const { rule } = props.mate
const deg = ref<number | null>(props.given?.deg ?? null)
const text = ref(props.given?.text ?? props.given?.label ?? '')
const say = ref(props.given?.say ?? '')
const dots = reactive<{ a: number | null; b: number | null }>({
  a: props.given?.dots?.[0] ?? null,
  b: props.given?.dots?.[1] ?? null,
})
const sides = computed(() => (['a', 'b'] as const).map(side => ({ side, name: partName(job.plan, props.mate[side]) })))
/** The old one, where that was kept to be compared with. */
const pattern = computed(() => {
  const { part } = job.plan.parts.get(props.mate.a)!
  return part.keep === 'pattern' ? partState(job.state, props.mate.a).kept?.label : undefined
})
/** What is seen may be any number of them, or none on that side. */
const NUMBERS = [0, 1, 2, 3]
const why = ref<string | null>(null)
const NOT_YET = 'not to be seen yet'

/** Asked as a mark only while there is one; a lost one is answered in words. */
const kind = computed(() => (rule.kind === 'seen' ? 'seen' : mark.value ? rule.kind : 'lost'))
const met = computed(() =>
  props.given && !props.given.notYet ? standsMet(job.state, props.mate, { mate: props.mate.id, ...props.given }) : null,
)
const miss = computed(() => {
  const by = props.given ? missedBy(props.mate, mark.value, { mate: props.mate.id, ...props.given }) : null
  if (by === null) return rule.kind === 'dots' ? 'They do not belong together' : 'It does not read the same'
  return rule.kind === 'distance' ? `${fixed(by, 2)} mm off` : `${fixed(by, 0)}° off`
})
function choose(said: string) {
  say.value = said
  emit('give', said === NOT_YET ? { notYet: true } : { say: said })
}
function stand() {
  if (deg.value === null) why.value = 'Set on the dial where the mark stands now.'
  else {
    why.value = null
    emit('give', { deg: deg.value })
  }
}
function measure() {
  if (rule.kind !== 'distance') return
  const read = parseQuantity(text.value, {
    kind: 'length',
    unit: fieldUnit('mm'),
    span: rule.span,
    label: props.mate.title,
  })
  why.value = read.ok ? null : read.why
  // What is kept is read again in millimetres, whatever the display was then.
  if (read.ok) emit('give', { mm: read.value.value, text: `${Number(read.value.value.toPrecision(12))} mm` })
}
function read() {
  const label = text.value.trim()
  const refusal = readLabel(props.mate, { label })
  why.value = refusal && sentenceOf(refusal)
  if (!why.value) emit('give', { label })
}
function meet() {
  const { a, b } = dots
  if (a === null || b === null) why.value = 'Say it of both sides.'
  else {
    why.value = null
    emit('give', { dots: [a, b] })
  }
}
function again() {
  deg.value = null
  Object.assign(dots, { a: null, b: null })
  text.value = ''
  say.value = ''
  emit('give', undefined)
}
</script>

<template>
  <div class="mate" :class="{ resting }" role="group" :aria-label="mate.title">
    <p class="head">
      <strong>{{ mate.title }}</strong>
      <span v-if="kind === 'seen' && rule.kind === 'seen'">{{ rule.ask }}</span>
      <span v-else-if="kind === 'aligned'"
        >Where {{ carrier.endsWith('s') ? 'are' : 'is' }} the {{ carrier }} now?</span
      >
      <span v-else-if="kind === 'dots'">Where the punch dots meet, how many are there on each side?</span>
      <span v-else-if="kind === 'distance'">How far does it stand from {{ mate.mark!.from }} now?</span>
      <span v-else-if="rule.kind === 'label' && kind === 'label'">{{ rule.ask }}</span>
      <span v-else>Its mark was lost. How was it set without it?</span>
    </p>
    <p v-if="pattern" class="soft">The old one is under tag {{ pattern }}.</p>
    <template v-if="given && !given.notYet && kind !== 'seen'">
      <p class="stands">
        <VerdictMark :verdict="met ? 'Holds' : 'Out'" :word="false" />
        <span class="says"
          >{{ answerText({ mate: mate.id, ...given })
          }}<template v-if="made">; the mark was made as {{ markText(job.plan, made) }}</template
          >. <strong v-if="!met" class="out">{{ miss }}. {{ mate.ifWrong }}.</strong>
        </span>
        <el-button size="small" @click="again">{{ met ? 'Look again' : 'Put it right, look again' }}</el-button>
      </p>
      <IndexDial
        v-if="!met && kind === 'aligned'"
        :model-value="given.deg!"
        fixed
        :held-from="seenFrom"
        :ends="job.plan.sheet.ends"
        :datum="datum"
        :lies="bench.step?.lies"
        :mark="withinTurn(mark!.deg! + (rule.kind === 'aligned' ? (rule.deg ?? 0) : 0))"
      />
    </template>
    <template v-else-if="kind === 'seen' && rule.kind === 'seen'">
      <el-radio-group
        :model-value="given?.notYet ? NOT_YET : (given?.say ?? '')"
        :aria-label="rule.ask"
        @change="choose($event as string)"
      >
        <el-radio-button v-for="one in choicesOf(mate)" :key="one.say" :value="one.say">{{ one.say }}</el-radio-button>
        <el-radio-button :value="NOT_YET">{{ NOT_YET }}</el-radio-button>
      </el-radio-group>
      <p v-if="met === false" class="stands">
        <VerdictMark verdict="Out" :word="false" /><strong class="out">{{ mate.ifWrong }}. Put it right first.</strong>
      </p>
    </template>
    <template v-else>
      <IndexDial
        v-if="kind === 'aligned'"
        v-model="deg"
        :held-from="seenFrom"
        :ends="job.plan.sheet.ends"
        :datum="datum"
        :lies="bench.step?.lies"
      />
      <div v-else-if="kind === 'dots'" class="dots">
        <template v-for="{ side, name } in sides" :key="side">
          <span>{{ name }}</span>
          <DotsPick v-model="dots[side]" :label="`Dots on the ${name}`" :numbers="NUMBERS" />
        </template>
        <el-button type="primary" data-test="meet" @click="meet">They meet so</el-button>
      </div>
      <form v-else-if="kind === 'distance'" class="row" @submit.prevent="measure">
        <QuantityField v-model="text" class="far" :label="mate.title" :unit="fieldUnit('mm')" />
        <el-button type="primary" native-type="submit">It stands there</el-button>
      </form>
      <form v-else-if="kind === 'label'" class="row" @submit.prevent="read">
        <el-input v-model="text" class="figures" maxlength="40" :aria-label="mate.title" autocomplete="off" />
        <el-button type="primary" native-type="submit">It reads that</el-button>
      </form>
      <form v-else class="row" @submit.prevent="say.trim() && choose(say.trim())">
        <el-input v-model="say" maxlength="200" :aria-label="mate.title" placeholder="by the keyway, by the drawing…" />
        <el-button type="primary" native-type="submit">Write it</el-button>
      </form>
      <div class="row">
        <el-button v-if="kind === 'aligned'" type="primary" data-test="stands" @click="stand"
          >It stands there</el-button
        >
        <el-button v-if="!given?.notYet && !stoodWrong" size="small" @click="choose(NOT_YET)"
          >Not to be seen yet</el-button
        >
        <span v-else-if="given?.notYet" class="soft">Not to be seen yet: it stays owed before the cover.</span>
      </div>
    </template>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
  </div>
</template>

<style scoped>
.resting {
  pointer-events: none;
}
.mate {
  display: grid;
  gap: 8px;
  padding: 8px 0;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}
.head strong {
  font: 600 19px var(--heads);
}
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  align-items: center;
}
.row .far,
.row > :deep(.el-input) {
  flex: 1 1 160px;
}
.dots {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 12px;
  align-items: center;
}
.dots .el-button {
  grid-column: 2;
  justify-self: start;
}
.stands {
  display: flex;
  gap: 8px;
  align-items: center;
}
.stands .says {
  flex: 1;
}
.out {
  color: var(--out);
}
</style>
