<script setup lang="ts">
import {
  allSaid,
  ANSWERS,
  lookedText,
  lookKey,
  partName,
  reportedSigns,
  showValue,
  shownAt,
  standing,
  verdictOfLooked,
  type Payloads,
} from '~~/core/job'
import type { Complaint } from '~~/core/sheet'

/** What was reported as the job was opened: what was found for it, and once the machine has run, whether it is gone. */
const job = useJob()
const may = useMay()
const { system } = useDisplay()
const why = ref<string | null>(null)
const how = ref<Record<string, Payloads['sign.answered']['how']>>({})
const was = useLocalStorage<Record<string, string>>(`needler-signs-${job.id}`, {})
const resting = useRest(() => [...job.state.signs.keys()].join())
const last = computed(() => shownAt(job.plan))
const hasRun = computed(() => job.state.steps.has(last.value.id))

/** What was read and seen for a sign, the worst first. */
const foundFor = ({ look }: Complaint) =>
  [
    ...(look.looks ?? []).flatMap(id =>
      job.plan.looks.get(id)!.of.map(part => {
        const seen = job.state.looks.get(lookKey(part, id))
        const what = `${job.plan.looks.get(id)!.title}: ${inSentence(partName(job.plan, part))}`
        return seen
          ? { key: `${id} ${part}`, what, is: lookedText(job.plan, seen), verdict: verdictOfLooked(job.plan, seen) }
          : { key: `${id} ${part}`, what, is: 'not looked at yet', verdict: 'Open' as const }
      }),
    ),
    ...(look.checks ?? []).map(id => {
      const check = job.plan.checks.get(id)!
      const now = standing(job.view.results, check)
      return now
        ? { key: id, what: check.title, is: showValue(check, now, system.value), verdict: now.judgement.verdict }
        : { key: id, what: check.title, is: 'not read yet', verdict: 'Open' as const }
    }),
  ].toSorted((a, b) => WORST.indexOf(a.verdict) - WORST.indexOf(b.verdict))
const WORST = ['Out', 'Thin', 'Open', 'Holds']
const signs = computed(() =>
  reportedSigns(job.plan, job.state).map(sign => {
    const now = job.state.signs.get(sign.id)
    return { ...sign, now, said: now ? allSaid<NonNullable<typeof now>>(now) : [], found: foundFor(sign) }
  }),
)
function answer({ id }: Complaint) {
  const chosen = how.value[id]
  if (!chosen) {
    why.value = 'Say first whether it is gone.'
    return
  }
  const written = was.value[id]?.trim()
  why.value = job.act({
    kind: 'sign.answered',
    payload: { sign: id, how: chosen, ...(written ? { was: written } : {}) },
  })
}
</script>

<template>
  <PadFrame title="What was reported" :why="why">
    <p v-if="!signs.length">
      No sign of the sheet was reported: {{ job.state.opened?.payload.complaint || 'nothing' }}.
    </p>
    <p v-else-if="!hasRun" class="soft">Answered once this is done: {{ last.title }}.</p>
    <ul tabindex="0" aria-label="Signs">
      <li v-for="sign in signs" :key="sign.id" class="sign">
        <h3>{{ asSentence(sign.say) }}</h3>
        <UnseenNote
          v-if="sign.said.length > 1"
          :said="sign.said.map(one => ({ by: one.by, words: one.how }))"
          follows="Answer it again: what is said now stands."
        />
        <p v-if="sign.now" data-test="sign-answered">
          <strong>{{ asSentence(sign.now.how) }}</strong>
          {{ sign.now.was ? asSentence(`It was: ${inSentence(sign.now.was)}`) : '' }}
          <span class="soft">{{ job.names.get(sign.now.by) }}</span>
        </p>
        <form v-if="hasRun && !job.isClosed && may('sign.answered')" class="answer" @submit.prevent="answer(sign)">
          <el-radio-group v-model="how[sign.id]" :aria-label="`Is it gone: ${sign.say}`">
            <el-radio-button v-for="one in ANSWERS" :key="one" :value="one">{{ one }}</el-radio-button>
          </el-radio-group>
          <el-input
            v-model="was[sign.id]"
            maxlength="400"
            :aria-label="`What it was: ${sign.say}`"
            placeholder="What it was"
          />
          <el-button :type="sign.now ? undefined : 'primary'" native-type="submit" :disabled="resting">
            {{ sign.now ? 'Answer it again' : 'Keep the answer' }}
          </el-button>
        </form>
        <ul class="found">
          <li v-for="one in sign.found" :key="one.key">
            <VerdictMark :verdict="one.verdict" :word="false" />
            <span
              >{{ one.what }}<small class="soft">{{ one.is }}</small></span
            >
          </li>
        </ul>
      </li>
    </ul>
  </PadFrame>
</template>

<style scoped>
.sign {
  display: grid;
  gap: 8px;
  padding: 6px 0 10px;
}
h3 {
  font-size: 19px;
}
.found li {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
}
small {
  display: block;
  font-size: 15px;
}
.answer {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
