<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

defineProps<Drawn>()
</script>

<template>
  <div class="both">
    <BoltsDrawing :input="input" :answer="answer" />
    <LazyPreloadBars :input="input" :answer="answer" />
  </div>
</template>

<style scoped>
.both {
  display: grid;
  gap: 8px;
}
</style>
