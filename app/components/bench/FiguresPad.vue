<script setup lang="ts">
import { decidingFigure, figureKey, MOMENT_WORDS, type SumCell } from '~~/core/job'
import type { Moment } from '~~/core/sheet'

/** A sum at the bench: one figure after the other, large; what it comes to moves as they are typed, and stands drawn when all are in. */
const props = defineProps<{ check: string; moment: Moment }>()
const bench = useBench()
const job = useJob()
const may = useMay()
const { system } = useDisplay()
const one = useFigures(props.check, props.moment)
const { result, check: own, worked, would, cells, cell, before, typed, entered, isOpen } = one
const { correcting, reason, why, doubt, fixed } = one
const resting = useRest(() => `${props.check} ${props.moment} ${cell.value ? figureKey(cell.value) : ''}`)
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')
const as = computed(() => cell.value?.as)
const unit = computed(() =>
  as.value && 'unit' in as.value && as.value.unit !== '1' && as.value.unit !== 'pcs'
    ? shownUnit(as.value.unit, system.value)
    : '',
)
const answer = computed(() => (would.value.answer?.ok ? would.value.answer.value : null))
const deciding = computed(() => answer.value && decidingFigure(answer.value))
const isWhole = computed(() => !isOpen.value || !worked.value.missing.length)
const name = (place: SumCell) => [place.name, one.sayKept(place)].filter(Boolean).join(': ')
/** Answers of what is chosen, not typed. */
const answers = computed((): string[] =>
  as.value?.type === 'flag' ? ['yes', 'no'] : as.value?.type === 'choice' ? [...as.value.choices] : [],
)
const squares = computed(() => (typed.value ? typed.value.split(';') : []))

function take(isSure = false) {
  const isTaken = one.take(isSure)
  void nextTick(() => (!isTaken && typed.value ? field.value?.select() : field.value?.focus()))
}
function retype() {
  doubt.value = null
  field.value?.select()
}
onMounted(() => field.value?.focus())
</script>

<template>
  <GaugeFrame :title="own.title">
    <template #reading>
      <p class="soft">
        {{ MOMENT_WORDS[moment]
        }}<template v-if="cell"
          >, <b>{{ cell.name }}</b></template
        >. {{ own.instrument }}
      </p>
      <p v-if="own.how" class="soft">{{ own.how }}</p>
      <p v-if="fixed.length" class="soft fixed">{{ fixed.join('; ') }}.</p>
      <form v-if="isOpen && (as?.type === 'number' || as?.type === 'text')" class="take" @submit.prevent="take()">
        <QuantityField ref="field" v-model="typed" name="figure" big :label="cell!.name" :unit="unit" placeholder="–" />
      </form>
      <el-radio-group
        v-else-if="isOpen && answers.length"
        :model-value="typed"
        :aria-label="cell!.name"
        @change="said => (typed = String(said))"
      >
        <el-radio-button v-for="word in answers" :key="word" :value="word">{{ word }}</el-radio-button>
      </el-radio-group>
      <el-checkbox-group
        v-else-if="isOpen && as?.type === 'many'"
        :model-value="squares"
        :aria-label="cell!.name"
        @change="some => (typed = (some as string[]).join(';'))"
      >
        <el-checkbox-button v-for="word in as.choices" :key="word" :value="word">{{ word }}</el-checkbox-button>
      </el-checkbox-group>
      <LazyContactGrid
        v-else-if="isOpen && as?.type === 'list'"
        :squares="squares"
        @change="some => (typed = some.join(';'))"
      />
      <p v-else-if="entered" class="kept figures" data-test="big">
        {{ one.sayKept(cell!) }} <span class="unit">{{ unit }}</span>
      </p>
      <div v-if="answer && deciding" class="stands" data-test="would">
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
      <p v-if="result.again && isWhole" class="why" data-test="again">{{ result.again }}</p>
      <p v-if="result.history" class="why">
        Read of the part that was renewed: it stays on the record, and nothing rests on it.
      </p>
    </template>
    <template #keys>
      <KeyPad
        v-if="isOpen && as?.type === 'number'"
        v-model="typed"
        :sign="as.span[0] < 0"
        :replace="why !== null || doubt !== null"
      />
    </template>
    <el-radio-group
      v-if="cells.length"
      class="cells"
      :model-value="cell ? cells.indexOf(cell) : undefined"
      aria-label="Figures of this sum"
      @change="at => one.goTo(cells[at as number]!)"
    >
      <el-radio-button v-for="(place, i) in cells" :key="i" :value="i">
        {{ name(place) }}
      </el-radio-button>
    </el-radio-group>
    <LazySumAnswer v-if="answer && !isOpen" :sum="worked.sum" :answer="answer" :input="would.input" />
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
      <p v-else-if="why" class="why" role="alert">{{ why }}</p>
      <p v-else-if="isOpen && before.length" class="soft" data-test="not-yet">
        Can't be measured yet. First: {{ before[0]!.title }}.
      </p>
      <el-button
        v-if="isOpen && !before.length && !doubt"
        type="primary"
        class="go"
        data-test="take"
        :disabled="resting || !may('figures.taken')"
        @click="take()"
      >
        {{ correcting ? 'Keep as correction' : worked.missing.length > 1 ? 'Take, next figure' : 'Take' }}
      </el-button>
      <el-button v-if="entered && !correcting && !job.isClosed" @click="correcting = true">Correct it</el-button>
      <el-button v-if="correcting" @click="one.leave()">Cancel</el-button>
      <el-button v-if="bench.chosenFocus" @click="bench.look(null)">Back</el-button>
      <EvidenceLost v-if="result.missing.length" :lost="{ check: own.id, moment }" :by="own.lost" />
    </div>
  </GaugeFrame>
</template>

<style scoped>
.fixed {
  font-size: 15px;
  line-height: 1.25;
}
.kept {
  font-size: 34px;
  font-weight: 500;
}
.unit {
  font: 500 20px var(--heads);
  color: var(--soft);
}
.stands p {
  display: flex;
  gap: 12px;
  align-items: baseline;
  font-size: 22px;
  white-space: nowrap;
}
.stands .word {
  font-size: 26px;
}
.stands .soft {
  display: block;
  font-size: 16px;
  white-space: normal;
}
.stands strong {
  color: var(--ink);
}
</style>
