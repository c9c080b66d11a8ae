<script setup lang="ts">
/** The pad of whatever is measured: what is read and how it stands, the keys beside it, and all the rest below. */
defineProps<{ title: string }>()
</script>

<template>
  <div class="gauge">
    <div class="reading">
      <h2>{{ title }}</h2>
      <PadEvidence />
      <slot name="reading" />
    </div>
    <slot name="keys" />
    <div class="under">
      <slot />
    </div>
  </div>
</template>

<style scoped>
.gauge {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-content: start;
}
.reading {
  display: grid;
  gap: 4px;
  align-content: start;
}
h2 {
  font-size: 22px;
  min-height: 30px;
  padding-right: 114px;
}
.under {
  grid-column: 1 / -1;
  display: grid;
  gap: 6px;
}
.under :deep(.cells .el-radio-button .el-radio-button__inner) {
  padding: 4px 9px;
}
</style>
