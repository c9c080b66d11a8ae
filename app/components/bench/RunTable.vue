<script setup lang="ts">
import { cellKey, checkAt, readingKey, reduceCell, showFigure, type Cell, type CheckResult } from '~~/core/job'
import { rowNamed } from '~~/core/sums/bench'
import type { RunLine } from '~/components/drawings/RunCurves.vue'

/** A run as it grows: its rows, whether each column is steady yet, and its curves beside those of the other moment. */
const props = defineProps<{ result: CheckResult; cell: Cell | undefined }>()
const emit = defineEmits<{ choose: [cell: Pick<Cell, 'key'>] }>()
const job = useJob()
const { system } = useDisplay()
const check = computed(() => props.result.check)
const columns = computed(() => check.value.run!.columns)
const atHand = computed(() => rowNamed(check.value.run!, props.cell?.place ?? ''))
const isRead = (one: Pick<Cell, 'key'>) => props.result.read.has(one.key)

/** What one cell of a result reads, in the unit of its column. */
function readIn({ read, worked }: CheckResult, place: string, column: string): number | null {
  const cell = worked.cells.find(one => one.place === place && one.column === column)
  const tried = cell && read.get(cell.key)
  const value = tried && reduceCell(cell, tried)?.value
  return typeof value === 'number'
    ? Number(showFigure(value, checkAt(check.value, { column }), system.value).figure)
    : null
}
/** The rows of the way at hand, the newest first. */
const rows = computed(() => {
  const way = atHand.value?.way ?? ''
  const places = props.result.worked.spec.rows!.readings!.map(one => one.name)
  const all = new Set([...places, ...(props.cell?.place ? [props.cell.place] : [])])
  return [...all]
    .flatMap(place => {
      const row = rowNamed(check.value.run!, place)
      return row?.way === way ? [{ place, minute: row.minute }] : []
    })
    .filter(
      ({ place }) =>
        place === props.cell?.place || props.result.worked.cells.some(one => one.place === place && isRead(one)),
    )
    .sort((a, b) => b.minute - a.minute)
    .map(({ place, minute }) => ({
      place,
      minute,
      cells: columns.value.map(({ id }) => {
        const key = cellKey({ field: props.cell?.field ?? 'readings', place, column: id })
        return {
          key,
          column: id,
          says: readIn(props.result, place, id),
          verdict: props.result.places.get(key)?.judgement.verdict,
        }
      }),
    }))
})
const unitOf = (unit: string) => (unit === '1' ? '' : unit)

/** How fast each column still changes, where the sheet wants it steady. */
const rates = computed(() => {
  const answer = props.result.worked.answer
  const way = atHand.value?.way
  const figures = answer?.ok ? answer.value.figures : []
  return columns.value.map(({ name, steady }) => {
    if (!steady) return null
    const found = figures.find(one => one.key === `steady ${[name, way].filter(Boolean).join(', ')}`)
    if (typeof found?.value !== 'number') return { says: 'too early', verdict: 'Open' as const }
    return found.held?.verdict === 'Holds'
      ? { says: 'steady', verdict: 'Holds' as const }
      : { says: `${Number(found.value) > 0 ? '+' : ''}${found.value.toFixed(1)} an hour`, verdict: 'Open' as const }
  })
})

/** The same check at the other moment it is taken: before the stop beside after the overhaul. */
const other = computed(() => {
  const at = check.value.at.find(one => one.moment !== props.result.moment)?.moment
  return at ? job.view.results.get(readingKey(check.value.id, at)) : undefined
})
const linesOf = (result: CheckResult, way: string): RunLine['points'][] =>
  columns.value.map(({ id }) =>
    result.worked.spec.rows!.readings!.flatMap(({ name }) => {
      const row = rowNamed(check.value.run!, name)
      const value = row?.way === way ? readIn(result, name, id) : null
      return row && value !== null ? [[row.minute, value] as [number, number]] : []
    }),
  )
const curves = computed((): RunLine[] => {
  const way = atHand.value?.way ?? ''
  const before = other.value ? linesOf(other.value, way) : []
  return linesOf(props.result, way).map((points, i) => ({
    ...{ name: columns.value[i]!.name, unit: columns.value[i]!.unit, points },
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
  font: 500 14px/1.15 var(--words);
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
