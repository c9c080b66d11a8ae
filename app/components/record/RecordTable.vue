<script setup lang="ts">
import type { RecordTable } from '~~/core/job'

/** One table of the record as the core lays it out; the PDF prints the same. */
const props = defineProps<{ table: RecordTable }>()
/** Widths are shares of the table, on the screen as on paper. */
const shares = computed(() => props.table.columns.reduce((sum, one) => sum + one.width, 0))
</script>

<template>
  <section>
    <h2>{{ table.title }}</h2>
    <table>
      <colgroup>
        <col
          v-for="column in table.columns"
          :key="column.head"
          :style="{ width: `${(100 * column.width) / shares}%` }"
        />
      </colgroup>
      <thead>
        <tr>
          <th v-for="column in table.columns" :key="column.head">{{ column.head }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in table.rows" :key="i">
          <td v-for="(cell, j) in row" :key="j" :class="{ figures: cell.figures }">
            <VerdictMark v-if="cell.verdict" :verdict="cell.verdict" />
            {{ cell.text }}
            <PhotoThumb
              v-if="cell.picture"
              class="picture"
              :style="{ '--wide': cell.picture.width / cell.picture.height }"
              :photo="cell.picture"
              :shapes="cell.picture.shapes"
              :is-here="cell.picture.isHere"
              size="print"
              alt="Photograph"
            />
            <SmallDial v-if="cell.arcs" :arcs="cell.arcs" />
            <small v-for="words in cell.small" :key="words">{{ words }}</small>
            <small v-if="cell.by?.who"
              >{{ cell.by.who }}, {{ cell.by.role }}, {{ siteTime(cell.by.when)
              }}<template v-if="cell.by.clock">, {{ cell.by.clock }}</template>
            </small>
            <details v-if="cell.lines?.length">
              <summary>Working</summary>
              <ol class="figures">
                <li v-for="(line, k) in cell.lines" :key="k">{{ line }}</li>
              </ol>
            </details>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.picture {
  width: min(100%, 380px, calc(280px * var(--wide)));
}
</style>
