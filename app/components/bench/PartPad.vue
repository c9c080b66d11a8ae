<script setup lang="ts">
import { partState, showValue, CHOICES, MOMENT_WORDS, type Severity } from '~~/core/job'
import { clockText } from '~~/core/marks'

/** Everything about one part, and what may be done about it. */
const props = defineProps<{ part: string }>()
const job = useJob()
const bench = useBench()
const { system } = useDisplay()
const one = computed(() => job.plan.parts.get(props.part)!)
const now = computed(() => partState(job.state, props.part))
const checks = computed(() => [...job.view.results.values()].filter(result => result.check.of.includes(props.part)))
const mates = computed(() => job.plan.matesOf.get(props.part) ?? [])
const seen = computed(() => job.state.observations.filter(observation => observation.part === props.part))
const label = ref('')
const finding = ref('')
const severity = ref<Severity>('worn')
const deg = ref<number | null>(null)
const placing = ref(false)
const why = ref<string | null>(null)
const ends: [string, string] = [job.plan.sheet.ends.left, job.plan.sheet.ends.right]
const isAlways = computed(() => one.value.part.renewal === 'always')
const where = computed(() => {
  const said = whereIs(one.value.part, now.value)
  return `${said[0]!.toUpperCase()}${said.slice(1)}${now.value.where === 'off' ? `; came off as number ${now.value.order}` : ''}`
})
const isAway = computed(
  () => !now.value.returned && (now.value.decision?.choice === 'send out' || now.value.decision?.choice === 'rework'),
)
function keepIt() {
  const way = one.value.part.keep === 'bag' ? 'bag' : 'tag'
  if (!label.value.trim()) {
    why.value = `Give the ${way} a number first.`
    return
  }
  why.value = job.act(
    way === 'bag'
      ? { kind: 'part.bagged', payload: { parts: [props.part], bag: label.value.trim() } }
      : { kind: 'part.tagged', payload: { parts: [props.part], tag: label.value.trim() } },
  )
}
function observe() {
  if (!finding.value.trim()) {
    why.value = 'Say what was found.'
    return
  }
  why.value = job.act({
    kind: 'part.observed',
    payload: {
      part: props.part,
      finding: finding.value.trim(),
      severity: severity.value,
      ...(placing.value && deg.value !== null ? { deg: deg.value, seenFrom: 'drive end' } : {}),
    },
  })
  if (!why.value) finding.value = ''
}
const back = () => {
  why.value = job.act({ kind: 'part.returned', payload: { part: props.part } })
}
const takeNew = () => {
  why.value = job.act({
    kind: 'part.renewed',
    payload: {
      part: props.part,
      from: job.plan.sheet.kits.find(kit => kit.id === one.value.part.kit)?.name ?? 'stock',
    },
  })
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
    <form v-if="now.where === 'off' && one.part.keep !== 'lay' && !isAlways" class="row" @submit.prevent="keepIt">
      <label for="label">{{ one.part.keep === 'bag' ? 'Bag' : 'Tag' }}</label>
      <input id="label" v-model="label" class="field figures" maxlength="24" :placeholder="now.kept?.label" />
      <button class="btn" :class="{ now: !now.kept }">{{ one.part.keep === 'bag' ? 'Bag it' : 'Tag it' }}</button>
    </form>
    <div v-if="now.where === 'off' && !isAlways" class="row choices" role="group" aria-label="Decision">
      <button
        v-for="choice in CHOICES"
        :key="choice"
        class="btn"
        :class="{ on: now.decision?.choice === choice }"
        :aria-pressed="now.decision?.choice === choice"
        @click="why = job.act({ kind: 'part.decided', payload: { parts: [part], choice } })"
      >
        {{ choice }}
      </button>
    </div>
    <button v-if="now.where === 'off' && isAway" class="btn now" @click="back">It is back</button>
    <button
      v-if="now.where === 'off' && !now.renewed && (isAlways || now.decision?.choice === 'renew')"
      class="btn now"
      @click="takeNew"
    >
      Take a new one
    </button>
    <ul v-if="checks.length" class="rows">
      <li v-for="result in checks" :key="result.check.id + result.moment">
        <button @click="bench.look({ to: 'reading', check: result.check.id, moment: result.moment })">
          <span
            >{{ result.check.title }} <small class="soft">{{ MOMENT_WORDS[result.moment] }}</small>
          </span>
          <span class="figures">{{ showValue(result.check, result, system) }}</span>
          <VerdictMark :verdict="result.judgement.verdict" :word="false" />
        </button>
      </li>
    </ul>
    <ul v-if="mates.length" class="rows">
      <li v-for="mate in mates" :key="mate.id">
        {{ mate.title
        }}<small class="soft">{{
          job.state.marks.get(mate.id)
            ? `${job.state.marks.get(mate.id)!.carrier} at ${clockText(job.state.marks.get(mate.id)!.deg)} from the ${job.state.marks.get(mate.id)!.seenFrom}`
            : mate.carriedBy === 'mark'
              ? 'no mark yet'
              : mate.rule.kind === 'statement'
                ? mate.rule.ask
                : mate.carriedBy
        }}</small>
      </li>
    </ul>
    <ul v-if="seen.length" class="rows">
      <li v-for="observation in seen" :key="observation.entry">
        {{ observation.finding
        }}<small class="soft"
          >{{ observation.severity
          }}{{
            observation.deg === undefined ? '' : `, at ${clockText(observation.deg)} from the ${observation.seenFrom}`
          }}, {{ job.names.get(observation.by) }}</small
        >
      </li>
    </ul>
    <form v-if="!job.isClosed" class="find" @submit.prevent="observe">
      <label class="label" for="finding">What is seen on it</label>
      <input
        id="finding"
        v-model="finding"
        class="field"
        maxlength="200"
        placeholder="wear track wide, nick, heat checks…"
      />
      <div class="row">
        <button
          v-for="grade in ['sound', 'worn', 'damaged'] as const"
          :key="grade"
          type="button"
          class="btn"
          :class="{ on: severity === grade }"
          :aria-pressed="severity === grade"
          @click="severity = grade"
        >
          {{ grade }}
        </button>
        <button type="button" class="btn" :aria-expanded="placing" @click="placing = !placing">Where</button>
        <button class="btn now">Note it</button>
      </div>
      <IndexDial v-if="placing" v-model="deg" held-from="drive end" :ends="ends" />
    </form>
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
.row .field {
  width: 110px;
}
.choices .btn,
.find .btn {
  padding: 0 12px;
  font-size: 17px;
}
.choices .on,
.find .btn.on {
  background: #1f3a68;
  color: #fff;
}
.find {
  display: grid;
  gap: 7px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
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
.rows button {
  width: 100%;
  min-height: 44px;
  border: 0;
  background: none;
  display: flex;
  gap: 10px;
  align-items: center;
  text-align: left;
  cursor: pointer;
  padding: 0;
}
.rows button span:first-child {
  flex: 1;
}
</style>
