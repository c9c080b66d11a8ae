<script setup lang="ts">
import Papa from 'papaparse'
import { shoppingOf } from '~~/core/job'

/** What the job wants from the stores: always-new parts from the start, and what was decided; to print or to take along. */
const job = useJob()
const { about } = job
const list = computed(() => shoppingOf(job.plan, job.state))
const print = () => window.print()
function save() {
  const rows = list.value.flatMap(({ from, stock, lines }) =>
    lines.map(one => ({
      from,
      kit: stock,
      item: one.item,
      part: one.name,
      pieces: one.pieces,
      stock: one.stock,
      why: one.why,
      taken: one.taken ? 'yes' : 'no',
    })),
  )
  saveCsv(`parts-${about.equipment.tag}-job-${about.job.number}`, Papa.unparse(rows, { escapeFormulae: true }))
}
</script>

<template>
  <article class="parts">
    <nav class="no-print acts">
      <NuxtLink class="btn" :to="`/bench/${about.job.id}`">To the bench</NuxtLink>
      <el-button @click="print">Print</el-button>
      <el-button @click="save">Save as CSV</el-button>
    </nav>
    <header>
      <h1>
        <span class="figures">{{ about.equipment.tag }}</span> {{ about.equipment.name }}, job {{ about.job.number }}
      </h1>
      <p>New parts wanted. Every always-new part, and what was decided to be renewed.</p>
    </header>
    <section v-for="kit in list" :key="kit.from">
      <h2>
        {{ kit.from }} <span class="figures soft">{{ kit.stock }}</span>
      </h2>
      <table>
        <thead>
          <tr>
            <th>Item</th>
            <th>Part</th>
            <th>Pieces</th>
            <th>Why</th>
            <th>In hand</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in kit.lines" :key="one.part">
            <td class="figures">{{ one.item }}</td>
            <td>{{ one.name }}</td>
            <td class="figures">{{ one.pieces }}</td>
            <td>{{ one.why }}</td>
            <td>{{ one.taken ? 'taken' : 'not yet' }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <el-empty v-if="!list.length" :image-size="1" description="This job wants nothing new so far." />
  </article>
</template>

<style scoped>
.parts {
  max-width: 1000px;
  width: 100%;
  margin: 0 auto;
  padding: 16px;
  display: grid;
  gap: 16px;
  align-content: start;
  background: var(--chalk);
}
.acts {
  display: flex;
  gap: 8px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 6px 8px;
  border-top: 1px solid var(--line);
}
th {
  font-weight: 500;
  color: var(--soft);
  border: 0;
}
</style>
