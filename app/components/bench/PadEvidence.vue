<script setup lang="ts">
/** Photographs of what the pad is of, under its heading; fetched once the bench has had time to begin. */
const on = usePadOn()
const { isSettled } = useSettled()
</script>

<template>
  <LazyPadPhotos v-if="on !== undefined && isSettled" :key="JSON.stringify(on)" :on="on" />
</template>
