<script setup lang="ts">
import {
  PATTERN_REASONS,
  torqueDoubt,
  torqueText,
  WRENCH_UNITS,
  WRENCH_UNIT_WORDS,
  type WrenchUnit,
} from '~~/core/joints'
import { progressOf } from '~~/core/job'
import { parseQuantity } from '~~/core/quantity'
import { judge } from '~~/core/verdict'

/**
 * One joint torqued in passes, bolt by bolt: the wrench set once a pass and clicked, or read off each time. Any bolt can be
 * said; one out of its turn is named before it is kept.
 */
const props = defineProps<{ joint: string }>()
const job = useJob()
const may = useMay()
const { fieldUnit } = useDisplay()
const joint = job.plan.joints.get(props.joint)!
const progress = computed(() => progressOf(joint, job.state))
const MODES = [
  { value: 'clicked', label: 'Set and clicked' },
  { value: 'read', label: 'Read off' },
] as const
const how = useLocalStorage<'clicked' | 'read'>('needler-wrench-how', 'clicked')
const chosenUnit = useLocalStorage<WrenchUnit | ''>('needler-wrench-unit', '')
const unit = computed({
  get: (): WrenchUnit => chosenUnit.value || (fieldUnit('N·m') as WrenchUnit),
  set: one => {
    chosenUnit.value = one
  },
})
/** What the wrench was set to, in this pass and for no other. */
const set = useLocalStorage<{ pass: number; nm: number; text: string } | null>(
  `needler-wrench-${job.id}-${joint.id}`,
  null,
  { serializer: { read: text => JSON.parse(text), write: one => JSON.stringify(one) } },
)
const text = useLocalStorage(`needler-bolt-${job.id}-${joint.id}`, '')
const why = ref<string | null>(null)
const doubt = ref<{ ask: string; other: WrenchUnit | null } | null>(null)
const chosen = ref<number | null>(null)
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')

const pass = computed(() => progress.value.pass)
const bolt = computed(() => chosen.value ?? progress.value.next)
const isOutOfTurn = computed(() => chosen.value !== null && chosen.value !== progress.value.next)
const setNow = computed(() => (how.value === 'clicked' && set.value?.pass === pass.value ? set.value : null))
const begun = computed(() => job.state.joints.get(joint.id)?.passes.some(one => one.length))
const limits = computed(() => ({
  min: progress.value.wanted.leastNm,
  max: progress.value.wanted.mostNm,
  best: progress.value.wanted.targetNm,
  warningShare: 0,
}))
const read = computed(() => (text.value.trim() ? parseQuantity(text.value, fieldOf(unit.value)) : null))
const value = computed(() => setNow.value?.nm ?? (read.value?.ok ? read.value.value.value : null))
const verdict = computed(() => (value.value === null ? ('Open' as const) : judge(value.value, limits.value).verdict))
const newest = computed(() => progress.value.pulled.slice(-2).toReversed())
/** The turns after the next one. */
const then = computed(() => {
  const { order, next } = progress.value
  return next === null ? [] : order.slice(order.indexOf(next) + 1, order.indexOf(next) + 4)
})
const say = (nm: number) => torqueText(nm, unit.value)
/** One press, one bolt: a second press on the same spot does nothing until the next one stands there. */
const resting = useRest(() => `${pass.value} ${bolt.value} ${setNow.value?.nm}`)

function fieldOf(as: WrenchUnit) {
  return {
    kind: 'torque' as const,
    unit: as,
    span: [joint.targetNm * 0.02, joint.targetNm * 3] as const,
    label: joint.title,
  }
}
const focus = () => void nextTick(() => field.value?.focus())
function refuse(words: string) {
  why.value = words
  void nextTick(() => field.value?.select())
}

/** The figure in the field, once it is sure: in the wrench's unit, or the one it must have been in. */
function figure(as: WrenchUnit, isSure: boolean): { nm: number; text: string } | null {
  const parsed = parseQuantity(text.value, fieldOf(as))
  if (!parsed.ok) {
    refuse(parsed.why)
    return null
  }
  const typed = Number(text.value.replace(',', '.'))
  doubt.value = isSure || Number.isNaN(typed) ? null : torqueDoubt(typed, as, progress.value.wanted)
  if (doubt.value) return null
  return {
    nm: parsed.value.value,
    text: Number.isNaN(typed) ? text.value.trim() : `${typed} ${WRENCH_UNIT_WORDS[as]}`,
  }
}
function take(as: WrenchUnit = unit.value, isSure = false) {
  const got = figure(as, isSure)
  if (!got || pass.value === null) return
  if (as !== unit.value) unit.value = as
  text.value = ''
  if (how.value === 'clicked') set.value = { pass: pass.value, ...got }
  else keep(got, 'read')
}
function keep(got: { nm: number; text: string }, way: 'read' | 'clicked') {
  if (bolt.value === null || pass.value === null) return
  why.value = job.act({
    kind: 'bolt.pulled',
    payload: { joint: joint.id, pass: pass.value, bolt: bolt.value, torqueNm: got.nm, text: got.text, how: way },
  })
  if (why.value) return
  chosen.value = null
  if (way === 'read') focus()
}
function choose(one: number) {
  if (progress.value.next === null) return
  chosen.value = one === progress.value.next ? null : one
}
const slacken = () => {
  why.value = job.act({ kind: 'joint.slackened', payload: { joint: joint.id } })
  chosen.value = null
}
onMounted(focus)
watch(
  text,
  () => {
    why.value = null
    doubt.value = null
  },
  { flush: 'sync' },
)
</script>

<template>
  <PadFrame :why="why">
    <template #title>
      {{ joint.title
      }}<template v-if="pass">
        · pass {{ pass }} of {{ joint.passes.length }}, {{ Math.round(joint.passes[pass - 1]! * 100) }} %</template
      >
    </template>
    <p class="soft">
      {{ joint.hand === 'left' ? 'Left-hand' : 'Right-hand' }} {{ joint.thread }}, class {{ joint.class }},
      {{ joint.lubricant }}. {{ joint.pattern.charAt(0).toUpperCase() + joint.pattern.slice(1) }} order, seen from
      {{ joint.seenFrom === 'above' ? 'above' : `the ${joint.seenFrom}`
      }}{{ begun ? '' : `: ${PATTERN_REASONS[joint.pattern]}` }}.
    </p>
    <div class="work">
      <BoltRing :joint="joint" :progress="progress" :chosen="chosen" @choose="choose" />
      <div v-if="bolt !== null" class="do">
        <p class="next" data-test="bolt" :data-bolt="bolt" :data-target="progress.wanted.targetNm">
          Bolt {{ bolt }} <span v-if="then.length && !isOutOfTurn" class="then soft">then {{ then.join(', ') }}</span>
        </p>
        <p class="soft">
          <span class="figures">{{ say(progress.wanted.leastNm) }}</span> to
          <span class="figures">{{ say(progress.wanted.mostNm) }}</span>
        </p>
        <div v-if="isOutOfTurn" class="doubt" role="alert">
          It is the turn of bolt {{ progress.next }}. Kept out of turn, the joint has to be slackened and begun again.
          <el-button size="small" @click="chosen = null">Bolt {{ progress.next }} instead</el-button>
        </div>
        <template v-if="setNow">
          <el-button
            type="primary"
            class="click"
            data-test="clicked"
            :disabled="resting || !may('bolt.pulled')"
            @click="keep(setNow, 'clicked')"
          >
            Bolt {{ bolt }} clicked
          </el-button>
          <p class="set">
            <span
              >Set to <b class="figures">{{ setNow.text }}</b></span
            >
            <el-button text @click="set = null">Change</el-button>
          </p>
        </template>
        <form v-else @submit.prevent="take()">
          <QuantityField
            ref="field"
            v-model="text"
            name="torque"
            :label="how === 'clicked' ? 'The wrench is set to' : `Torque of bolt ${bolt}`"
            :unit="WRENCH_UNIT_WORDS[unit]"
            :placeholder="how === 'clicked' ? 'wrench set to' : 'as read'"
          />
          <el-button type="primary" data-test="pull" native-type="submit" :disabled="resting">
            {{ how === 'clicked' ? 'It is set' : `Keep bolt ${bolt}` }}
          </el-button>
        </form>
        <KeyPad v-if="!setNow" v-model="text" :replace="why !== null" />
      </div>
      <div v-else class="do">
        <p v-if="progress.verdict === 'Holds'" class="whole">
          <VerdictMark verdict="Holds" /> every bolt in order and in its span.
        </p>
        <el-button v-else-if="begun && !job.isClosed" type="primary" @click="slacken">
          Slacken and start again
        </el-button>
      </div>
    </div>
    <div v-if="doubt" class="doubt" role="alert">
      <p>{{ doubt.ask }}</p>
      <el-button v-if="doubt.other" type="primary" data-test="other-unit" @click="take(doubt.other, true)">
        It was {{ text }} {{ WRENCH_UNIT_WORDS[doubt.other] }}
      </el-button>
      <el-button data-test="sure" @click="take(unit, true)">It is {{ text }} {{ WRENCH_UNIT_WORDS[unit] }}</el-button>
      <el-button @click="doubt = null">Type it again</el-button>
    </div>
    <ReadingBand
      v-if="bolt !== null"
      :limits="limits"
      :value="value"
      :verdict="verdict"
      :decimals="0"
      :scale="nm => Number(torqueText(nm, unit).split(' ')[0])"
    />
    <p v-for="fault in progress.faults" :key="fault" class="why" role="alert">{{ fault }}</p>
    <div class="foot">
      <el-segmented v-model="how" :options="[...MODES]" aria-label="How the wrench is used" />
      <el-segmented
        v-model="unit"
        :options="WRENCH_UNITS.map(one => ({ value: one, label: WRENCH_UNIT_WORDS[one] }))"
        aria-label="Unit of the wrench"
      />
      <span v-for="one in newest" :key="one.bolt" class="kept figures">
        <VerdictMark :verdict="one.verdict" :word="false" />{{ one.bolt }}: {{ say(one.torqueNm) }}
      </span>
      <el-button v-if="begun && bolt !== null && !job.isClosed" text @click="slacken"
        >Slacken and start again</el-button
      >
    </div>
  </PadFrame>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: 1.25fr 1fr;
  gap: 14px;
  align-items: start;
}
.do {
  display: grid;
  gap: 6px;
  align-content: start;
}
.next {
  font: 600 44px/1 var(--heads);
}
.set {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.do .click {
  min-height: 68px;
  font-size: 26px;
}
form {
  display: grid;
  gap: 6px;
}
.then {
  font: 400 16px var(--words);
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
.kept {
  display: inline-flex;
  gap: 5px;
  align-items: center;
  font-size: 15px;
}
.whole {
  font-size: 18px;
  padding: 10px 0;
}
</style>
