<script setup lang="ts">
import { actOf, clockOf, entryWords, readLedger, rootOf, type AnyEntry } from '~~/core/job'

/** Everything that was done, newest first. Nothing is edited: a mistake is corrected by an entry that says why. */
const job = useJob()
const correcting = ref<AnyEntry | null>(null)
const reason = ref('')
const note = ref('')
const why = ref<string | null>(null)
const session = useSessionStore()
const ledger = computed(() => readLedger(job.folded.entries))
const counts = computed(() => new Set([...ledger.value.counted.map(one => one.id), ...ledger.value.inForce.keys()]))
const flags = computed(() => new Map(job.state.flags.map(one => [one.entry, one.why])))
const rows = computed(() => job.folded.entries.toReversed().slice(0, 200))
const byId = computed(() => new Map(job.folded.entries.map(one => [one.id, one])))
function standsFor(entry: AnyEntry): string {
  if (entry.kind !== 'entry.corrected') return entryWords(job.plan, entry)
  const { target, replacement, why: reason } = entry.payload
  const root = rootOf(job.folded.entries, target)
  const now = replacement && root ? `, now ${entryWords(job.plan, { ...root, payload: replacement } as AnyEntry)}` : ''
  return `${replacement ? 'Correction of' : 'Taken back'}: ${entryWords(job.plan, byId.value.get(target))}${now}. ${reason}`
}
const LATE = { live: '', late: ', done without the network', ahead: ', by a clock that was ahead' }
/** One's own, or a lead's to correct; and only what can be taken back. */
const mayTakeBack = (entry: AnyEntry) =>
  !job.isClosed &&
  counts.value.has(entry.id) &&
  actOf(entry)?.corrected !== 'never' &&
  (entry.madeBy === session.person?.id || session.isLead)

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
    kind: job.isClosed ? 'addendum.written' : 'note.written',
    payload: { text: note.value.trim() },
  })
  if (!why.value) note.value = ''
}
</script>

<template>
  <PadFrame title="Ledger" :why="why">
    <form class="row" @submit.prevent="write">
      <label class="sr" for="note">{{ job.isClosed ? 'Addendum' : 'Note' }}</label>
      <input
        id="note"
        v-model="note"
        class="field"
        maxlength="2000"
        :placeholder="job.isClosed ? 'an addendum to the signed record' : 'a note for the record, or the next shift'"
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
    <ol tabindex="0" aria-label="Entries">
      <li v-for="one in rows" :key="one.id" :class="{ gone: !counts.has(one.id), flagged: flags.has(one.id) }">
        <span class="figures soft seq">{{ one.seq ?? '…' }}</span>
        <span class="what"
          >{{ standsFor(one)
          }}<small class="soft"
            >{{ job.names.get(one.madeBy) }}, {{ one.role }}, {{ siteTime(one.madeAt) }}{{ LATE[clockOf(one)]
            }}<template v-if="flags.has(one.id)">. Not counted: {{ flags.get(one.id) }}</template>
          </small>
        </span>
        <button v-if="mayTakeBack(one)" class="btn" @click="correcting = one">Take back</button>
      </li>
    </ol>
  </PadFrame>
</template>

<style scoped>
.nowrap {
  white-space: nowrap;
}
.row {
  display: flex;
  gap: 8px;
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
