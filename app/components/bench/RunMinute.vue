<script setup lang="ts">
import { cellKey, type Cell, type CheckResult } from '~~/core/job'
import { rowName, rowNamed } from '~~/core/sums/bench'

/** When the row at hand is due, and the minute it is read at, as long as nothing of it is read. */
const props = defineProps<{ result: CheckResult; cell: Cell }>()
const emit = defineEmits<{ choose: [cell: Pick<Cell, 'key'>] }>()
const waits = useWaitsStore()
const MINUTE = 60_000
/** Further from its time than this, minutes, a run was not read as it went: then the clock says nothing of it. */
const NEAR = 60
const row = computed(() => rowNamed(props.result.check.run!, props.cell.place ?? ''))
/** What was read of this way, with the minute of its row and when it was typed. */
const read = computed(() =>
  [...props.result.read.values()].flatMap(({ place = '', at }) => {
    const one = rowNamed(props.result.check.run!, place)
    return one && one.way === row.value?.way ? [{ minute: one.minute, at: Date.parse(at) }] : []
  }),
)
const isBegun = computed(() => read.value.some(one => one.minute === row.value?.minute))
const started = computed(() => Math.min(...read.value.map(({ minute, at }) => at - minute * MINUTE)))
const gone = computed(() => Math.round((Date.parse(waits.now) - started.value) / MINUTE))
const isNear = computed(() => read.value.length > 0 && Math.abs(gone.value - row.value!.minute) < NEAR)
const last = computed(() => Math.max(0, ...read.value.map(one => one.minute)))
function toMinute(minute: number | undefined) {
  if (minute === undefined || !row.value) return
  const { field, column } = props.cell
  emit('choose', { key: cellKey({ field, column, place: rowName({ way: row.value.way, minute }) }) })
}
</script>

<template>
  <div v-if="row && !isBegun" class="minute">
    <span class="label">Read at</span>
    <el-input-number
      :model-value="row.minute"
      :min="0"
      :max="99999"
      :precision="0"
      aria-label="Minute of this row"
      @change="toMinute"
    />
    <span>min</span>
    <span v-if="isNear" class="due" data-test="due"
      >due {{ siteClock(new Date(started + row.minute * MINUTE).toISOString()) }}</span
    >
    <el-button v-if="isNear && gone > last && gone !== row.minute" data-test="now" @click="toMinute(gone)">
      Now: {{ gone }} min
    </el-button>
  </div>
</template>

<style scoped>
.minute {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.minute :deep(.el-input-number) {
  width: 132px;
}
.due {
  font: 600 19px var(--heads);
  color: var(--brass-ink);
}
</style>
