<script setup lang="ts">
import { passesOf, PATTERN_REASONS, torqueText, type Pattern } from '~~/core/joints'
import { boltCount, isBegun, isDrawnUp, ordersOf, progressOf, pullText } from '~~/core/job'
import { viewWords } from '~~/core/sheet'

/**
 * One joint drawn up pass by pass, bolt by bolt, by torque, by turn or by feel, and locked. Any bolt can be said; one out of
 * its turn is named before it is kept.
 */
const props = defineProps<{ joint: string }>()
const job = useJob()
const bench = useBench()
const joint = job.plan.joints.get(props.joint)!
const passes = passesOf(joint)
const isSingle = boltCount(joint) === 1
const progress = computed(() => progressOf(joint, job.state))
const way = computed(() => (bench.step?.joint?.id === joint.id && bench.step.joint.act === 'nip' ? 'nip' : 'pull'))
const isUp = computed(() => isDrawnUp(joint, way.value, progress.value))
const begun = computed(() => isBegun(job.state, joint.id))
const orders = ordersOf(joint)
const order = ref<Pattern>(joint.pattern)
const orderNow = computed(() => (begun.value ? (job.state.joints.get(joint.id)!.order ?? joint.pattern) : order.value))
/** As the joint would be drawn up in the order that is chosen, while it is not begun. */
const shown = computed(() => (begun.value ? progress.value : progressOf({ ...joint, pattern: order.value }, job.state)))
const chosen = ref<number | null>(null)
const why = ref<string | null>(null)
const pass = computed(() => (isUp.value ? null : shown.value.pass))
const wanted = computed(() => shown.value.wanted)
const next = computed(() => (isUp.value ? null : shown.value.next))
const bolt = computed(() => (next.value === null ? null : (chosen.value ?? next.value)))
const isOutOfTurn = computed(() => chosen.value !== null && chosen.value !== next.value)
const newest = computed(() => shown.value.pulled.slice(-2).toReversed())
/** The turns after the next one. */
const then = computed(() => {
  const all = shown.value.order
  return next.value === null ? [] : all.slice(all.indexOf(next.value) + 1, all.indexOf(next.value) + 4)
})
/** One press, one bolt: a second press on the same spot does nothing until the next one stands there. */
const resting = useRest(() => `${pass.value} ${bolt.value}`)

function keep(pull: {
  torqueNm?: number
  text?: string
  how?: 'read' | 'clicked'
  deg?: number
  felt?: string
}): boolean {
  if (bolt.value === null || pass.value === null) return false
  const own = orderNow.value === joint.pattern ? {} : { order: orderNow.value }
  why.value = job.act({
    kind: 'bolt.pulled',
    payload: { joint: joint.id, pass: pass.value, bolt: bolt.value, ...pull, ...own },
  })
  if (!why.value) chosen.value = null
  return why.value === null
}
function choose(one: number) {
  if (next.value === null) return
  chosen.value = one === next.value ? null : one
}
const slacken = () => {
  why.value = job.act({ kind: 'joint.slackened', payload: { joint: joint.id } })
  chosen.value = null
}
const passWords = computed(() => {
  if (pass.value === null || !wanted.value) return ''
  const share = wanted.value.by === 'torque' ? `, ${Math.round((wanted.value.target / joint.targetNm!) * 100)} %` : ''
  return passes.length === 1 ? '' : ` · pass ${pass.value} of ${passes.length}${share}`
})
const unit = useWrenchUnit()
const spanWords = computed(() => {
  const now = wanted.value
  if (!now || now.by === 'felt') return ''
  if (now.by === 'turn') return `${now.target}° (${now.least} to ${now.most})`
  // The unit stands in the field.
  const [target, least, most] = [now.target, now.least, now.most].map(nm => torqueText(nm, unit.value).split(' ')[0])
  return `${target} (${least} to ${most})`
})
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
</script>

<template>
  <PadFrame :why="why">
    <template #title>{{ joint.title }}{{ passWords }}</template>
    <p class="soft">
      {{ begun ? '' : `${joint.thread}, class ${joint.class}, ${joint.lubricant}. `
      }}{{ isSingle ? 'Seen' : `${capital(orderNow)} order, seen` }} from {{ viewWords(joint.seenFrom) }}.
      <HandOfThread v-if="begun" :hand="joint.hand" way="tighten" />
    </p>
    <div class="work">
      <div class="ring">
        <BoltRing :joint="joint" :progress="shown" :chosen="chosen" way="tighten" @choose="choose" />
        <HandOfThread v-if="!begun" :hand="joint.hand" way="tighten" />
        <template v-if="!begun && orders.length > 1">
          <el-segmented v-model="order" direction="vertical" :options="orders" aria-label="Order of the bolts" />
          <small class="soft">{{ PATTERN_REASONS[orderNow] }}</small>
        </template>
      </div>
      <div v-if="bolt !== null && pass !== null" class="do">
        <p
          class="next"
          data-test="bolt"
          :data-bolt="bolt"
          :data-pass="pass"
          :data-target="wanted && wanted.by !== 'felt' ? wanted.target : undefined"
        >
          {{ isSingle ? '' : `Bolt ${bolt}` }}
          <span class="soft">
            <span v-if="wanted && wanted.by !== 'felt'" class="span">{{ spanWords }}</span>
            <span v-if="then.length && !isOutOfTurn">then {{ then.join(', ') }}</span>
          </span>
        </p>
        <div v-if="isOutOfTurn" class="doubt" role="alert">
          It is the turn of bolt {{ next }}. Kept out of turn, the joint has to be slackened and begun again.
          <el-button size="small" @click="chosen = null">Bolt {{ next }} instead</el-button>
        </div>
        <TorquePull
          v-if="wanted?.by === 'torque'"
          :joint="joint"
          :wanted="wanted"
          :pass="pass"
          :bolt="bolt"
          :resting="resting"
          :keep="keep"
        />
        <TurnPull v-else-if="wanted?.by === 'turn'" :wanted="wanted" :bolt="bolt" :resting="resting" :keep="keep" />
        <FeltPull v-else-if="wanted?.by === 'felt'" :wanted="wanted" :resting="resting" :keep="keep" />
      </div>
      <div v-else class="do">
        <p v-if="isUp" class="whole">
          <VerdictMark verdict="Holds" />
          {{ progress.verdict === 'Holds' ? 'every bolt in order and as wanted.' : 'nipped; the rest comes later.' }}
        </p>
        <el-button v-else-if="begun && !job.isClosed" type="primary" @click="slacken">
          Slacken and start again
        </el-button>
        <LockingAsk v-if="joint.locking && progress.verdict === 'Holds' && !job.isClosed" :joint="joint" />
      </div>
    </div>
    <div id="below-bolt" class="below" />
    <p v-for="fault in shown.faults" :key="fault" class="why" role="alert">{{ fault }}</p>
    <div v-if="bolt !== null" class="foot">
      <span v-for="one in newest" :key="one.bolt" class="kept figures">
        <VerdictMark :verdict="one.verdict" :word="false" />{{ one.bolt }}: {{ pullText(one) }}
      </span>
      <el-button v-if="begun && !job.isClosed" text @click="slacken">Slacken and start again</el-button>
    </div>
  </PadFrame>
</template>

<style scoped>
.next {
  white-space: nowrap;
  display: flex;
  gap: 12px;
  align-items: center;
}
.next > .soft {
  display: grid;
  font: 400 15px/1.25 var(--words);
}
.span {
  color: var(--ink);
}
.ring small {
  text-align: center;
  font-size: 15px;
}
.below {
  display: grid;
  gap: 8px;
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
