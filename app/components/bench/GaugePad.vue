<script setup lang="ts">
import {
  cellKey,
  cellsOf,
  isHistory,
  readDraft,
  readingKey,
  showLimits,
  unmetNeeds,
  MOMENT_WORDS,
  type Cell,
  type Payloads,
} from '~~/core/job'
import { fixed } from '~~/core/quantity'
import type { Moment } from '~~/core/sheet'

/** One reading being taken: figures in, working, limit, verdict and consequence out. All of them are the core's. */
const props = defineProps<{ check: string; moment: Moment }>()
const job = useJob()
const bench = useBench()
const { show, fieldUnit, system } = useDisplay()
const check = job.plan.checks.get(props.check)!
const result = computed(() => job.view.results.get(readingKey(check.id, props.moment))!)
const cells = cellsOf(check)
const at = check.at.find(one => one.moment === props.moment)!
const isRenewedAt = at.renewed
/** What has to be done before this can be measured at all. */
const before = computed(() => unmetNeeds(job.plan, job.state, job.plan.steps.get(at.step)!))
/** What fills a place. Of a part renewed since, it fills it no more where the new one is measured. */
const taken = (cell: Cell) => {
  const entry = job.state.readings.get(readingKey(check.id, props.moment))?.get(cellKey(cell.station, cell.plane))
  return entry && !(isRenewedAt && isHistory(job.state, check, entry)) ? entry : undefined
}
const isMissing = (cell: Cell) =>
  result.value.missing.some(one => one.station === cell.station && one.plane === cell.plane)
const firstOpen = () => cells.find(isMissing)
const cell = shallowRef<Cell>(firstOpen() ?? cells[0]!)
const style = useLocalStorage<'signed readings' | 'travels'>('needler-lift-style', 'signed readings')
const draft = useReadingDraft(check, props.moment, cell, style)
const resting = useRest(() => `${props.check} ${props.moment}`)
const working = ref(false)
const correcting = ref(false)
const reason = ref('')
const entered = computed(() => taken(cell.value))
const isRead = computed(() => entered.value !== undefined && !correcting.value)
const open = computed(() => !isRead.value && check.kind !== 'clearance')
const field = useTemplateRef<HTMLInputElement>('field')

/** What stands on the pad, kept or not: one reading of one place, said by the rule that judges the kept ones. */
const says = computed(() => (isRead.value ? readDraft(check, entered.value!) : draft.says.value))
const figures = computed(() => says.value.figures)
const tries = computed(
  () => readDraft(check, { style: style.value, tries: draft.rows.value.map(row => row.map(one => one.value)) }).figures,
)
/** A check worked out from others, and one whose every place is in, is shown whole. */
const isWhole = computed(() => check.kind === 'clearance' || (result.value.missing.length === 0 && isRead.value))
const judged = computed(() => (isWhole.value ? result.value.judgement : says.value.judgement))
const consequence = computed(() => (isWhole.value ? result.value.consequence : says.value.consequence))
const unit = computed(() => (open.value ? draft.unit.value : fieldUnit(check.unit)))
const shownValue = computed(() => (check.kind === 'clearance' ? result.value.value : says.value.value))
const big = computed(() => (shownValue.value === null ? '–' : show(shownValue.value, check).figure))
const full = computed(
  () => draft.figures.value.length >= draft.wanted && draft.figures.value.length % draft.perTry === 0,
)
const found = computed(() =>
  props.moment === 'asLeft' ? job.view.results.get(readingKey(check.id, 'asFound')) : undefined,
)
const askAgain = computed(() => says.value.again !== null && !isRead.value)
const hint = computed(() =>
  draft.perTry === 2
    ? ['one way', 'the other way'][draft.figures.value.length % 2]
    : draft.perTry > 2
      ? `reading ${(draft.figures.value.length % draft.perTry) + 1} of ${draft.perTry}`
      : '',
)
const fit = computed(() => (check.fit && result.value.span ? { ...check.fit, span: result.value.span } : null))

function enter() {
  if (draft.text.value.trim()) draft.take()
  else if (full.value) keep(false)
}
function keep(allTheSame: boolean) {
  if (draft.text.value.trim() && !draft.take()) return
  if (!full.value) {
    const short = Math.ceil((draft.wanted - draft.figures.value.length) / draft.perTry)
    draft.why.value =
      draft.perTry > 1
        ? `${counted(short, 'more try', 'more tries')} of ${draft.perTry} figures wanted.`
        : `${counted(short, 'more try', 'more tries')} wanted.`
    return
  }
  if (askAgain.value && !allTheSame) {
    const odd = says.value.again!.furthest
    draft.why.value = `The tries spread over ${fixed(says.value.range, check.decimals)} mm${odd === null ? '' : `, and try ${odd + 1} stands furthest off`}: more than a quarter of the tolerance. Touch that try to take it away and measure again.`
    return
  }
  const payload: Payloads['reading.taken'] = {
    check: check.id,
    moment: props.moment,
    ...(cell.value.station ? { station: cell.value.station } : {}),
    ...(cell.value.plane ? { plane: cell.value.plane } : {}),
    tries: draft.rows.value.map(row => row.map(one => one.value)),
    texts: draft.rows.value.map(row => row.map(one => one.text)),
    unit: draft.unit.value,
    instrument: check.instrument,
    ...(check.kind === 'lift' ? { style: style.value } : {}),
  }
  draft.why.value = correcting.value
    ? reason.value.trim()
      ? job.act({
          kind: 'entry.corrected',
          payload: { target: entered.value!.entry, why: reason.value.trim(), replacement: payload },
        })
      : 'Say why the first reading is corrected.'
    : job.act({ kind: 'reading.taken', payload })
  if (draft.why.value) return
  draft.clear()
  correcting.value = false
  reason.value = ''
  const next = firstOpen()
  if (next) cell.value = next
  else if (!bench.isDone && bench.hindered.some(one => one.settle.to === 'reading')) bench.look(null)
  void nextTick(() => field.value?.focus({ preventScroll: true }))
}
onMounted(() => field.value?.focus({ preventScroll: true }))
const cellName = (one: Cell) => [one.station, one.plane].filter(Boolean).join(' ')
const tryText = (one: number) => show(one, check).figure
function goTo(place: Cell) {
  cell.value = place
  correcting.value = false
}
</script>

<template>
  <div class="gauge">
    <div class="reading">
      <h2>{{ check.title }}</h2>
      <p class="soft">
        {{ MOMENT_WORDS[moment] }}<template v-if="cell.station">, {{ cell.station }} station</template>
        <template v-if="cell.plane">, plane {{ cell.plane }}</template
        >. {{ check.instrument }}
      </p>
      <p v-if="check.how" class="soft how">{{ check.how }}</p>
      <form v-if="open" class="take" @submit.prevent="enter">
        <label class="sr" for="figure">{{ check.title }}, figure in {{ unit }}</label>
        <input
          id="figure"
          ref="field"
          v-model="draft.text.value"
          class="big figures"
          inputmode="decimal"
          autocomplete="off"
          :placeholder="shownValue === null ? '–' : big"
          :style="{ width: `${Math.max(3, (draft.text.value || big).length)}ch` }"
          data-test="big"
        />
        <span class="unit">{{ unit }}</span>
      </form>
      <p v-else class="big figures" :class="{ none: shownValue === null }" data-test="big">
        {{ big }}<span class="unit">{{ unit }}</span>
      </p>
      <p v-if="open && hint" class="soft">Next: {{ hint }}</p>
      <div v-if="isRead ? figures.length > 1 : draft.figures.value.length" class="tries">
        <template v-if="isRead">
          <span v-for="(one, i) in figures" :key="i" class="try figures">{{ tryText(one) }}</span>
        </template>
        <template v-else-if="draft.perTry === 1">
          <button
            v-for="(one, i) in tries"
            :key="i"
            class="try figures"
            :class="{ odd: askAgain && says.again?.furthest === i }"
            :aria-label="`Try ${i + 1}, ${tryText(one)}; take away`"
            @click="draft.drop(i)"
          >
            {{ tryText(one) }} ✕
          </button>
        </template>
        <template v-else>
          <button
            v-for="(one, i) in draft.figures.value"
            :key="i"
            class="try figures"
            :aria-label="`Figure ${i + 1}; take its try away`"
            @click="draft.drop(i)"
          >
            {{ tryText(one.value) }}
          </button>
        </template>
      </div>
      <p v-if="figures.length > 1 && says.value !== null" class="soft">
        {{ counted(figures.length, 'try', 'tries') }}, range {{ fixed(says.range * 1000, 0) }} µm. Mean
        {{ tryText(says.value) }}.
      </p>
      <p v-if="result.history" class="why">
        Read of the part that was renewed: it stays on the record, and nothing rests on it.
      </p>
    </div>
    <KeyPad v-if="open" v-model="draft.text.value" :sign="draft.perTry > 1" />
    <div class="under">
      <div v-if="cells.length > 1" class="cells" role="group" aria-label="Places to measure">
        <button
          v-for="one in cells"
          :key="cellName(one)"
          class="btn"
          :class="{ on: one === cell }"
          :aria-pressed="one === cell"
          @click="goTo(one)"
        >
          <VerdictMark :verdict="taken(one) ? 'Holds' : 'Open'" :word="false" />{{ cellName(one) }}
        </button>
      </div>
      <ReadingBand
        :limits="check.limits"
        :value="shownValue"
        :others="figures.length > 1 ? figures : []"
        :verdict="judged.verdict"
        :decimals="show(0, check).figure.split('.')[1]?.length ?? 0"
        :scale="one => Number(show(one, check).figure)"
        :ghost="
          found?.value != null ? { value: found.value, text: `as found ${show(found.value, check).figure}` } : null
        "
      />
      <div class="verdict">
        <VerdictMark class="word" :verdict="judged.verdict" />
        <p>
          <template v-if="judged.share !== null"
            >{{ Math.round(judged.share * 100) }} % of the allowance is gone. </template
          >Limit {{ showLimits(check, system) }}, {{ check.source }}.
          <strong v-if="consequence">{{ consequence }}.</strong>
        </p>
      </div>
      <FitBar v-if="fit" :fit="fit" />
      <ol v-if="working" class="working figures">
        <li v-for="(line, i) in result.working" :key="i">
          <span>{{ line.what }}</span>
          <span>{{ line.sum }}</span>
          <b>{{ line.gives }}</b>
        </li>
        <li v-for="note in result.notes" :key="note">
          <em>{{ note }}</em>
        </li>
      </ol>
      <div v-if="correcting">
        <label class="label" for="reason">Why is it corrected?</label>
        <input id="reason" v-model="reason" class="field" maxlength="400" />
      </div>
      <p v-if="draft.why.value" class="why" role="alert">{{ draft.why.value }}</p>
      <p v-else-if="open && before.length" class="soft" data-test="not-yet">
        Cannot be measured yet. First: {{ before[0]!.title }}.
      </p>
      <div class="pad-acts">
        <template v-if="open && !before.length">
          <button
            v-if="draft.text.value.trim() || !full"
            class="btn now"
            data-test="take"
            :disabled="resting"
            @click="enter"
          >
            Take
          </button>
          <button v-else class="btn now" data-test="keep" :disabled="resting" @click="keep(false)">
            {{ correcting ? 'Keep as correction' : result.missing.length > 1 ? 'Keep, next place' : 'Keep' }}
          </button>
        </template>
        <button v-if="askAgain && full" class="btn" @click="keep(true)">Keep all the same</button>
        <button v-if="isRead && entered && !job.isClosed" class="btn" @click="correcting = true">Correct it</button>
        <button v-if="correcting" class="btn" @click="correcting = false">Leave it</button>
        <button v-if="bench.chosenFocus" class="btn" @click="bench.look(null)">Back</button>
        <button class="btn" :aria-expanded="working" @click="working = !working">Working</button>
        <EvidenceLost v-if="result.missing.length" :lost="{ check: check.id, moment }" :by="check.lost" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.gauge {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px 14px;
}
.under {
  grid-column: 1 / -1;
  display: grid;
  gap: 6px;
}
h2 {
  font-size: 22px;
}
.how {
  font-size: 15px;
}
.big {
  font-size: 54px;
  font-weight: 500;
  line-height: 1.1;
  letter-spacing: -0.04em;
  margin: 0;
  overflow-wrap: anywhere;
}
.unit {
  font: 600 22px var(--heads);
  color: var(--soft);
  margin-left: 8px;
  letter-spacing: 0;
}
.big.none,
.big::placeholder {
  color: var(--steel-ink);
  opacity: 1;
}
.take {
  display: flex;
  align-items: baseline;
}
.take .big {
  max-width: calc(100% - 50px);
  min-width: 0;
  border: 0;
  border-bottom: 3px solid var(--brass);
  background: none;
  padding: 0;
  outline: none;
}
.take .big:focus-visible {
  border-bottom-width: 5px;
}
.tries {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 6px;
}
.try {
  border: 1px solid var(--line);
  background: var(--chalk);
  border-radius: 4px;
  padding: 4px 9px;
  font-size: 17px;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
button.try {
  cursor: pointer;
}
.try.odd {
  border: 2px solid var(--out);
}
.cells {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(74px, 1fr));
  gap: 5px;
}
.cells .btn {
  min-height: 46px;
  padding: 0 4px;
  font-size: 15px;
  gap: 4px;
}
.verdict {
  display: flex;
  gap: 12px;
}
.verdict .word {
  font: 600 26px var(--heads);
  align-self: flex-start;
}
.working {
  font-size: 14px;
  max-height: 150px;
  overflow: auto;
}
.working li {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  border-top: 1px solid var(--line);
  padding: 3px 0;
}
.working em {
  font-family: var(--words);
}
@media (max-width: 560px) {
  .gauge {
    grid-template-columns: 1fr;
  }
}
</style>
