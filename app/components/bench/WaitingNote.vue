<script setup lang="ts">
import { entryWords } from '~~/core/job'
import { doerOf, isSendable } from '~/bench/outbox'

/** What has to be known while something waits on this device: what a reload would cost, and whose PIN is missing. */
const job = useJob()
const session = useSessionStore()
const canReopen = window.isSecureContext

const device = computed(() =>
  [
    job.trouble,
    job.damaged &&
      'What waited on this device to be sent could not be read. It is set aside, not lost: tell the office before the browser’s data is cleared.',
    !job.keeps &&
      'This browser keeps nothing: what is not sent yet goes with the page. Leave it open until all is sent.',
    !job.reached &&
      !canReopen &&
      'Not connected. Over plain http this page cannot open again without the network: leave it open. What you do is kept here until it can be sent.',
  ].filter(one => typeof one === 'string'),
)
/** By doer: what waits for their PIN. */
const unproved = computed(() => {
  const byDoer = new Map<string, string[]>()
  for (const batch of job.waiting) {
    if (!batch.unverified || (session.signedIn && isSendable(batch, session.signedIn))) continue
    const words = batch.entries.map(one => entryWords(job.plan, one))
    byDoer.set(doerOf(batch), [...(byDoer.get(doerOf(batch)) ?? []), ...words])
  }
  return [...byDoer].map(([doer, acts]) => ({ doer, name: job.names.get(doer) ?? 'somebody no longer here', acts }))
})
const mayVouch = (doer: string) =>
  session.reached && session.verified && session.isLead && session.signedIn !== null && session.signedIn.id !== doer
</script>

<template>
  <div v-if="device.length || unproved.length" class="notes">
    <p v-for="words in device" :key="words" class="told" role="alert">{{ words }}</p>
    <div v-for="one in unproved" :key="one.doer" class="told" role="alert" data-test="unverified">
      <p>
        {{ counted(one.acts.length, 'act') }} of {{ one.name }} {{ one.acts.length === 1 ? 'waits' : 'wait' }} here
        unverified: no PIN was given.
        {{
          session.reached
            ? `${one.name} signs in, or a lead vouches.`
            : `${one.acts.length === 1 ? 'It goes' : 'They go'} once the network is back.`
        }}
      </p>
      <ul>
        <li v-for="(words, i) in one.acts" :key="i">{{ words }}</li>
      </ul>
      <el-button v-if="session.reached" size="small" @click="session.changing = true">Sign in</el-button>
      <el-button v-if="mayVouch(one.doer)" size="small" type="primary" @click="job.vouch(one.doer)">
        I vouch: {{ one.name }} did this
      </el-button>
    </div>
  </div>
</template>

<style scoped>
.notes {
  padding: 6px 16px 0;
  display: grid;
  gap: 6px;
}
/* Plain, and fetched with the bench: it has to be there when nothing can be fetched any more. */
.told {
  padding: 6px 12px;
  background: var(--chalk);
  border-left: 4px solid var(--brass);
}
ul {
  max-height: 96px;
  overflow-y: auto;
  margin: 2px 0 6px;
}
</style>
