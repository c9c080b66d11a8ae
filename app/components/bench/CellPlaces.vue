<script setup lang="ts">
import { reduceCell, type Cell, type CheckResult } from '~~/core/job'

/** The places a check is read at, each with how it stands and what it reads, one of them at hand. */
const props = defineProps<{ result: CheckResult; cell: Cell | undefined; moving: boolean }>()
const emit = defineEmits<{ choose: [cell: Cell] }>()
const { sayCell } = useCellWords()
const cells = computed(() => props.result.worked.cells)
/** Of many places only how they stand is said, where they are judged one by one. */
const isShort = computed(() => cells.value.length > 4 && props.result.worked.sum.bench)
const taken = (cell: Cell) => props.result.read.get(cell.key)
/** Of a station and a plane the plane is said by its letter alone: six of them stand side by side. */
const shortName = ({ name, place, column }: Cell) => (props.result.check.planes && place ? `${place} ${column}` : name)
function reads(cell: Cell): string {
  const tried = taken(cell)
  return tried && !isShort.value ? sayCell(props.result.check, cell, tried, reduceCell(cell, tried)) : ''
}
</script>

<template>
  <div class="cells">
    <p v-if="moving" class="label">Touch the place it belongs to.</p>
    <el-radio-group
      :model-value="cells.findIndex(one => one.key === cell?.key)"
      aria-label="Places to measure"
      @change="at => emit('choose', cells[at as number]!)"
    >
      <el-radio-button
        v-for="(place, i) in cells"
        :key="place.key"
        :value="i"
        :disabled="moving && taken(place) !== undefined"
      >
        <VerdictMark
          v-if="result.places.has(place.key)"
          :verdict="result.places.get(place.key)!.judgement.verdict"
          :word="false"
        />
        {{ [shortName(place), reads(place)].filter(Boolean).join(': ') }}
      </el-radio-button>
    </el-radio-group>
  </div>
</template>
