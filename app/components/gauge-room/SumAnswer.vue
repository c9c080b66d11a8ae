<script setup lang="ts">
import { verdictOf, type Answer, type AnySum } from '~~/core/sums'

/** What a sum gives: the drawing first, then how it stands and against what, the other figures, the schools, the working on demand. */
const props = defineProps<{ sum: AnySum; answer: Answer; input: Record<string, unknown> }>()
const { system } = useDisplay()
const working = ref(false)
const verdict = computed(() => verdictOf(props.answer))
const judged = computed(() => props.answer.figures.filter(one => one.held))
const main = computed(() => props.answer.figures.find(one => one.key === props.answer.main))
const plain = computed(() => props.answer.figures.filter(one => !one.held && one.value !== null && one !== main.value))
const show = (figure: Answer['figures'][number]) => showFigureOf(figure, system.value)
</script>

<template>
  <div class="answer">
    <SumDrawing :sum="sum" :answer="answer" :input="input" />
    <p v-if="main" class="main">
      <span class="what">{{ main.what }}</span>
      <span class="figures" :data-test="`value-${main.key}`"
        >{{ show(main).figure }}<span class="unit">{{ show(main).unit }}</span>
      </span>
    </p>
    <ul v-if="judged.length" class="judged">
      <li v-for="(one, i) in judged" :key="one.key" :class="{ first: i === 0 && !main }">
        <p class="value">
          <span class="what">{{ one.what }}</span>
          <span class="big figures" :data-test="`value-${one.key}`"
            >{{ show(one).figure }}<span class="unit">{{ show(one).unit }}</span>
          </span>
        </p>
        <VerdictMark class="word" :verdict="one.held!.verdict" :data-test="`verdict-${one.key}`" />
        <p class="says">
          <template v-if="one.held!.share !== null && one.held!.verdict !== 'Open'"
            >{{ Math.round(one.held!.share * 100) }} % of the allowance is gone.
          </template>
          <template v-if="limitWords(one.held!, one, system)">Limit {{ limitWords(one.held!, one, system) }}, </template
          >{{ one.held!.source }}.
          <strong v-if="one.held!.consequence">{{ asSentence(one.held!.consequence) }}</strong>
          <template v-else-if="one.held!.would">Past it: {{ one.held!.would.replace(/\.$/, '') }}.</template>
        </p>
      </li>
    </ul>
    <dl v-if="plain.length" class="plain" :class="{ alone: !verdict }">
      <div v-for="one in plain" :key="one.key">
        <dt>{{ one.what }}</dt>
        <dd class="figures" :class="{ words: typeof one.value === 'string' }" :data-test="`value-${one.key}`">
          {{ show(one).figure }}<span class="unit">{{ show(one).unit }}</span>
        </dd>
      </div>
    </dl>
    <p v-for="note in answer.notes ?? []" :key="note" class="note">{{ note }}</p>
    <ul v-if="answer.schools?.length" class="schools" aria-label="Ways people do it">
      <li v-for="one in answer.schools" :key="one.name" :class="{ chosen: one.chosen }">
        <strong>{{ one.name }}</strong>
        <span v-if="one.gives" class="figures">{{ one.gives }}</span>
        <span class="soft">{{ one.why }}</span>
      </li>
    </ul>
    <div class="more">
      <el-button :aria-expanded="working" data-test="working" @click="working = !working"> Working </el-button>
      <span class="soft">{{ sum.source }}</span>
    </div>
    <p v-if="working && system === 'inch'" class="soft">
      Worked in metric units; what a line gives stands in yours first.
    </p>
    <table v-if="working" class="working">
      <tbody>
        <tr v-for="(line, i) in answer.working" :key="i">
          <th scope="row">{{ line.what }}</th>
          <td class="soft">{{ line.rule }}</td>
          <td class="figures">{{ line.sum }}</td>
          <td class="figures gives">
            <template v-if="givesShown(line.gives, system)"
              >{{ givesShown(line.gives, system) }} <span class="soft">= </span></template
            >{{ line.gives }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 10px;
  align-content: start;
  min-width: 0;
}
.judged {
  display: grid;
}
.main {
  display: grid;
}
.main .figures {
  font-size: 44px;
  font-weight: 500;
  letter-spacing: -0.02em;
  line-height: 1.1;
}
.judged li {
  display: grid;
  grid-template-columns: minmax(170px, 230px) 92px 1fr;
  gap: 4px 14px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 6px 0;
}
.judged .word {
  font: 600 22px var(--heads);
}
.value {
  display: grid;
}
.what {
  font-size: 15px;
  color: var(--soft);
  line-height: 1.15;
}
.big {
  font-size: 24px;
  font-weight: 500;
  letter-spacing: -0.02em;
}
.judged .first .big {
  font-size: 38px;
  line-height: 1.1;
}
.judged .first .word {
  font-size: 27px;
}
.unit {
  font: 600 17px var(--heads);
  color: var(--soft);
  margin-left: 5px;
  letter-spacing: 0;
}
.says {
  font-size: 15px;
  line-height: 1.3;
}
.plain {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 6px 14px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
dt {
  font-size: 14px;
  color: var(--soft);
  line-height: 1.15;
}
dd {
  font-size: 19px;
  font-weight: 500;
}
dd.words {
  font: 600 18px/1.2 var(--heads);
}
.plain.alone div:first-child dd:not(.words) {
  font-size: 34px;
}
.plain.alone div:first-child dd.words {
  font-size: 24px;
}
.schools {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 8px;
}
.schools li {
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 8px 10px;
  display: grid;
  align-content: start;
  gap: 2px;
  font-size: 15px;
  line-height: 1.25;
}
.schools strong {
  font: 600 18px var(--heads);
}
.chosen {
  box-shadow: inset 0 3px 0 var(--brass);
}
.schools .figures {
  font-size: 14px;
}
.note {
  border-left: 4px solid var(--brass);
  background: var(--brass-wash);
  padding: 5px 10px;
  font-size: 15px;
}
.more {
  display: flex;
  gap: 12px;
  align-items: center;
  font-size: 14px;
}
.working {
  border-collapse: collapse;
  width: 100%;
  font-size: 15px;
}
.working th,
.working td {
  border-top: 1px solid var(--line);
  text-align: left;
  padding: 5px 8px 5px 0;
  vertical-align: top;
  font-weight: 400;
  overflow-wrap: anywhere;
}
.working th {
  font-weight: 500;
  min-width: 92px;
  overflow-wrap: break-word;
}
.gives {
  font-weight: 500;
  white-space: nowrap;
}
@media (max-width: 900px) {
  .judged li {
    grid-template-columns: 1fr auto;
  }
  .says {
    grid-column: 1 / -1;
  }
}
</style>
