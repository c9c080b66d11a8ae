<script setup lang="ts">
import type { YardMachine } from '~~/shared/answers'
import { dueOn, SOON_WEEKS } from '~/say/due'

const props = defineProps<{ machine: YardMachine; chosen: boolean }>()
const weeks = computed(() => dueOn(props.machine)[0]?.next.weeks ?? null)
const due = computed(() => (weeks.value === null ? 'never overhauled' : weeks.value <= 0 ? 'due' : `${weeks.value} wk`))
/** Nothing is wanted of it for now: it stays in the ground, and the others stand out. */
const isQuiet = computed(
  () => !props.machine.openJob && props.machine.worst?.verdict === 'Holds' && (weeks.value ?? 0) > SOON_WEEKS,
)
defineEmits<{ choose: [] }>()
</script>

<template>
  <el-button class="stand" :class="{ chosen, quiet: isQuiet }" :aria-pressed="chosen" @click="$emit('choose')">
    <span class="tag figures">{{ machine.tag }}</span>
    <span v-if="machine.openJob" class="job">Job open</span>
    <span class="name">{{ machine.name }}</span>
    <AllowanceRule :share="machine.worst?.share ?? null" :verdict="machine.worst?.verdict ?? 'Open'" />
    <span class="foot">
      <VerdictMark v-if="machine.worst" :verdict="machine.worst.verdict" />
      <span class="soft">{{ due }}</span>
    </span>
  </el-button>
</template>

<style scoped>
button.stand.el-button {
  position: relative;
  width: 100%;
  height: 100%;
  padding: 9px 11px;
  background: var(--chalk);
  color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--line);
  font: 400 16px/1.3 var(--words);
  letter-spacing: 0;
  text-align: left;
}
.stand > :deep(span) {
  display: grid;
  flex: 1;
  min-width: 0;
  gap: 4px;
  justify-content: stretch;
}
button.stand.quiet {
  background: transparent;
}
button.stand.chosen {
  outline: 3px solid var(--brass);
  outline-offset: -2px;
}
.tag {
  font-size: 17px;
}
.name {
  font: 500 16px var(--heads);
  color: var(--soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 0 8px;
  font-size: 15px;
}
.job {
  position: absolute;
  right: 0;
  top: 0;
  background: var(--brass);
  color: var(--on-brass);
  font: 600 14px var(--heads);
  padding: 3px 7px;
  border-radius: 0 3px 0 4px;
}
</style>
