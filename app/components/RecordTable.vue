<script setup lang="ts" generic="Row extends object">
/** One table of the record: a row an entry, its cells given by the caller; who signed it and when stands last. Nothing where there are no rows. */
defineProps<{ title: string; heads: readonly string[]; rows: readonly Row[] }>()
const signed = (row: Row) => row as Row & { who?: string; when?: string }
</script>

<template>
  <section v-if="rows.length">
    <h2>{{ title }}</h2>
    <table>
      <thead>
        <tr>
          <th v-for="head in heads" :key="head">{{ head }}</th>
          <th v-if="signed(rows[0]!).who">Who and when</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <slot :row="row" />
          <td v-if="signed(rows[0]!).who">
            <small>{{ signed(row).who }}, {{ siteTime(signed(row).when!) }}</small>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
