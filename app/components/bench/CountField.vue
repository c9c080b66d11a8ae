<script setup lang="ts">
import type { Count } from '~~/core/job'

/** Pieces counted by hand: it starts empty, and says nothing of how many there ought to be until they are counted. */
const props = defineProps<{ count: Count; n?: number }>()
const emit = defineEmits<{ give: [n: number | undefined] }>()
const job = useJob()
const wanted = computed(() =>
  props.count.part ? job.plan.parts.get(props.count.part)!.part.quantity! : props.count.must,
)
const isOff = computed(() => props.n !== undefined && wanted.value !== undefined && props.n !== wanted.value)
</script>

<template>
  <span class="count">
    <el-input-number
      :model-value="n ?? null"
      :min="0"
      :max="999"
      :precision="0"
      :aria-label="`How many ${count.what}, ${count.way}`"
      placeholder="how many"
      data-test="count"
      @update:model-value="(value: number | null | undefined) => emit('give', value ?? undefined)"
    />
    <span v-if="isOff" class="off">{{ n }} of {{ wanted }}</span>
  </span>
</template>

<style scoped>
.count {
  display: flex;
  gap: 8px;
  align-items: center;
  flex: none;
}
/* What is asked for stands whole in the field. */
.count :deep(input::placeholder) {
  font: 500 17px var(--heads);
  letter-spacing: 0;
}
.off {
  color: var(--out);
  font: 500 17px var(--figures);
}
</style>
