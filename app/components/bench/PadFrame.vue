<script setup lang="ts">
/** What every pad has: a heading, its body, and the sentence that refused the last press. */
defineProps<{ title?: string; why?: string | null }>()
</script>

<template>
  <div class="frame">
    <h2>
      <slot name="title">{{ title }}</slot>
    </h2>
    <PadEvidence />
    <slot />
    <p v-if="why" class="why" role="alert">{{ why }}</p>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  gap: 8px;
  flex: 1;
  min-height: 0;
}
/* Where the pad is full, its name keeps its lines. */
h2 {
  flex: none;
  font-size: 22px;
  min-height: 30px;
  padding-right: 132px;
}
.frame > :deep(ul),
.frame > :deep(ol) {
  overflow: auto;
  flex: 1 1 0;
  min-height: 250px;
}
.frame > :deep(svg) {
  flex: none;
}
.frame :deep(li) {
  border-top: 1px solid var(--line);
}
</style>
