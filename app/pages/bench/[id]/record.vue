<script setup lang="ts">
import { recordOf } from '~~/core/job'

const job = useJobStore()
const { system } = useDisplay()
const record = computed(() => recordOf(job.plan!, job.folded.entries, job.names, system.value))
const about = computed(() => job.about!)
const print = () => window.print()
const by = (one: { who: string; when: string }) => `${one.who}, ${siteTime(one.when)}`
</script>

<template>
  <article class="record">
    <nav class="no-print acts">
      <NuxtLink class="btn" :to="`/bench/${about.job.id}`">To the bench</NuxtLink>
      <button class="btn" @click="print">Print</button>
      <a class="btn now" :href="`/api/jobs/${about.job.id}/record.pdf`" download>Download PDF</a>
    </nav>
    <header>
      <h1>
        <span class="figures">{{ about.equipment.tag }}</span> {{ about.equipment.name }}
      </h1>
      <p>
        Overhaul record, job <span class="figures">{{ about.job.number }}</span>. {{ record.title }}.
        {{ about.equipment.line }}.
      </p>
      <p class="soft">{{ record.notice }} Needler records what was done; it does not certify the machine as safe.</p>
      <p><strong>Reported:</strong> {{ record.complaint || 'nothing' }}</p>
      <p v-if="record.signed" class="signed">
        <VerdictMark verdict="Holds" :word="false" /> Signed by {{ by(record.signed) }}. Complaint cured:
        {{ record.signed.cured }}.<template v-if="record.signed.cause"> Cause: {{ record.signed.cause }}.</template>
      </p>
      <p v-else class="why">Not signed: the job is still open.</p>
    </header>
    <RecordTable
      v-slot="{ row }"
      title="As found and as left"
      :heads="['Check', 'As found', 'As left', 'Change', 'Moved']"
      :rows="record.compared"
    >
      <th scope="row">{{ row.title }}</th>
      <td class="figures">{{ row.found }}</td>
      <td class="figures">{{ row.left }}</td>
      <td class="figures">{{ row.change }}</td>
      <td>{{ row.moved }}</td>
    </RecordTable>
    <RecordTable
      v-slot="{ row }"
      title="Readings"
      :heads="['Check', 'Value', 'Held against', 'Verdict and working']"
      :rows="record.readings"
    >
      <th scope="row">
        {{ row.title }}<small>{{ row.moment }}</small>
      </th>
      <td class="figures">{{ row.value }}</td>
      <td>
        <span class="figures">{{ row.limits }}</span>
        <small>{{ row.source }}</small>
      </td>
      <td>
        <VerdictMark :verdict="row.verdict" />
        <small v-if="row.consequence">{{ row.consequence }}</small>
        <details>
          <summary>Working</summary>
          <ol class="figures">
            <li v-for="(line, i) in row.working" :key="i">{{ line.what }}: {{ line.sum }} = {{ line.gives }}</li>
          </ol>
        </details>
      </td>
    </RecordTable>
    <RecordTable
      v-slot="{ row }"
      title="Parts"
      :heads="['Item', 'Part', 'Off', 'Kept', 'Decided', 'Went back']"
      :rows="record.parts"
    >
      <td class="figures">{{ row.item }}</td>
      <th scope="row">{{ row.name }}</th>
      <td class="figures">{{ row.cameOff }}</td>
      <td>{{ row.kept }}</td>
      <td>{{ row.decision }}</td>
      <td>{{ row.wentBack }}</td>
    </RecordTable>
    <RecordTable v-slot="{ row }" title="Marks" :heads="['Mark', 'Where', 'Made as', 'At build']" :rows="record.marks">
      <th scope="row">{{ row.title }}</th>
      <td>{{ row.where }}</td>
      <td>{{ row.carrier }}</td>
      <td>{{ row.met }}</td>
    </RecordTable>
    <RecordTable
      v-slot="{ row }"
      title="Joints"
      :heads="['Joint', 'Wanted', 'Last pass, N·m by bolt', 'Verdict']"
      :rows="record.joints"
    >
      <th scope="row">{{ row.title }}</th>
      <td>{{ row.wanted }}</td>
      <td class="figures">{{ row.torques }}</td>
      <td><VerdictMark :verdict="row.verdict" /></td>
    </RecordTable>
    <RecordTable
      v-for="[title, rows] in [
        ['Concessions', record.concessions],
        ['Evidence lost', record.lost],
        ['Corrections', record.corrections],
      ] as const"
      :key="title"
      v-slot="{ row }"
      :title="title"
      :heads="['What', 'Why']"
      :rows="rows"
    >
      <th scope="row">{{ row.what }}</th>
      <td>{{ row.why }}</td>
    </RecordTable>
    <RecordTable v-slot="{ row }" title="Findings" :heads="['Part', 'Finding', 'Where']" :rows="record.findings">
      <th scope="row">{{ row.part }}</th>
      <td>{{ row.finding }}</td>
      <td>{{ row.where }}</td>
    </RecordTable>
    <section v-if="record.notes.length">
      <h2>Notes</h2>
      <ul>
        <li v-for="(one, i) in record.notes" :key="i">
          {{ one.text }} <small class="soft">{{ by(one) }}</small>
        </li>
      </ul>
    </section>
    <RecordTable v-slot="{ row }" title="Steps" :heads="['Station', 'Step']" :rows="record.steps">
      <td>{{ row.station }}</td>
      <th scope="row">
        {{ row.title }}<small v-if="row.skipped">left out: {{ row.skipped }}</small>
      </th>
    </RecordTable>
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
.record :deep(tbody th) {
  font-weight: 500;
}
.record :deep(thead th) {
  font: 600 17px var(--heads);
  border-top: 2px solid var(--ink);
}
.record :deep(td.figures) {
  white-space: nowrap;
  font-size: 15px;
}
.record :deep(small) {
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
