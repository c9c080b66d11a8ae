<script setup lang="ts">
import { PATTERN_REASONS } from '~~/core/joints'
import { progressOf } from '~~/core/job'
import { fixed, parseQuantity } from '~~/core/quantity'
import { judge } from '~~/core/verdict'

/** One joint pulled in order, in passes; the figure is read, judged and kept bolt by bolt. */
const props = defineProps<{ joint: string }>()
const job = useJob()
const joint = job.plan.joints.get(props.joint)!
const progress = computed(() => progressOf(joint, job.state))
const text = useLocalStorage(`needler-bolt-${job.id}-${joint.id}`, '')
const why = ref<string | null>(null)
const field = useTemplateRef<HTMLInputElement>('field')
const read = computed(() => (text.value.trim() ? parseQuantity(text.value, fieldOf()) : null))
const value = computed(() => (read.value?.ok ? read.value.value.value : null))
const begun = computed(() => job.state.joints.get(joint.id)?.passes.some(pass => pass.length))
const limits = computed(() => ({
  min: progress.value.wanted.leastNm,
  max: progress.value.wanted.mostNm,
  best: progress.value.wanted.targetNm,
  warningShare: 0,
}))
const verdict = computed(() => (value.value === null ? ('Open' as const) : judge(value.value, limits.value).verdict))
const newest = computed(() => progress.value.pulled.slice(-2).toReversed())
/** The turns after the next one. */
const then = computed(() => {
  const { order, next } = progress.value
  return next === null ? [] : order.slice(order.indexOf(next) + 1, order.indexOf(next) + 4)
})

function fieldOf() {
  return { kind: 'torque' as const, span: [joint.targetNm * 0.02, joint.targetNm * 3] as const, label: joint.title }
}
function keep(bolt = progress.value.next) {
  const parsed = parseQuantity(text.value, fieldOf())
  why.value = parsed.ok ? null : parsed.why
  if (!parsed.ok || bolt === null || progress.value.pass === null) return
  why.value = job.act({
    kind: 'bolt.pulled',
    payload: {
      joint: joint.id,
      pass: progress.value.pass,
      bolt,
      torqueNm: parsed.value.value,
      text: text.value.trim(),
    },
  })
  if (!why.value) text.value = ''
  void nextTick(() => field.value?.focus({ preventScroll: true }))
}
const slacken = () => {
  why.value = job.act({ kind: 'joint.slackened', payload: { joint: joint.id } })
}
onMounted(() => field.value?.focus({ preventScroll: true }))
watch(
  text,
  () => {
    why.value = null
  },
  { flush: 'sync' },
)
</script>

<template>
  <PadFrame :why="why">
    <template #title>
      {{ joint.title
      }}<template v-if="progress.pass"
        >, pass {{ progress.pass }} of {{ joint.passes.length }}: to
        {{ Math.round(joint.passes[progress.pass - 1]! * 100) }} %</template
      >
    </template>
    <p class="soft">
      {{ joint.hand === 'left' ? 'Left-hand' : 'Right-hand' }} {{ joint.thread }}, class {{ joint.class }},
      {{ joint.lubricant }}. {{ joint.pattern.charAt(0).toUpperCase() + joint.pattern.slice(1) }} order, seen from
      {{ joint.seenFrom === 'above' ? 'above' : `the ${joint.seenFrom}`
      }}{{ begun ? '' : `: ${PATTERN_REASONS[joint.pattern]}` }}.
    </p>
    <div class="work">
      <BoltRing :joint="joint" :progress="progress" />
      <div>
        <template v-if="progress.next">
          <p class="next" data-test="bolt" :data-bolt="progress.next" :data-target="progress.wanted.targetNm">
            Bolt {{ progress.next }} <span v-if="then.length" class="then soft">then {{ then.join(', ') }}</span>
          </p>
          <p class="soft">
            wanted <span class="figures">{{ fixed(progress.wanted.targetNm, 1) }}</span> N·m,
            <span class="figures"
              >{{ fixed(progress.wanted.leastNm, 1) }} to {{ fixed(progress.wanted.mostNm, 1) }}</span
            >
          </p>
          <form @submit.prevent="keep()">
            <label class="sr" for="torque">Torque of bolt {{ progress.next }}, N·m</label>
            <input
              id="torque"
              ref="field"
              v-model="text"
              class="field figures"
              inputmode="decimal"
              autocomplete="off"
              placeholder="N·m"
            />
            <button class="btn now" data-test="pull" type="submit">Keep</button>
          </form>
        </template>
        <p v-else-if="progress.verdict === 'Holds'" class="whole">
          <VerdictMark verdict="Holds" /> every bolt in order and in its span.
        </p>
        <ul class="newest">
          <li v-for="one in newest" :key="one.bolt">
            <span class="figures">{{ one.bolt }}</span>
            <span class="figures">{{ fixed(one.torqueNm, 1) }}</span>
            <VerdictMark :verdict="one.verdict" :word="false" />
          </li>
        </ul>
        <button v-if="begun && !job.isClosed" class="btn" @click="slacken">Slacken and start again</button>
      </div>
    </div>
    <ReadingBand v-if="progress.next" :limits="limits" :value="value" :verdict="verdict" :decimals="0" />
    <p v-for="fault in progress.faults" :key="fault" class="why" role="alert">{{ fault }}</p>
  </PadFrame>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: 1.25fr 1fr;
  gap: 14px;
  align-items: start;
}
.next {
  font: 600 44px/1 var(--heads);
}
form {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  margin: 6px 0;
}
form .field {
  font-size: 24px;
  min-width: 0;
}
.newest {
  flex: none;
}
.newest li {
  display: flex;
  gap: 16px;
  border-top: 1px solid var(--line);
  padding: 4px 2px;
}
.then {
  font: 400 16px var(--words);
}
.newest + .btn {
  width: 100%;
  margin-top: 4px;
}
.whole {
  font-size: 18px;
  padding: 10px 0;
}
</style>
