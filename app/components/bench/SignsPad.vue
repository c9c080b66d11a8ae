<script setup lang="ts">
import { allSaid, ANSWERS, lookInto, reportedSigns, shownAt, type Payloads } from '~~/core/job'
import type { Complaint } from '~~/core/sheet'

/** What was reported as the job was opened: what was found for it, and once the machine has run, whether it is gone. */
const job = useJob()
const bench = useBench()
const may = useMay()
const { system } = useDisplay()
const why = ref<string | null>(null)
const how = ref<Record<string, Payloads['sign.answered']['how']>>({})
const was = useLocalStorage<Record<string, string>>(`needler-signs-${job.id}`, {})
const resting = useRest(() => [...job.state.signs.keys()].join())
const last = computed(() => shownAt(job.plan))
const hasRun = computed(() => job.state.steps.has(last.value.id))

const signs = computed(() =>
  reportedSigns(job.plan, job.state).map(sign => {
    const now = job.state.signs.get(sign.id)
    return {
      ...sign,
      now,
      said: now ? allSaid<NonNullable<typeof now>>(now) : [],
      found: lookInto(job.plan, job.state, job.view.results, sign.look, system.value),
    }
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
          <li v-for="one in sign.found" :key="one.what">
            <el-button class="opens" @click="bench.settle(one.settle)">
              <VerdictMark :verdict="one.verdict ?? 'Open'" :word="false" />
              <span class="what">{{ one.what }}</span>
              <span class="soft">{{ one.known }}</span>
            </el-button>
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
.what {
  flex: 1;
}
.answer {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
