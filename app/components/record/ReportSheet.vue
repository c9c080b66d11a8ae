<script setup lang="ts">
import { recordOf, type JobRecord, type RecordTable, type Signed } from '~~/core/job'
import type { Report } from '~~/shared/file-names'

/** A report of a job on the screen, as it is printed: what it is of, who signed, then its tables. */
const props = defineProps<{ report: Report; title: string; tablesOf: (record: JobRecord) => RecordTable[] }>()
const job = useJob()
const { about } = job
const { system } = useDisplay()
const record = computed(() => recordOf(job.opened, job.folded.entries, job.names, system.value, job.state))
const tables = computed(() => props.tablesOf(record.value))
const print = () => window.print()
const by = (one: Signed) => `${one.who}, ${one.role}, ${siteTime(one.when)}`
</script>

<template>
  <article class="record">
    <nav class="no-print acts">
      <NuxtLink class="btn" :to="`/bench/${about.job.id}`">To the bench</NuxtLink>
      <el-button @click="print">Print</el-button>
      <PdfButton :report="report" :tag="about.equipment.tag" :job="about.job" />
      <slot name="acts" />
    </nav>
    <header>
      <h1>
        <span class="figures">{{ about.equipment.tag }}</span> {{ about.equipment.name }}
      </h1>
      <p>
        {{ title }}, job <span class="figures">{{ about.job.number }}</span>. {{ record.title }}.
        {{ about.equipment.line }}.
      </p>
      <p class="soft">{{ record.notice }} Needler records what was done; it does not certify the machine as safe.</p>
      <p><strong>Reported:</strong> {{ record.complaint || 'nothing' }}</p>
      <p v-if="record.signed" class="signed">
        Signed by {{ by(record.signed) }}. Complaint cured: {{ record.signed.cured }}.<template
          v-if="record.signed.cause"
        >
          Cause: {{ record.signed.cause }}.</template
        >
      </p>
      <p v-else-if="record.cancelled" class="why">
        Cancelled by {{ by(record.cancelled) }}: {{ record.cancelled.why }}.
      </p>
      <p v-else class="why">Not signed: the job is still open.</p>
    </header>
    <slot />
    <RecordTable v-for="table in tables" :key="table.title" :table="table" />
  </article>
</template>

<style scoped>
.record {
  max-width: 1160px;
  width: 100%;
  margin: 0 auto;
  padding: 16px;
  display: grid;
  gap: 16px;
  background: var(--chalk);
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
header {
  display: grid;
  gap: 4px;
}
h1 {
  font-size: 30px;
}
h1 .figures {
  font-weight: 500;
}
.record :deep(h2) {
  font-size: 22px;
  color: var(--blue-ink);
  margin-bottom: 4px;
}
section {
  overflow-x: auto;
}
.record :deep(table) {
  width: 100%;
  border-collapse: collapse;
}
.record :deep(th),
.record :deep(td) {
  text-align: left;
  padding: 6px 12px 6px 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
.record :deep(tbody td:first-child) {
  font-weight: 500;
}
.record :deep(thead th) {
  font: 600 17px var(--heads);
  border-top: 2px solid var(--ink);
}
.record :deep(td.figures) {
  font-size: 15px;
}
.record :deep(small) {
  font-family: var(--words);
  display: block;
  font-size: 15px;
  color: var(--soft);
  font-weight: 400;
}
.record :deep(summary) {
  min-height: 32px;
  cursor: pointer;
  color: var(--blue-ink);
}
.record :deep(ol) {
  font-size: 14px;
}
.signed {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 500;
}
@media print {
  @page {
    margin: 14mm;
  }
  .record {
    max-width: none;
    padding: 0;
    gap: 10px;
  }
  .record :deep(:is(p, td, th, small, li, summary, span)) {
    font-size: 10.5px;
    line-height: 1.25;
  }
  .record :deep(tr) {
    break-inside: avoid;
  }
  .record :deep(tbody tr:nth-child(2)),
  .record :deep(tbody tr:nth-last-child(-n + 2)) {
    break-before: avoid;
  }
  h1 {
    font-size: 22px;
  }
  .record :deep(h2) {
    font-size: 15px;
    break-after: avoid;
  }
  .record :deep(:is(th, td)) {
    padding: 3px 8px 3px 0;
  }
  .record :deep(td.figures) {
    white-space: normal;
  }
  .record :deep(details::details-content) {
    content-visibility: visible;
    display: block;
  }
  .record :deep(summary) {
    display: none;
  }
}
</style>
