<script setup lang="ts">
import type { PassWanted } from '~~/core/joints'

/** Drawn up until it is felt to be so: the answers in their own order, none chosen beforehand. */
defineProps<{
  wanted: PassWanted & { by: 'felt' }
  resting: boolean
  keep: (pull: { felt: string }) => boolean
}>()
const may = useMay()
</script>

<template>
  <p>{{ wanted.ask }}</p>
  <el-button
    v-for="one in wanted.choices"
    :key="one.say"
    class="felt"
    data-test="felt"
    :disabled="resting || !may('bolt.pulled')"
    @click="keep({ felt: one.say })"
  >
    {{ one.say }}
  </el-button>
</template>

<style scoped>
.felt {
  min-height: 56px;
  margin: 0;
  white-space: normal;
}
</style>
