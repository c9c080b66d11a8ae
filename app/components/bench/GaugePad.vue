<script setup lang="ts">
import { readingKey, showLimits, MOMENT_WORDS, type Cell } from '~~/core/job'
import type { Moment } from '~~/core/sheet'

/** One reading being taken: figures in, working, limit, verdict and consequence out. All of them are the core's. */
const props = defineProps<{ check: string; moment: Moment }>()
const job = useJob()
const bench = useBench()
const { show, fieldUnit, system, text: sayFigure } = useDisplay()
const { check } = job.view.results.get(readingKey(props.check, props.moment))!
const one = useReading(check, props.moment)
const { result, before, cells, cell, draft, lead, says, entered, isRead, isOpen, isFull, disagree, doubt } = one
const { correcting, moving, reason } = one
const resting = useRest(() => `${props.check} ${props.moment}`)
const working = ref(false)
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')

const figures = computed(() => says.value.figures)
/** A check worked out from others, and one whose every place is in, is shown whole. */
const isWhole = computed(() => check.kind === 'clearance' || (result.value.missing.length === 0 && isRead.value))
const judged = computed(() => (isWhole.value ? result.value.judgement : says.value.judgement))
const consequence = computed(() => (isWhole.value ? result.value.consequence : says.value.consequence))
const unit = computed(() => (isOpen.value ? draft.unit.value : fieldUnit(check.unit)))
const value = computed(() => (check.kind === 'clearance' ? result.value.value : says.value.value))
/** The mean of tries that disagree means nothing: then what stands is from where to where. */
const scatter = computed(() => (isWhole.value ? result.value.scatter : says.value.scatter))
const big = computed(() =>
  value.value === null
    ? '–'
    : scatter.value
      ? scatter.value.map(end => show(end, check).figure).join(' … ')
      : show(value.value, check).figure,
)
const found = computed(() =>
  props.moment === 'asLeft' ? job.view.results.get(readingKey(check.id, 'asFound')) : undefined,
)
const last = computed(() => job.about.last[check.id])
const ghost = computed(() =>
  found.value?.value != null
    ? { value: found.value.value, text: `as found ${show(found.value.value, check).figure}` }
    : last.value !== undefined
      ? { value: last.value, text: `last overhaul ${show(last.value, check).figure}` }
      : null,
)
const minus = computed(() => check.span[0] < 0)
const shown = computed(() => ({
  share:
    judged.value.share === null
      ? ''
      : judged.value.share > 3
        ? 'More than three times the allowance is gone. '
        : `${Math.round(judged.value.share * 100)} % of the allowance is gone. `,
}))
const hint = computed(() => {
  const at = draft.figures.value.length
  if (draft.perTry === 2) return `Next: ${['one way', 'the other way'][at % 2]}`
  if (draft.perTry > 2) return `Next: reading ${(at % draft.perTry) + 1} of ${draft.perTry}`
  return draft.wanted > 1 && at < draft.wanted ? `Try ${at + 1} of ${draft.wanted}` : ''
})
const fit = computed(() => (check.fit && result.value.span ? { ...check.fit, span: result.value.span } : null))
const stillWanted = computed(() => Math.ceil((draft.wanted - draft.figures.value.length) / draft.perTry))
const cellVerdict = (place: Cell) => one.taken(place) && one.verdictOf(place)

function retype() {
  doubt.value = null
  field.value?.select()
}
function take(isSure = false) {
  const typed = draft.text.value.trim()
  if (!typed && !isFull.value)
    draft.why.value = `${counted(stillWanted.value, 'more try', 'more tries')} wanted. Type the figure, then Take.`
  else one.take(isSure)
  void nextTick(() => (draft.why.value && typed ? field.value?.select() : field.value?.focus()))
}
onMounted(() => field.value?.focus())
</script>

<template>
  <GaugeFrame :title="check.title">
    <template #reading>
      <p class="soft">
        {{ MOMENT_WORDS[moment]
        }}<template v-if="cell.station"
          >, <b>{{ cell.station }}</b></template
        >
        <template v-if="cell.plane"
          >, <b>plane {{ cell.plane }}</b></template
        >. {{ check.instrument }}
      </p>
      <p v-if="check.how" class="soft how">{{ check.how }}</p>
      <form v-if="isOpen" class="take" @submit.prevent="take()">
        <QuantityField
          ref="field"
          v-model="draft.text.value"
          name="figure"
          big
          :label="`${check.title}, figure`"
          :unit="unit"
          :lead="draft.text.value && !draft.whole.value.assumed && draft.text.value.length > 2 ? null : lead"
          :placeholder="lead ? '··' : value === null ? '–' : big"
        />
      </form>
      <p v-else class="big figures" :class="{ none: value === null }" data-test="big">
        {{ big }} <span class="unit">{{ fieldUnit(check.unit) }}</span>
      </p>
      <p class="stands">
        <VerdictMark v-if="value !== null" class="word" :verdict="judged.verdict" />
        <span v-if="isOpen && hint" class="hint">{{ hint }}</span>
      </p>
      <ReadingTries
        :draft="draft"
        :kept="isRead ? figures : null"
        :odd="disagree ? (says.again?.furthest ?? null) : null"
        :check="check"
      />
      <p v-if="figures.length > 1 && value !== null" class="soft">
        {{ counted(figures.length, 'try', 'tries') }}, spread {{ sayFigure(says.range, check) }}.
        {{ scatter ? 'They disagree: no mean is made of them.' : `Mean ${show(says.value!, check).figure}.` }}
      </p>
      <p v-if="result.history" class="why">
        Read of the part that was renewed: it stays on the record, and nothing rests on it.
      </p>
    </template>
    <template #keys>
      <KeyPad v-if="isOpen" v-model="draft.text.value" :sign="minus" :replace="draft.why.value !== null" />
    </template>
    <div v-if="cells.length > 1" class="cells">
      <p v-if="moving" class="label">Touch the place it belongs to.</p>
      <el-radio-group
        :model-value="cells.indexOf(cell)"
        aria-label="Places to measure"
        @change="at => one.goTo(cells[at as number]!)"
      >
        <el-radio-button
          v-for="(place, i) in cells"
          :key="i"
          :value="i"
          :disabled="moving && Boolean(one.taken(place))"
        >
          <VerdictMark v-if="cellVerdict(place)" :verdict="cellVerdict(place)!" :word="false" />
          {{ [place.station, place.plane].filter(Boolean).join(' ') }}
          <b v-if="one.taken(place) && cells.length < 4" class="figures">{{ one.figureAt(place) }}</b>
        </el-radio-button>
      </el-radio-group>
    </div>
    <ReadingBand
      :limits="check.limits"
      :value="scatter ? null : value"
      :others="figures.length > 1 ? figures : []"
      :verdict="judged.verdict"
      :decimals="show(0, check).figure.split('.')[1]?.length ?? 0"
      :scale="figure => Number(show(figure, check).figure)"
      :ghost="ghost"
    />
    <div class="verdict">
      <p>
        <strong v-if="consequence">{{ consequence }}. </strong>
        {{ shown.share }}Limit {{ showLimits(check, system) }}.
      </p>
    </div>
    <FitBar v-if="fit" :fit="fit" />
    <ol v-if="working" class="working figures">
      <li>
        <em>Held against {{ check.source }}</em>
      </li>
      <li v-for="(line, i) in result.working(system)" :key="i">
        <span>{{ line.what }}</span>
        <span>{{ line.sum }}</span>
        <b>{{ line.gives }}</b>
      </li>
      <li v-for="note in result.notes(system)" :key="note">
        <em>{{ note }}</em>
      </li>
    </ol>
    <div v-if="correcting">
      <label class="label" for="reason">Why is it corrected?</label>
      <el-input id="reason" v-model="reason" maxlength="400" />
    </div>
    <div class="pad-acts">
      <div v-if="doubt" class="doubt" role="alert">
        <p>{{ doubt }}</p>
        <el-button type="primary" data-test="sure" @click="take(true)">It is what it shows</el-button>
        <el-button @click="retype">Type it again</el-button>
      </div>
      <p v-else-if="draft.why.value" class="why" role="alert">{{ draft.why.value }}</p>
      <p v-else-if="isOpen && before.length" class="soft" data-test="not-yet">
        Can't be measured yet. First: {{ before[0]!.title }}.
      </p>
      <template v-if="isOpen && !before.length && !doubt">
        <el-button
          v-if="draft.text.value.trim() || !isFull"
          type="primary"
          class="go"
          data-test="take"
          :disabled="resting"
          @click="take()"
        >
          Take
        </el-button>
        <el-button v-else type="primary" class="go" data-test="keep" :disabled="resting" @click="take()">
          {{ correcting ? 'Keep as correction' : result.missing.length > 1 ? 'Keep, next place' : 'Keep' }}
        </el-button>
        <el-button v-if="disagree && isFull" @click="one.keep(true)">Keep them, they scatter</el-button>
      </template>
      <template v-if="isRead && entered && !job.isClosed">
        <el-button @click="correcting = true">Correct it</el-button>
        <el-button v-if="cells.length > 1" :aria-pressed="moving" @click="moving = !moving">Wrong place</el-button>
      </template>
      <el-button v-if="correcting" @click="one.leave()">Cancel</el-button>
      <el-button v-if="bench.chosenFocus" @click="bench.look(null)">Back</el-button>
      <el-button :aria-expanded="working" @click="working = !working">Working</el-button>
      <EvidenceLost v-if="result.missing.length" :lost="{ check: check.id, moment }" :by="check.lost" />
    </div>
  </GaugeFrame>
</template>

<style scoped>
.big {
  font-size: clamp(42px, 4.6vw, 60px);
  line-height: 1.05;
  font-weight: 500;
}
.big .unit {
  font: 500 24px var(--heads);
  color: var(--soft);
}
.none {
  color: var(--soft);
}
.hint {
  font: 600 19px var(--heads);
  color: var(--brass-ink);
}
.verdict p {
  font-size: 15px;
  line-height: 1.2;
}
.cells b {
  margin-left: 6px;
  font-weight: 400;
  font-size: 15px;
}
.stands {
  display: flex;
  gap: 14px;
  align-items: center;
  min-height: 34px;
}
.stands .word {
  font-size: 26px;
}
.working li {
  display: grid;
  grid-template-columns: 1fr 2fr auto;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding: 3px 0;
  font-size: 15px;
}
.working em {
  grid-column: 1 / -1;
  font-family: var(--words);
}
</style>
