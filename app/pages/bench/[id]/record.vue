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
    <section v-if="record.compared.length">
      <h2>As found and as left</h2>
      <table>
        <thead>
          <tr>
            <th>Check</th>
            <th>As found</th>
            <th>As left</th>
            <th>Change</th>
            <th>Moved</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in record.compared" :key="one.title">
            <th scope="row">{{ one.title }}</th>
            <td class="figures">{{ one.found }}</td>
            <td class="figures">{{ one.left }}</td>
            <td class="figures">{{ one.change }}</td>
            <td>{{ one.moved }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.readings.length">
      <h2>Readings</h2>
      <table>
        <thead>
          <tr>
            <th>Check</th>
            <th>Value</th>
            <th>Held against</th>
            <th>Verdict and working</th>
            <th>Who and when</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in record.readings" :key="one.title + one.moment">
            <th scope="row">
              {{ one.title }}<small>{{ one.moment }}</small>
            </th>
            <td class="figures">{{ one.value }}</td>
            <td>
              <span class="figures">{{ one.limits }}</span>
              <small>{{ one.source }}</small>
            </td>
            <td>
              <VerdictMark :verdict="one.verdict" />
              <small v-if="one.consequence">{{ one.consequence }}</small>
              <details>
                <summary>Working</summary>
                <ol class="figures">
                  <li v-for="(line, i) in one.working" :key="i">{{ line.what }}: {{ line.sum }} = {{ line.gives }}</li>
                </ol>
              </details>
            </td>
            <td>
              <small>{{ by(one) }}</small>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.parts.length">
      <h2>Parts</h2>
      <table>
        <thead>
          <tr>
            <th>Item</th>
            <th>Part</th>
            <th>Off</th>
            <th>Kept</th>
            <th>Decided</th>
            <th>Went back</th>
            <th>Who and when</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in record.parts" :key="one.name">
            <td class="figures">{{ one.item }}</td>
            <th scope="row">{{ one.name }}</th>
            <td class="figures">{{ one.cameOff }}</td>
            <td>{{ one.kept }}</td>
            <td>{{ one.decision }}</td>
            <td>{{ one.wentBack }}</td>
            <td>
              <small>{{ by(one) }}</small>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.marks.length">
      <h2>Marks</h2>
      <table>
        <thead>
          <tr>
            <th>Mark</th>
            <th>Where</th>
            <th>Made as</th>
            <th>At build</th>
            <th>Who and when</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in record.marks" :key="one.title">
            <th scope="row">{{ one.title }}</th>
            <td>{{ one.where }}</td>
            <td>{{ one.carrier }}</td>
            <td>{{ one.met }}</td>
            <td>
              <small>{{ by(one) }}</small>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.joints.length">
      <h2>Joints</h2>
      <table>
        <thead>
          <tr>
            <th>Joint</th>
            <th>Wanted</th>
            <th>Last pass, N·m by bolt</th>
            <th>Verdict</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in record.joints" :key="one.title">
            <th scope="row">{{ one.title }}</th>
            <td>{{ one.wanted }}</td>
            <td class="figures">{{ one.torques }}</td>
            <td>
              <VerdictMark :verdict="one.verdict" />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section
      v-for="[title, list] in [
        ['Concessions', record.concessions],
        ['Evidence lost', record.lost],
        ['Corrections', record.corrections],
      ] as const"
      v-show="list.length"
      :key="title"
    >
      <h2>{{ title }}</h2>
      <table>
        <thead>
          <tr>
            <th>What</th>
            <th>Why</th>
            <th>Who and when</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in list" :key="i">
            <th scope="row">{{ one.what }}</th>
            <td>{{ one.why }}</td>
            <td>
              <small>{{ by(one) }}</small>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.findings.length">
      <h2>Findings</h2>
      <table>
        <thead>
          <tr>
            <th>Part</th>
            <th>Finding</th>
            <th>Where</th>
            <th>Who and when</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in record.findings" :key="i">
            <th scope="row">{{ one.part }}</th>
            <td>{{ one.finding }}</td>
            <td>{{ one.where }}</td>
            <td>
              <small>{{ by(one) }}</small>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.notes.length">
      <h2>Notes</h2>
      <ul>
        <li v-for="(one, i) in record.notes" :key="i">
          {{ one.text }} <small class="soft">{{ by(one) }}</small>
        </li>
      </ul>
    </section>
    <section>
      <h2>Steps</h2>
      <table>
        <thead>
          <tr>
            <th>Station</th>
            <th>Step</th>
            <th>Who and when</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in record.steps" :key="i">
            <td>{{ one.station }}</td>
            <th scope="row">
              {{ one.title }}<small v-if="one.skipped">left out: {{ one.skipped }}</small>
            </th>
            <td>
              <small>{{ by(one) }}</small>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
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
h2 {
  font-size: 22px;
  color: var(--blue-ink);
  margin-bottom: 4px;
}
section {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 6px 12px 6px 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
tbody th {
  font-weight: 500;
}
thead th {
  font: 600 17px var(--heads);
  border-top: 2px solid var(--ink);
}
td.figures {
  white-space: nowrap;
  font-size: 15px;
}
small {
  display: block;
  font-size: 15px;
  color: var(--soft);
  font-weight: 400;
}
summary {
  min-height: 32px;
  cursor: pointer;
  color: var(--blue-ink);
}
ol {
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
  .record :is(p, td, th, small, li, summary, span) {
    font-size: 10.5px;
    line-height: 1.25;
  }
  tr {
    break-inside: avoid;
  }
  h1 {
    font-size: 22px;
  }
  h2 {
    font-size: 15px;
    break-after: avoid;
  }
  th,
  td {
    padding: 3px 8px 3px 0;
  }
  td.figures {
    white-space: normal;
  }
  details::details-content {
    content-visibility: visible;
    display: block;
  }
  summary {
    display: none;
  }
}
</style>
