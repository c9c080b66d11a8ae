<script setup lang="ts">
import type { Cell } from '~~/core/job'
import type { Check } from '~~/core/sheet'
import type { Figure } from '~/composables/useTries'

/** The tries taken so far, each to be taken away by a touch while they are not kept. */
const props = defineProps<{
  cell: Cell
  check: Check
  tries: { figures: Ref<Figure[]>; perTry: Ref<number>; drop: (at: number) => void }
  /** Tries of a kept reading: only shown. */
  kept: number[] | null
  /** The try that stands furthest off. */
  odd: number | null
}>()
const { shown } = useCellWords()
const text = (value: number) => shown(props.check, props.cell, value).figure
const taken = computed(() =>
  props.tries.figures.value.map((one, i) => ({
    text: text(Number(one.value)),
    name: props.tries.perTry.value === 1 ? `Try ${i + 1}` : `Figure ${i + 1}`,
    isOdd: props.odd === Math.floor(i / props.tries.perTry.value),
  })),
)
</script>

<template>
  <div v-if="kept ? kept.length > 1 : taken.length" class="tries">
    <template v-if="kept">
      <span v-for="(one, i) in kept" :key="i" class="kept">{{ text(one) }}</span>
    </template>
    <el-button
      v-for="(one, i) in kept ? [] : taken"
      :key="i"
      size="small"
      class="figures"
      :type="one.isOdd ? 'danger' : undefined"
      :aria-label="`${one.name}, ${one.text}; take away`"
      @click="tries.drop(i)"
    >
      {{ one.text }} ✕
    </el-button>
  </div>
</template>

<style scoped>
.tries {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.tries .el-button {
  font-family: var(--figures);
  font-weight: 400;
}
.kept {
  padding: 1px 9px;
  border: 1px solid var(--line);
  border-radius: 4px;
  font: 400 17px var(--figures);
}
</style>
