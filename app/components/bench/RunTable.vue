<script setup lang="ts">
import { cellKey, checkAt, readingKey, showFigure, type Cell, type CheckResult } from '~~/core/job'
import { READINGS, rowNamed, steadyKey } from '~~/core/sums/bench'
import type { RunLine } from '~/components/drawings/RunCurves.vue'

/** A run as it grows: its rows, whether each column is steady yet, and its curves beside those of the other moment. */
const props = defineProps<{ result: CheckResult; cell: Cell | undefined }>()
const emit = defineEmits<{ choose: [cell: Pick<Cell, 'key'>] }>()
const job = useJob()
const { system } = useDisplay()
const check = computed(() => props.result.check)
const columns = computed(() => check.value.run!.columns)
const atHand = computed(() => rowNamed(check.value.run!, props.cell?.place ?? ''))

const keyOf = (place: string, column: string) => cellKey({ field: READINGS, place, column })
/** What was read in one place of a column, in its own unit; null where nothing was. */
function readIn({ read }: CheckResult, place: string, column: string): string | null {
  const value = read.get(keyOf(place, column))?.values[0]?.[0]
  return typeof value === 'number' ? showFigure(value, checkAt(check.value, { column }), system.value).figure : null
}
/** The rows of one way, as they follow each other. */
const rowsOf = ({ worked }: CheckResult, way: string) =>
  worked.spec.rows![READINGS]!.flatMap(({ name: place }) => {
    const row = rowNamed(check.value.run!, place)
    return row?.way === way ? [{ place, minute: row.minute }] : []
  })
/** The rows of the way at hand, the newest first; the one at hand may be at a minute of its own. */
const rows = computed(() => {
  const own = props.cell?.place
  const there = rowsOf(props.result, atHand.value?.way ?? '')
  const all =
    own && atHand.value && !there.some(one => one.place === own) ? [...there, { place: own, ...atHand.value }] : there
  return all
    .map(({ place, minute }) => ({
      place,
      minute,
      cells: columns.value.map(({ id }) => {
        const key = keyOf(place, id)
        return {
          ...{ key, column: id, says: readIn(props.result, place, id) },
          verdict: props.result.places.get(key)?.judgement.verdict,
        }
      }),
    }))
    .filter(({ place, cells }) => place === own || cells.some(({ says }) => says !== null))
    .sort((a, b) => b.minute - a.minute)
})
/** Every column has its ink, in the table's head as in the curves. */
const INKS = ['blue-ink', 'brass', 'holds', 'thin', 'soft', 'ink'] as const
const inkOf = (i: number) => INKS[i % INKS.length]!
const unitOf = (unit: string) => (unit === '1' ? '' : unit)

/** How fast each column still changes, where the sheet wants it steady. */
const rates = computed(() => {
  const answer = props.result.worked.answer
  const way = atHand.value?.way ?? ''
  const figures = answer?.ok ? answer.value.figures : []
  return columns.value.map(column => {
    if (!column.steady) return null
    const found = figures.find(one => one.key === steadyKey(column, way))
    if (typeof found?.value !== 'number') return { says: 'too early', verdict: 'Open' as const }
    return found.held?.verdict === 'Holds'
      ? { says: 'steady', verdict: 'Holds' as const }
      : {
          says: `${found.value > 0 ? '+' : ''}${found.value.toFixed(found.value > -10 && found.value < 10 ? 1 : 0)}/h`,
          verdict: 'Open' as const,
        }
  })
})

/** The same check at the other moment it is taken: before the stop beside after the overhaul. */
const other = computed(() => {
  const at = check.value.at.find(one => one.moment !== props.result.moment)?.moment
  return at ? job.view.results.get(readingKey(check.value.id, at)) : undefined
})
const linesOf = (result: CheckResult, way: string): RunLine['points'][] =>
  columns.value.map(({ id }) =>
    rowsOf(result, way).flatMap(({ place, minute }) => {
      const figure = readIn(result, place, id)
      return figure === null ? [] : [[minute, Number(figure)] as [number, number]]
    }),
  )
const curves = computed((): RunLine[] => {
  const way = atHand.value?.way ?? ''
  const before = other.value ? linesOf(other.value, way) : []
  return linesOf(props.result, way).map((points, i) => ({
    ...{ name: columns.value[i]!.name, unit: columns.value[i]!.unit, ink: inkOf(i), points },
    before: before[i] ?? [],
  }))
})
</script>

<template>
  <div class="run">
    <div class="rows">
      <table>
        <thead>
          <tr>
            <th scope="col">min</th>
            <th v-for="(one, i) in columns" :key="one.id" scope="col">
              <i class="ink" :style="{ background: `var(--${inkOf(i)})` }" />
              {{ one.name }} <span class="unit">{{ unitOf(one.unit) }}</span>
              <small v-if="rates[i]" class="rate" data-test="rate">
                <VerdictMark :verdict="rates[i].verdict" :word="false" /> {{ rates[i].says }}
              </small>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.place">
            <th scope="row" class="figures">{{ row.minute }}</th>
            <td v-for="one in row.cells" :key="one.key" :class="{ here: one.key === cell?.key }">
              <el-button
                text
                class="figures"
                :aria-pressed="one.key === cell?.key"
                :aria-label="`${row.place}, ${columns.find(each => each.id === one.column)!.name}`"
                @click="emit('choose', one)"
              >
                <VerdictMark v-if="one.verdict && one.verdict !== 'Holds'" :verdict="one.verdict" :word="false" />{{
                  one.says ?? '·'
                }}
              </el-button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <LazyRunCurves v-if="curves.some(one => one.points.length > 1 || one.before.length > 1)" :lines="curves" />
  </div>
</template>

<style scoped>
.run {
  display: grid;
  gap: 8px;
}
.rows {
  max-height: 232px;
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--chalk);
  font: 500 14px/1.1 var(--heads);
  color: var(--soft);
  text-align: right;
  vertical-align: bottom;
  padding: 0 8px 4px;
}
tbody th,
tbody td {
  border-top: 1px solid var(--line);
  text-align: right;
  padding: 0;
}
tbody th {
  padding-right: 8px;
  color: var(--soft);
  font-weight: 400;
}
td .el-button {
  width: 100%;
  min-height: 34px;
  justify-content: flex-end;
  padding: 0 8px;
  border-radius: 0;
  font-size: 18px;
}
td.here .el-button {
  outline: 2px solid var(--brass);
  outline-offset: -2px;
}
.ink {
  display: block;
  width: 26px;
  height: 4px;
  margin: 0 0 3px auto;
}
.rate {
  display: block;
  font-size: 14px;
  color: var(--ink);
  white-space: nowrap;
}
.unit {
  font-family: var(--figures);
}
</style>
