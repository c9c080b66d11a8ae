<script setup lang="ts">
import { allSaid, causeName, likelierThan, NONE_OF_THEM, weighCauses, type CauseEvidence } from '~~/core/job'

/** What it failed of: the causes of the sheet, likeliest first, each with what was found for it and against it; then who says which it was. */
const job = useJob()
const may = useMay()
const { system } = useDisplay()
const weighed = computed(() =>
  weighCauses({ plan: job.plan, state: job.state, results: job.view.results }, system.value),
)
const suspects = computed(() => weighed.value.suspects)
const likeliest = computed(() => suspects.value.filter(one => one.score === suspects.value[0]!.score))
const now = computed(() => job.state.cause)
const said = computed(() => (now.value ? allSaid<NonNullable<typeof now.value>>(now.value) : []))
const nameOf = (cause: string) => causeName(job.plan, cause)

const chosen = ref('')
const reason = useLocalStorage(`needler-cause-${job.id}`, '')
const why = ref<string | null>(null)
watch(chosen, () => (why.value = null))
const resting = useRest(() => chosen.value)
const lists = (one: { speaksFor: CauseEvidence[]; speaksAgainst: CauseEvidence[] }) =>
  [
    { title: 'For it', mark: '+', items: one.speaksFor },
    { title: 'Against it', mark: '−', items: one.speaksAgainst },
  ].filter(list => list.items.length)
/** Said of those that most speaks for. */
const speaks = computed(() =>
  likeliest.value.length > 1 ? 'as much speaks for it as for another' : 'most speaks for it',
)
/** What has to be written with it. */
const wants = computed(() => {
  if (chosen.value === 'other') return 'what it was'
  if (chosen.value === 'not found') return 'what was looked at and ruled out'
  const first = likelierThan(weighed.value, chosen.value)
  return first ? `why it was not: ${inSentence(first.say)}` : 'more on it, if there is more'
})
function say() {
  const written = reason.value.trim()
  why.value = job.act({ kind: 'cause.said', payload: { cause: chosen.value, ...(written ? { why: written } : {}) } })
  if (why.value) return
  reason.value = ''
  chosen.value = ''
}
</script>

<template>
  <PadFrame title="What it failed of" :why="why">
    <div class="pad-scroll" tabindex="0" role="group" aria-label="Causes">
      <UnseenNote
        v-if="said.length > 1"
        :said="said.map(one => ({ by: one.by, words: nameOf(one.cause) }))"
        follows="Say it again: what is said now stands."
      />
      <p v-if="now" class="said" data-test="cause-said">
        <strong>It was: {{ inSentence(nameOf(now.cause)) }}.</strong>
        {{ now.why ? asSentence(now.why) : '' }}
        <span class="soft">{{ job.names.get(now.by) }}, {{ siteTime(now.at) }}</span>
      </p>
      <p v-if="!suspects.length" class="soft">
        Nothing that was found speaks for a cause that is known of such a machine.
      </p>
      <el-radio-group v-model="chosen" class="causes" aria-label="What it failed of">
        <el-radio v-for="one in suspects" :key="one.id" :value="one.id" class="cause">
          <span class="name">
            {{ one.say }} <em v-if="likeliest.includes(one)" class="soft">{{ speaks }}</em>
          </span>
          <span class="soft">{{ one.advice }}.</span>
          <span v-for="list in lists(one)" :key="list.title" class="list" :aria-label="list.title" role="list">
            <span v-for="item in list.items" :key="item.what + item.known" role="listitem">
              <b aria-hidden="true">{{ list.mark }}</b> {{ item.what }}: {{ inSentence(item.known) }}
            </span>
          </span>
          <span v-if="one.notKnown.length" class="soft">Not known: {{ one.notKnown.map(inSentence).join('; ') }}.</span>
        </el-radio>
        <el-radio v-for="(title, id) in NONE_OF_THEM" :key="id" :value="id" class="cause">
          <span class="name">{{ title }}</span>
        </el-radio>
      </el-radio-group>
      <el-select
        v-if="weighed.others.length"
        :model-value="weighed.others.some(one => one.id === chosen) ? chosen : ''"
        placeholder="One that nothing found speaks for…"
        aria-label="One that nothing found speaks for"
        @update:model-value="(one: string) => (chosen = one)"
      >
        <el-option v-for="one in weighed.others" :key="one.id" :value="one.id" :label="one.say" />
      </el-select>
    </div>
    <form v-if="chosen && !job.isClosed && may('cause.said')" class="acts" @submit.prevent="say">
      <el-input v-model="reason" maxlength="400" :placeholder="asSentence(wants).slice(0, -1)" :aria-label="wants" />
      <el-button type="primary" native-type="submit" :disabled="resting" data-test="say-cause">
        {{ chosen in NONE_OF_THEM ? 'Say' : 'It was' }}: {{ inSentence(nameOf(chosen)) }}
      </el-button>
    </form>
  </PadFrame>
</template>

<style scoped>
.said {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
.causes {
  display: grid;
  gap: 4px;
  justify-items: stretch;
  align-items: start;
}
.cause {
  height: auto;
  align-items: start;
  white-space: normal;
  margin: 0;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.cause :deep(.el-radio__label) {
  display: grid;
  gap: 4px;
  line-height: 1.3;
}
.name {
  font-weight: 600;
  font-size: 18px;
}
.list {
  display: grid;
  gap: 2px;
}
b {
  display: inline-block;
  width: 1ch;
}
.acts {
  display: grid;
  gap: 8px;
  padding-top: 8px;
}
</style>
