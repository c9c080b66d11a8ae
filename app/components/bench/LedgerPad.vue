<script setup lang="ts">
import { actOf, clockOf, entryWords, readLedger, rootOf, sentenceOf, type AnyEntry } from '~~/core/job'

/** Everything that was done, newest first. Nothing is edited: a mistake is corrected by an entry that says why. */
const job = useJob()
const correcting = ref<AnyEntry | null>(null)
const reason = ref('')
const note = ref('')
const why = ref<string | null>(null)
const session = useSessionStore()
const ledger = computed(() => readLedger(job.folded.entries))
const counts = computed(() => new Set([...ledger.value.counted.map(one => one.id), ...ledger.value.inForce.keys()]))
const flags = computed(() => new Map(job.state.flags.map(one => [one.entry, sentenceOf(one.why)])))
const SHOWN = [
  { value: 'all', label: 'Everybody' },
  { value: 'others', label: 'The others' },
  { value: 'mine', label: 'Mine' },
] as const
const whose = ref<(typeof SHOWN)[number]['value']>('all')
const readingsOnly = ref(false)
const rows = computed(() =>
  job.folded.entries
    .filter(one => whose.value === 'all' || (one.madeBy === session.person?.id) === (whose.value === 'mine'))
    // Where a file is, is seen on its photograph.
    .filter(one => one.kind !== 'photo.arrived')
    .filter(one => !readingsOnly.value || one.kind === 'reading.taken' || one.kind === 'bolt.pulled')
    .toReversed(),
)
/** A long ledger is shown a stretch at a time. */
const STRETCH = 200
const stretches = ref(1)
const older = computed(() => rows.value.length - stretches.value * STRETCH)
watch([whose, readingsOnly], () => {
  stretches.value = 1
})
/** One heading a turn of work: the same hands on the same day. */
const turns = computed(() => {
  const groups: { key: string; who: string; day: string; rows: AnyEntry[] }[] = []
  for (const one of rows.value.slice(0, stretches.value * STRETCH)) {
    const day = siteDay(one.madeAt)
    const who = `${job.names.get(one.madeBy) ?? 'somebody no longer here'}, ${one.role}`
    const last = groups.at(-1)
    if (last && last.who === who && last.day === day) last.rows.push(one)
    else groups.push({ key: one.id, who, day, rows: [one] })
  }
  return groups
})
const byId = computed(() => new Map(job.folded.entries.map(one => [one.id, one])))
function standsFor(entry: AnyEntry): string {
  if (entry.kind !== 'entry.corrected') return entryWords(job.plan, entry)
  const { target, replacement, why: reason } = entry.payload
  const root = rootOf(job.folded.entries, target)
  const now = replacement && root ? `, now ${entryWords(job.plan, { ...root, payload: replacement } as AnyEntry)}` : ''
  return `${replacement ? 'Correction of' : 'Taken back'}: ${entryWords(job.plan, byId.value.get(target))}${now}. ${reason}`
}
const LATE = { live: '', late: ' done without the network', ahead: ' by a clock that was ahead' }
/** One's own, or a lead's to correct; and only what can be taken back. */
const mayTakeBack = (entry: AnyEntry) =>
  !job.isClosed &&
  counts.value.has(entry.id) &&
  actOf(entry)?.corrected !== 'never' &&
  (entry.madeBy === session.person?.id || session.isLead)

const { correct: take } = useSign()
async function correct() {
  const written = reason.value.trim()
  if (!written) {
    why.value = 'Say why it is taken back.'
    return
  }
  const { isSigned, why: hindered } = await take('Who takes it back?', {
    kind: 'entry.corrected',
    payload: { target: correcting.value!.id, why: written },
  })
  why.value = hindered
  if (!isSigned) return
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
      <el-input
        id="note"
        v-model="note"
        maxlength="2000"
        :placeholder="job.isClosed ? 'an addendum to the signed record' : 'a note for the record, or the next shift'"
      />
      <el-button native-type="submit" class="nowrap">Write it</el-button>
    </form>
    <form v-if="correcting" class="take" @submit.prevent="correct">
      <p class="label">Take back “{{ standsFor(correcting) }}”: why?</p>
      <label class="sr" for="take">Reason</label>
      <el-input id="take" v-model="reason" maxlength="400" />
      <div class="row">
        <el-button type="danger" native-type="submit">Take it back</el-button>
        <el-button @click="correcting = null">Cancel</el-button>
      </div>
    </form>
    <div class="filters">
      <el-segmented v-model="whose" :options="[...SHOWN]" aria-label="Whose acts" />
      <el-checkbox v-model="readingsOnly">Readings and torques</el-checkbox>
    </div>
    <div class="scroll" tabindex="0" role="group" aria-label="Entries">
      <section v-for="turn in turns" :key="turn.key">
        <h3>
          {{ turn.who }} <small class="soft">{{ turn.day }}</small>
        </h3>
        <ol>
          <li v-for="one in turn.rows" :key="one.id" :class="{ gone: !counts.has(one.id), flagged: flags.has(one.id) }">
            <span class="figures soft at">{{ siteClock(one.madeAt) }}</span>
            <span class="what"
              >{{ standsFor(one)
              }}<small v-if="flags.has(one.id) || LATE[clockOf(one)] || one.seq === null" class="soft"
                >{{ one.seq === null ? 'not sent yet' : '' }}{{ LATE[clockOf(one)]
                }}<template v-if="flags.has(one.id)">. Not counted: {{ flags.get(one.id) }}</template>
              </small>
            </span>
            <el-button v-if="mayTakeBack(one)" size="small" text @click="correcting = one">Take back</el-button>
          </li>
        </ol>
      </section>
      <el-button v-if="older > 0" @click="stretches += 1">Show {{ Math.min(older, STRETCH) }} earlier</el-button>
      <el-empty v-if="!turns.length" :image-size="1" description="Nothing of that in this ledger." />
    </div>
  </PadFrame>
</template>

<style scoped>
.filters {
  display: flex;
  gap: 8px 16px;
  align-items: center;
  flex-wrap: wrap;
}
.scroll {
  overflow: auto;
  flex: 1 1 0;
  min-height: 200px;
}
h3 {
  font-size: 18px;
  padding: 8px 0 2px;
  color: var(--blue-ink);
}
ol {
  overflow: visible;
}
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
.at {
  width: 52px;
  flex: none;
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
.take {
  display: grid;
  gap: 6px;
}
</style>
