<script setup lang="ts">
import {
  checkAt,
  decidingFigure,
  figureIn,
  foundIn,
  MOMENT_WORDS,
  readingKey,
  showLimits,
  showTyped,
  unitOf,
} from '~~/core/job'
import { ROWS } from '~~/core/gauging'
import { fromBase } from '~~/core/quantity'
import type { Moment } from '~~/core/sheet'

/** One reading being taken, cell by cell: figures in, working, limit, verdict and consequence out. All of them are the core's. */
const props = defineProps<{ check: string; moment: Moment }>()
const job = useJob()
const may = useMay()
const bench = useBench()
const { show, system, fieldUnit, text: sayFigure } = useDisplay()
const { shown, sayCell } = useCellWords()
const one = useReading(props.check, props.moment)
const {
  result,
  cell,
  cells,
  entered,
  before,
  tries,
  draft,
  scatter,
  isOpen,
  doubt,
  correcting,
  moving,
  reason,
  alike,
} = one
/** The check as it is in the cell at hand. */
const own = computed(() => (cell.value ? checkAt(result.value.check, cell.value) : result.value.check))
const grows = computed(() => result.value.worked.grows !== undefined)
const { fixed } = useGiven(result)
const resting = useRest(() => `${one.key} ${cell.value?.key ?? ''}`)
const working = ref(false)
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')

const as = computed(() => cell.value?.as)
const isGauged = computed(() => result.value.worked.sum.bench === true)
const isKeyed = computed(() => as.value?.type === 'number')
const unit = computed(() => (tries.unit.value && !['1', 'pcs'].includes(tries.unit.value) ? tries.unit.value : ''))
/** What is worked out from others alone, and what is all in, is shown whole. */
const isWhole = computed(() => !cell.value || (result.value.missing.length === 0 && !isOpen.value))
const judged = computed(() => (isWhole.value ? result.value.judgement : draft.value!.judgement))
const consequence = computed(() => (isWhole.value ? result.value.consequence : draft.value!.consequence))
const reduced = computed(() => draft.value?.reduced ?? null)
const figures = computed(() => reduced.value?.figures ?? [])
const value = computed(() => {
  if (!cell.value) return result.value.value
  return typeof reduced.value?.value === 'number' ? reduced.value.value : null
})
/** The mean of tries that disagree means nothing: then what stands is from where to where. */
const spread = computed(() => {
  const odd = reduced.value?.scatter
  return odd ? [odd.least, odd.greatest] : isWhole.value ? result.value.scatter : null
})
const big = computed(() => {
  if (spread.value) return spread.value.map(end => show(end, own.value).figure).join(' … ')
  if (value.value !== null)
    return cell.value ? shown(own.value, cell.value, value.value).figure : show(value.value, own.value).figure
  return entered.value && !isOpen.value ? sayCell(own.value, cell.value!, entered.value, reduced.value) : '–'
})
/** The place at hand, where it is one of several that are judged by themselves and is out; else all of them are put right. */
const outHere = computed(() =>
  result.value.places.size > 1 && result.value.places.get(cell.value?.key ?? '')?.judgement.verdict === 'Out'
    ? cell.value!.place
    : undefined,
)
/** What the sum comes to with what is typed, and the figure that decides it. */
const answer = computed(() => {
  const worked = isOpen.value ? draft.value?.result.worked : result.value.worked
  return !isGauged.value && worked?.answer?.ok ? { ...worked, value: worked.answer.value } : null
})
const deciding = computed(() => answer.value && decidingFigure(answer.value.value))

/** What was read of this cell before: as it came, or at the last overhaul. */
const ghost = computed(() => {
  const asFound = props.moment !== 'asFound' && job.view.results.get(readingKey(props.check, 'asFound'))
  const found = asFound && (cell.value && cells.value.length > 1 ? figureIn(asFound, cell.value) : asFound.value)
  const last = foundIn(one.found(), cell.value)
  const [words, figure] =
    typeof found === 'number' ? (['as found', found] as const) : (['last overhaul', last] as const)
  return figure === null ? null : { value: figure, text: `${words} ${show(figure, own.value).figure}` }
})
/** What was read of this cell on two tablets that had not seen each other. */
const rival = computed(() => result.value.rivals.find(each => each.cell.key === cell.value?.key))
const unseen = computed(() =>
  (rival.value?.said ?? []).map(each => ({
    by: each.by,
    words: showTyped(each, cell.value ? unitOf(cell.value, system.value) : null),
  })),
)
const minus = computed(() => as.value?.type === 'number' && as.value.span[0] < 0)
const share = computed(() =>
  judged.value.share === null
    ? ''
    : judged.value.share > 3
      ? 'More than three times the allowance is gone.'
      : `${Math.round(judged.value.share * 100)} % of the allowance is gone.`,
)
const hint = computed(() => {
  const at = tries.figures.value.length
  const next = cell.value ? ROWS[cell.value.row.of].next(at, tries.perTry.value) : ''
  if (next) return `Next: ${next}`
  return tries.wanted.value > 1 && at < tries.wanted.value ? `Try ${at + 1} of ${tries.wanted.value}` : ''
})
const fit = computed(() => (own.value.fit && result.value.span ? { ...own.value.fit, span: result.value.span } : null))
const stillWanted = computed(() => Math.ceil((tries.wanted.value - tries.figures.value.length) / tries.perTry.value))
const isLast = computed(() => result.value.missing.length < 2)
const takeWords = computed(() =>
  correcting.value && tries.wanted.value === 1
    ? 'Keep as correction'
    : tries.wanted.value > 1 || isLast.value
      ? 'Take'
      : 'Take, next place',
)

/** What was asked about is kept as it is: a figure, or all that was pasted. */
function sure() {
  if (one.table.value) one.takeTable(one.table.value, true)
  else if (one.column.value) one.takeColumn(one.column.value, true)
  else take(true)
}
function retype() {
  doubt.value = null
  tries.text.value = ''
  field.value?.focus()
}
function take(isSure = false) {
  const typed = tries.text.value.trim()
  if (!typed && !tries.isFull.value)
    tries.why.value =
      tries.wanted.value > 1
        ? `${counted(stillWanted.value, 'more try', 'more tries')} wanted. Type the figure, then Take.`
        : `Still wanted: ${cell.value!.name ? inSentence(cell.value!.name) : 'the figure'}.`
  else one.take(isSure)
  void nextTick(() => (tries.why.value && typed ? field.value?.select() : field.value?.focus()))
}
onMounted(() => field.value?.focus())
</script>

<template>
  <GaugeFrame :title="result.check.title">
    <template #reading>
      <p class="soft">
        {{ MOMENT_WORDS[moment]
        }}<template v-if="cell?.name && cell.name !== result.check.title"
          >, <b>{{ cell.name }}</b></template
        >. {{ own.instrument }}
      </p>
      <p v-if="own.how && !isWhole" class="soft how">{{ own.how }}</p>
      <p v-if="fixed.length" class="soft fixed">{{ fixed.join('; ') }}.</p>
      <CellField
        v-if="isOpen && cell"
        ref="field"
        v-model="tries.text.value"
        :cell="cell"
        :title="`${cell.name || own.title}, figure`"
        :unit="unit"
        :lead="tries.text.value ? (tries.whole.value.leading ?? null) : tries.lead.value"
        :placeholder="tries.lead.value ? '··' : value === null ? '–' : big"
        @take="take()"
        @pasted="(text, figures) => (grows ? one.takeTable(text) : one.takeColumn(figures))"
      />
      <p v-else class="big figures" :class="{ none: big === '–', long: !isKeyed && cell }" data-test="big">
        {{ big }}<span class="unit">{{ cell ? unit : show(0, own).unit }}</span>
      </p>
      <LazyRunMinute v-if="grows && isOpen && cell" :result="result" :cell="cell" @choose="one.goTo" />
      <p v-if="isGauged" class="stands">
        <VerdictMark v-if="value !== null" class="word" :verdict="judged.verdict" />
        <span v-if="isOpen && hint" class="hint">{{ hint }}</span>
      </p>
      <ReadingTries
        v-if="cell && isKeyed"
        :cell="cell"
        :check="own"
        :tries="tries"
        :kept="!isOpen ? figures : null"
        :odd="scatter?.furthest ?? null"
      />
      <p v-if="figures.length > 1 && value !== null" class="soft">
        {{ counted(figures.length, 'try', 'tries') }}, spread {{ sayFigure(reduced!.range, own) }}.
        {{ spread ? 'They disagree: no mean is made of them.' : `Mean ${big}.` }}
      </p>
      <div v-if="deciding" class="would" data-test="would">
        <p>
          <VerdictMark class="word" :verdict="deciding.held!.verdict" />
          <span class="figures"
            >{{ showFigureOf(deciding, system).figure }} {{ showFigureOf(deciding, system).unit }}</span
          >
        </p>
        <p class="soft">
          {{ deciding.what }}.
          <strong v-if="deciding.held!.consequence">{{ inSentence(deciding.held!.consequence) }}.</strong>
        </p>
      </div>
      <UnseenNote
        v-if="unseen.length"
        :said="unseen"
        :follows="rival!.apart ? 'They lie too far apart: take it again.' : undefined"
      />
      <p v-if="!isGauged && !unseen.length && result.again && !isOpen" class="why" data-test="again">
        {{ asSentence(result.again) }}
      </p>
      <p v-if="cell && result.past.size ? result.past.has(cell.key) : result.history" class="why">
        Read before the part was renewed or reworked: it stays on the record, and nothing rests on it.
      </p>
    </template>
    <template #keys>
      <KeyPad
        v-if="isOpen && isKeyed"
        v-model="tries.text.value"
        :sign="minus"
        :replace="tries.why.value !== null || doubt !== null"
      />
      <!-- Where the keys were: what is out stands beside the way on. -->
      <LazyOutDoor
        v-else-if="isWhole && !correcting && judged.verdict === 'Out'"
        class="way-on"
        :check="own.id"
        :moment="moment"
        :place="outHere"
      />
    </template>
    <LazyRunTable v-if="grows && !moving" :result="result" :cell="cell" @choose="one.goTo" />
    <LazyCellPlaces
      v-else-if="cells.length > 1 || moving"
      :result="result"
      :cell="cell"
      :moving="moving"
      @choose="one.choose"
    />
    <div v-if="moving && alike.length" class="pad-acts" role="group" aria-label="Places of other checks">
      <el-button v-for="to in alike" :key="`${to.check.id} ${to.cell.key}`" @click="one.move(to.cell, to.check.id)">
        {{ to.name }}
      </el-button>
    </div>
    <template v-if="isGauged">
      <ReadingBand
        :limits="own.limits"
        :value="spread ? null : value"
        :others="figures.length > 1 ? figures : []"
        :verdict="judged.verdict"
        :decimals="show(0, own).figure.split('.')[1]?.length ?? 0"
        :scale="figure => fromBase(figure, fieldUnit(own.unit))"
        :ghost="ghost"
      />
      <p class="verdict">
        <strong v-if="consequence">{{ consequence }}. </strong>
        Limit {{ showLimits(own, system) }}. {{ share }}
      </p>
      <LazyFitBar v-if="fit" :fit="fit" />
      <LazyWorkingLines v-if="working" :result="result" />
    </template>
    <LazySumAnswer v-else-if="answer && !isOpen" :sum="answer.sum" :answer="answer.value" :input="answer.input" />
    <div v-if="correcting">
      <label class="label" for="reason">Why is it corrected?</label>
      <el-input id="reason" v-model="reason" maxlength="400" />
    </div>
    <div class="pad-acts">
      <div v-if="doubt" class="doubt" role="alert">
        <p>{{ doubt }}</p>
        <el-button type="primary" data-test="sure" @click="sure">It is what it shows</el-button>
        <el-button @click="retype">Type it again</el-button>
      </div>
      <p v-else-if="tries.why.value" class="why" role="alert">{{ tries.why.value }}</p>
      <p v-else-if="isOpen && before.length" class="soft" data-test="not-yet">
        Can't be measured yet. First: {{ before[0]!.title }}.
      </p>
      <template v-if="isOpen && !before.length && !doubt">
        <el-button
          v-if="tries.text.value.trim() || !tries.isFull.value"
          type="primary"
          class="go"
          data-test="take"
          :disabled="resting || !may('reading.taken')"
          @click="take()"
        >
          {{ takeWords }}
        </el-button>
        <el-button
          v-else
          type="primary"
          class="go"
          data-test="keep"
          :disabled="resting || !may('reading.taken')"
          @click="take()"
        >
          {{ correcting ? 'Keep as correction' : isLast ? 'Keep' : 'Keep, next place' }}
        </el-button>
        <el-button v-if="scatter && tries.isFull.value" @click="one.keep(true)">Keep them, they scatter</el-button>
      </template>
      <template v-if="entered && !isOpen && !job.isClosed">
        <el-button v-if="unseen.length" type="primary" data-test="again-now" @click="one.takeAgain()">
          Take it again
        </el-button>
        <el-button @click="correcting = true">Correct it</el-button>
        <el-button
          v-if="isGauged && (cells.length > 1 || alike.length)"
          :aria-pressed="moving"
          @click="moving = !moving"
        >
          Wrong place
        </el-button>
      </template>
      <el-button v-if="correcting || (isOpen && entered)" @click="one.leave()">Cancel</el-button>
      <el-button v-if="bench.chosenFocus" @click="bench.look(null)">Back</el-button>
      <el-button v-if="isGauged" :aria-expanded="working" @click="working = !working">Working</el-button>
      <LazyEvidenceLost
        v-if="own.lost && !result.complete && !result.again"
        :lost="{ check: own.id, moment }"
        :by="own.lost"
      />
    </div>
  </GaugeFrame>
</template>

<style scoped>
.big {
  display: flex;
  gap: 8px;
  align-items: baseline;
  font-size: clamp(42px, 4.6vw, 60px);
  line-height: 1.05;
  font-weight: 500;
}
.big.long {
  font-size: 28px;
}
.unit {
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
.way-on {
  width: 236px;
  align-self: start;
}
.fixed,
.verdict {
  font-size: 15px;
  line-height: 1.25;
}
.stands {
  display: flex;
  gap: 14px;
  align-items: center;
  min-height: 34px;
}
.word {
  font-size: 26px;
}
.would p:first-child {
  display: flex;
  gap: 12px;
  align-items: baseline;
  font-size: 22px;
  white-space: nowrap;
}
.would strong {
  color: var(--ink);
}
</style>
