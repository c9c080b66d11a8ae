<script setup lang="ts">
import {
  accountedFor,
  allSaid,
  canBeReopened,
  labelOf,
  lookedText,
  looksAt,
  countKey,
  countText,
  markText,
  newFrom,
  offWith,
  partName,
  partState,
  resultOf,
  showValue,
  verdictOfLooked,
  MOMENT_WORDS,
  type PieceCount,
  type Stamp,
} from '~~/core/job'
import type { Decision } from '~~/core/sheet'

/** Everything about one part, and what may be done about it. */
const props = defineProps<{ part: string }>()
const job = useJob()
const bench = useBench()
const { system } = useDisplay()
const one = computed(() => job.plan.parts.get(props.part)!)
const now = computed(() => partState(job.state, props.part))
const checks = computed(() => [...job.view.results.values()].filter(result => result.check.of.includes(props.part)))
const mates = computed(() => job.plan.matesOf.get(props.part) ?? [])
/** What was seen on it as it is now, and what is to be looked at. */
const seen = computed(() =>
  looksAt(job.state, props.part).map(one => ({
    ...one,
    text: lookedText(job.plan, one),
    verdict: verdictOfLooked(job.plan, one),
  })),
)
const toLookAt = computed(() =>
  [...job.plan.looks.values()].filter(
    look => look.of.includes(props.part) && !seen.value.some(one => one.look === look.id),
  ),
)
const label = ref('')
const why = ref<string | null>(null)
const isAlways = computed(() => one.value.part.renewal === 'always')
const where = computed(() => {
  const on = offWith(job.plan, job.state, props.part)
  const said = whereIs(one.value.part, now.value, on === null ? undefined : partName(job.plan, on))
  return `${said[0]!.toUpperCase()}${said.slice(1)}${now.value.where === 'off' ? `; came off as number ${now.value.order}` : ''}`
})
/** The step that fitted it, where that can be taken up again. */
const again = computed(() => {
  const step = now.value.where === 'fitted' ? job.plan.fittedBy.get(props.part) : undefined
  return step && !job.isClosed && job.state.steps.has(step.id) && canBeReopened(job.plan, step) ? step : null
})
const isAway = computed(
  () => !now.value.returned && (now.value.decision?.choice === 'send out' || now.value.decision?.choice === 'rework'),
)
/** What it is kept under. */
const way = computed(() => labelOf(one.value.part))
function keepIt() {
  if (!label.value.trim()) {
    why.value = `Give the ${way.value} a number first.`
    return
  }
  why.value = job.act(
    way.value === 'bag'
      ? { kind: 'part.bagged', payload: { parts: [props.part], bag: label.value.trim() } }
      : { kind: 'part.tagged', payload: { part: props.part, tag: label.value.trim() } },
  )
}
const back = () => {
  why.value = job.act({ kind: 'part.returned', payload: { part: props.part } })
}
const takeNew = () => {
  why.value = job.act({
    kind: 'part.renewed',
    payload: { part: props.part, from: newFrom(one.value.part) },
  })
}
/** Pieces counted, out and in; another count stands for the older one. */
const counts = computed(() =>
  one.value.part.quantity
    ? (['out', 'in'] as const)
        .filter(way => now.value.where === 'fitted' || (way === 'out' && now.value.where === 'off'))
        .map(way => {
          const count = job.state.counts.get(countKey(props.part, way))
          return { way, count, n: count?.n, short: count ? one.value.part.quantity! - accountedFor(count) : 0 }
        })
    : [],
)
/** What of this part was decided or counted on two tablets that had not seen each other. */
const unseen = computed(() =>
  [
    now.value.decision
      ? allSaid<Stamp & { choice: Decision }>(now.value.decision).map(said => [said.by, said.choice] as const)
      : [],
    ...counts.value.map(({ way }) => {
      const counted = job.state.counts.get(countKey(props.part, way))
      return counted
        ? allSaid<Stamp & PieceCount>(counted).map(said => [said.by, `${countText(said)} ${way}`] as const)
        : []
    }),
  ]
    .filter(said => said.length > 1)
    .map(said => said.map(([by, words]) => ({ by, words }))),
)
const recount = (
  way: 'out' | 'in',
  n: number | null | undefined,
  more: Pick<PieceCount, 'absent' | 'fromStock'> = {},
) => {
  if (n !== null && n !== undefined)
    why.value = job.act({ kind: 'pieces.counted', payload: { part: props.part, way, n, ...more } })
}
const missing = ({ way, short }: (typeof counts.value)[number]) =>
  way === 'in'
    ? `${short} new from stock`
    : short > 1
      ? `The other ${short} were not there when we came`
      : 'The other one was not there when we came'
/** What is short is accounted for: it was never there, or a new one goes in for it. */
const account = ({ way, count, short }: (typeof counts.value)[number]) => {
  const { n, absent = 0, fromStock = 0 } = count!
  recount(way, n, way === 'out' ? { absent: absent + short } : { fromStock: fromStock + short })
}
</script>

<template>
  <PadFrame :why="why">
    <template #title>
      <span class="figures no">{{ one.part.item }}</span> {{ one.name }}
    </template>
    <p>
      {{ where }}. {{ one.part.quantity ? `${one.part.quantity} of them. ` : ''
      }}{{ one.part.massKg ? `${one.part.massKg} kg. ` : ''
      }}{{
        isAlways
          ? `Always renewed: ${one.part.renewalWhy}.`
          : one.part.lookalike
            ? `Looks like other ${one.part.lookalike}; keep apart.`
            : ''
      }}
    </p>
    <p v-for="face in one.part.faces" :key="face.face" class="soft">{{ face.face }}: {{ face.medium }}</p>
    <form v-if="now.where === 'off' && way" class="row" @submit.prevent="keepIt">
      <label for="label">{{ way === 'bag' ? 'Bag' : 'Tag' }}</label>
      <el-input id="label" v-model="label" class="figures" maxlength="24" :placeholder="now.kept?.label" />
      <el-button native-type="submit" :type="now.kept ? undefined : 'primary'">{{
        way === 'bag' ? 'Bag it' : 'Tag it'
      }}</el-button>
    </form>
    <div v-for="count in counts" :key="count.way" class="row">
      <span>Pieces {{ count.way === 'out' ? 'that came off' : 'that went back' }}, of {{ one.part.quantity }}</span>
      <el-input-number
        :model-value="count.n ?? null"
        :min="0"
        :max="999"
        :precision="0"
        :disabled="job.isClosed"
        :aria-label="`Pieces, ${count.way}`"
        @change="n => recount(count.way, n)"
      />
      <span v-if="count.count && accountedFor(count.count) !== count.n" class="soft">{{ countText(count.count) }}</span>
      <el-button v-if="count.short > 0 && !job.isClosed" data-test="account" @click="account(count)">
        {{ missing(count) }}
      </el-button>
    </div>
    <DecisionPick
      v-if="now.where === 'off' && !isAlways"
      :parts="[part]"
      label="Decision"
      @refused="text => (why = text)"
    />
    <UnseenNote v-for="(said, i) in unseen" :key="i" :said="said" />
    <el-button v-if="now.where === 'off' && isAway" type="primary" @click="back">It is back</el-button>
    <el-button
      v-if="now.where === 'off' && !now.renewed && (isAlways || now.decision?.choice === 'renew')"
      type="primary"
      @click="takeNew"
    >
      Take a new one
    </el-button>
    <el-button v-if="one.part.bench && now.where === 'off'" @click="bench.look({ to: 'child', part })">
      Its own bench
    </el-button>
    <el-button v-if="again" data-test="take-up-again" @click="bench.look({ to: 'reopen', step: again.id })">
      Take up again: {{ again.title }}
    </el-button>
    <ul v-if="checks.length" class="rows">
      <li v-for="result in checks" :key="result.check.id + result.moment">
        <el-button class="opens" @click="bench.look({ to: 'reading', check: result.check.id, moment: result.moment })">
          <span
            >{{ result.check.title }} <small class="soft">{{ MOMENT_WORDS[result.moment] }}</small>
          </span>
          <span class="figures">{{ showValue(result.check, resultOf(result, part), system) }}</span>
          <VerdictMark :verdict="resultOf(result, part).judgement.verdict" :word="false" />
        </el-button>
      </li>
    </ul>
    <ul v-if="mates.length" class="rows">
      <li v-for="mate in mates" :key="mate.id">
        {{ mate.title
        }}<small class="soft">{{
          job.state.marks.has(mate.id)
            ? markText(job.plan, job.state.marks.get(mate.id)!)
            : mate.mark
              ? 'no mark yet'
              : mate.rule.kind === 'seen'
                ? mate.rule.ask
                : mate.carriedBy
        }}</small>
      </li>
    </ul>
    <ul v-if="seen.length || toLookAt.length" class="rows">
      <li v-for="sight in seen" :key="sight.entry">
        <el-button class="opens" @click="bench.look({ to: 'look', part, ...(sight.look ? { look: sight.look } : {}) })">
          <span
            >{{ sight.text }} <small class="soft">{{ job.names.get(sight.by) }}</small></span
          >
          <VerdictMark :verdict="sight.verdict" :word="false" />
        </el-button>
      </li>
      <li v-for="look in toLookAt" :key="look.id">
        <el-button class="opens" @click="bench.look({ to: 'look', part, look: look.id })">
          <span>{{ look.title }} <small class="soft">not looked at yet</small></span>
          <VerdictMark verdict="Open" :word="false" />
        </el-button>
      </li>
    </ul>
    <el-button v-if="!job.isClosed" data-test="see" @click="bench.look({ to: 'look', part })">
      What is seen on it
    </el-button>
  </PadFrame>
</template>

<style scoped>
.no {
  background: #1f3a68;
  color: #fff;
  border-radius: 3px;
  padding: 1px 8px;
  font-size: 19px;
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.row :deep(.el-input) {
  width: 130px;
}
.rows {
  flex: none !important;
  min-height: 0 !important;
}
.rows li {
  padding: 5px 0;
  min-height: 34px;
}
.rows li small {
  margin-left: 10px;
  font-size: 15px;
}
.rows .el-button :deep(span) > span:first-child {
  flex: 1;
}
</style>
