<script setup lang="ts">
import { effectiveEntries, entryWords, type AnyEntry } from '~~/core/job'

/** Everything that was done, newest first. Nothing is edited: a mistake is corrected by an entry that says why. */
const job = useJobStore()
const correcting = ref<AnyEntry | null>(null)
const reason = ref('')
const note = ref('')
const why = ref<string | null>(null)
const counted_ = computed(() => new Set(effectiveEntries(job.folded.entries).map(one => one.id)))
const flags = computed(() => new Map(job.state.flags.map(one => [one.entry, one.why])))
const rows = computed(() => job.folded.entries.toReversed().slice(0, 200))
const standsFor = (entry: AnyEntry) =>
  entry.kind === 'entry.corrected'
    ? `Correction of: ${entryWords(
        job.plan!,
        job.folded.entries.find(one => one.id === entry.payload.target),
      )}. ${entry.payload.why}`
    : entryWords(job.plan!, entry)

function correct() {
  why.value = reason.value.trim()
    ? job.act({ kind: 'entry.corrected', payload: { target: correcting.value!.id, why: reason.value.trim() } })
    : 'Say why it is taken back.'
  if (why.value) return
  correcting.value = null
  reason.value = ''
}
function write() {
  if (!note.value.trim()) return
  why.value = job.act({
    kind: job.state.signed ? 'addendum.written' : 'note.written',
    payload: { text: note.value.trim() },
  })
  if (!why.value) note.value = ''
}
</script>

<template>
  <div class="ledger">
    <h2>Ledger</h2>
    <form class="row" @submit.prevent="write">
      <label class="sr" for="note">{{ job.state.signed ? 'Addendum' : 'Note' }}</label>
      <input
        id="note"
        v-model="note"
        class="field"
        maxlength="2000"
        :placeholder="
          job.state.signed ? 'an addendum to the signed record' : 'a note for the record, or the next shift'
        "
      />
      <button class="btn nowrap">Write it</button>
    </form>
    <form v-if="correcting" class="take" @submit.prevent="correct">
      <p class="label">Take back “{{ standsFor(correcting) }}”: why?</p>
      <label class="sr" for="take">Reason</label>
      <input id="take" v-model="reason" class="field" maxlength="400" />
      <div class="row">
        <button class="btn danger">Take it back</button>
        <button class="btn" type="button" @click="correcting = null">Leave it</button>
      </div>
    </form>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <ol tabindex="0" aria-label="Entries">
      <li
        v-for="one in rows"
        :key="one.id"
        :class="{ gone: one.kind !== 'entry.corrected' && !counted_.has(one.id), flagged: flags.has(one.id) }"
      >
        <span class="figures soft seq">{{ one.seq ?? '…' }}</span>
        <span class="what"
          >{{ standsFor(one)
          }}<small class="soft"
            >{{ job.names.get(one.madeBy) }}, {{ siteTime(one.madeAt)
            }}<template v-if="flags.has(one.id)">. Not counted: {{ flags.get(one.id) }}</template>
          </small>
        </span>
        <button
          v-if="
            !job.state.signed && one.kind !== 'job.opened' && (counted_.has(one.id) || one.kind === 'entry.corrected')
          "
          class="btn"
          @click="correcting = one"
        >
          Take back
        </button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.nowrap {
  white-space: nowrap;
}
.ledger {
  display: flex;
  flex-direction: column;
  gap: 8px;
  flex: 1;
  min-height: 0;
}
h2 {
  font-size: 22px;
}
.row {
  display: flex;
  gap: 8px;
}
ol {
  overflow: auto;
  flex: 1 1 0;
  min-height: 260px;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 4px 0;
  min-height: 48px;
}
.seq {
  width: 40px;
}
.what {
  flex: 1;
  overflow-wrap: anywhere;
}
small {
  display: block;
  font-size: 15px;
}
.gone .what {
  text-decoration: line-through;
  color: var(--soft);
}
.flagged {
  border-left: 4px solid var(--out);
  padding-left: 6px;
}
li .btn {
  min-height: 44px;
  padding: 0 12px;
  font-size: 16px;
}
.take {
  display: grid;
  gap: 6px;
}
</style>
