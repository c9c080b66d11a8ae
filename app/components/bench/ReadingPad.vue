<script setup lang="ts">
import type { Moment } from '~~/core/sheet'

/** A reading being taken, by what its cells are read as: answers of a whole step on one pad, or one cell after the other. */
const props = defineProps<{ check: string; moment: Moment }>()
const job = useJob()
const isAsked = computed(() => job.plan.checks.get(props.check)?.choices !== undefined)
</script>

<template>
  <LazyAskedPad v-if="isAsked" :check="check" :moment="moment" />
  <LazyCellPad v-else :check="check" :moment="moment" />
</template>
