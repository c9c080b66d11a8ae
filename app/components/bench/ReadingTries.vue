<script setup lang="ts">
import { figureOf } from '~~/core/job'
import type { Check } from '~~/core/sheet'
import type { Figure } from '~/composables/useReadingDraft'

/** The tries taken so far, each to be taken away by a touch while they are not kept. */
const props = defineProps<{
  check: Check
  draft: { figures: { value: Figure[] }; perTry: number; drop: (at: number) => void }
  /** Tries of a kept reading: only shown. */
  kept: number[] | null
  /** The try that stands furthest off. */
  odd: number | null
}>()
const { show } = useDisplay()
const text = (value: number) => show(value, props.check).figure
const tries = computed(() =>
  props.draft.figures.value.map((one, i) => ({
    text: text(props.draft.perTry === 1 ? figureOf(props.check, {}, [one.value]) : one.value),
    name: props.draft.perTry === 1 ? `Try ${i + 1}` : `Figure ${i + 1}`,
    isOdd: props.odd === Math.floor(i / props.draft.perTry),
  })),
)
</script>

<template>
  <div v-if="kept ? kept.length > 1 : tries.length" class="tries">
    <template v-if="kept">
      <el-tag v-for="(one, i) in kept" :key="i" class="figures">{{ text(one) }}</el-tag>
    </template>
    <el-button
      v-for="(one, i) in kept ? [] : tries"
      :key="i"
      size="small"
      class="figures"
      :type="one.isOdd ? 'danger' : undefined"
      :aria-label="`${one.name}, ${one.text}; take away`"
      @click="draft.drop(i)"
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
.tries .el-tag {
  font: 400 17px var(--figures);
}
</style>
