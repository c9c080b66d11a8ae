<script setup lang="ts">
import type { AnySum } from '~~/core/sums'

/** One sum: what you give on the left, what you get on the right. */
const props = defineProps<{ sum: AnySum }>()
const { texts, set, input, errors, result, worker, work, clear, example, mine, back, isExample } = useSum(props.sum)
const pinning = ref(false)
/** A table of many columns takes half of the page. */
const isWide = Object.values(props.sum.fields).some(
  field => field.type === 'rows' && Object.keys(field.columns).length > 3,
)
const said = ref('')
const { copy } = useClipboard({ legacy: true })
const given = computed(() => (input.value.ok ? input.value.value : {}))
const answer = computed(() => (input.value.ok && result.value.ok ? result.value.value : null))
const why = computed(() => (input.value.ok ? (result.value.ok ? '' : result.value.why) : input.value.why))
const address = () =>
  `${location.origin}/gauge-room/${props.sum.craft}?${new URLSearchParams({ sum: props.sum.name, ...toQuery(given.value) })}`
const asText = computed(() => (answer.value ? sumAsText(props.sum, given.value, answer.value, address()) : ''))
/** At arm's length on a narrow screen the answer lies below the fields: it is said beside the acts, too. */
const main = computed(() => answer.value?.figures.find(one => one.held) ?? answer.value?.figures[0] ?? null)
const { system } = useDisplay()
const isLong = computed(() => worker.progress.value !== null)
const slow = ref(false)
watch(isLong, now => {
  slow.value = false
  if (now)
    setTimeout(() => {
      slow.value = isLong.value
    }, 300)
})
async function take(what: string, text: string) {
  await copy(text)
  said.value = `${what} copied.`
  setTimeout(() => {
    said.value = ''
  }, 4000)
}
const save = () => saveCsv(props.sum.name, sumAsCsv(props.sum, given.value, answer.value!))
</script>

<template>
  <div class="pad" :class="{ wide: isWide }">
    <section class="card give" aria-label="What you give">
      <header>
        <h2>{{ sum.title }}</h2>
        <p class="soft">{{ sum.about }}</p>
      </header>
      <p v-if="isExample" class="example">Example figures. Type over them.</p>
      <SumFields :sum="sum" :texts="texts" :errors="errors" @set="set" />
      <div class="under">
        <el-button v-if="isExample && mine" data-test="back" @click="back"> Back to my figures </el-button>
        <el-button v-if="isExample" data-test="clear" @click="clear">Clear all</el-button>
        <el-button v-else data-test="example" @click="example">Show the example</el-button>
      </div>
    </section>
    <section class="card get" aria-label="What you get">
      <div v-if="isLong && slow" class="long">
        <label for="how-far">Working it out: {{ Math.round((worker.progress.value ?? 0) * 100) }} %</label>
        <progress id="how-far" max="1" :value="worker.progress.value ?? 0" />
        <el-button data-test="stop" @click="worker.stop">Stop</el-button>
      </div>
      <template v-if="answer">
        <SumAnswer :sum="sum" :answer="answer" :input="given" />
        <div class="acts">
          <p v-if="main" class="short">
            <VerdictMark v-if="main.held" :verdict="main.held.verdict" />
            <b class="figures">{{ showFigureOf(main, system).figure }} {{ showFigureOf(main, system).unit }}</b>
          </p>
          <el-button type="primary" data-test="pin" :disabled="isExample" @click="pinning = true">
            Pin to a job
          </el-button>
          <el-button data-test="copy-text" @click="take('The sum is', asText)"> Copy as text </el-button>
          <el-button data-test="csv" @click="save">Save as CSV</el-button>
          <el-button data-test="copy-address" @click="take('The address is', address())"> Copy address </el-button>
          <span role="status" class="soft">{{
            said || (isExample ? 'An example is not pinned: type your own figures.' : '')
          }}</span>
        </div>
      </template>
      <div v-else-if="!isLong || !slow" class="none">
        <p class="why" role="status" data-test="why-not">{{ why || 'Working it out…' }}</p>
        <el-button v-if="worker.stopped.value" type="primary" data-test="again" @click="work"> Work it out </el-button>
      </div>
    </section>
    <el-dialog v-model="pinning" title="Pin to a job" width="520" append-to-body destroy-on-close>
      <PinPad
        v-if="pinning && answer"
        :sum="sum"
        :input="given"
        :answer="answer"
        :text="asText"
        @done="pinning = false"
      />
    </el-dialog>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: minmax(330px, 5fr) 7fr;
  gap: 12px;
  align-items: start;
}
.pad.wide {
  grid-template-columns: repeat(2, minmax(330px, 1fr));
}
.give,
.get {
  padding: 14px 16px;
  display: grid;
  gap: 12px;
  align-content: start;
  min-width: 0;
}
header h2 {
  font-size: 25px;
}
header p {
  font-size: 15px;
}
.example {
  font-size: 15px;
  border-left: 4px solid var(--line);
  padding-left: 10px;
  color: var(--soft);
}
.under {
  display: flex;
  gap: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 10px 0 8px;
  position: sticky;
  bottom: 0;
  background: var(--chalk);
  margin-bottom: -8px;
}
.acts .el-button {
  font-size: 18px;
  padding: 0 14px;
}
.long {
  display: flex;
  gap: 12px;
  align-items: center;
}
progress {
  flex: 1;
  height: 14px;
  accent-color: var(--brass);
}
.none {
  min-height: 220px;
  display: grid;
  place-content: center;
  gap: 12px;
  justify-items: center;
  text-align: center;
  font-size: 18px;
}
.none .why {
  color: var(--ink);
  max-width: 46ch;
}
.short {
  display: none;
  font-size: 22px;
  gap: 10px;
  align-items: center;
  flex-basis: 100%;
}
@media (max-width: 1023px) {
  .pad,
  .pad.wide {
    grid-template-columns: 1fr;
  }
  .short {
    display: flex;
  }
}
</style>
