<script setup lang="ts">
/** Which way a bolt turns, as one stands before it: a left-hand thread tightens the other way, and is said loudly. */
const props = defineProps<{ hand: 'right' | 'left'; way: 'tighten' | 'slacken' }>()
const isClockwise = computed(() => (props.hand === 'right') === (props.way === 'tighten'))
</script>

<template>
  <span class="hand" :class="{ left: hand === 'left' }">
    <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true" :class="{ back: !isClockwise }">
      <path d="M4.5 16.5A9 9 0 1 1 20 18" />
      <path d="M23.5 14.5 19.6 19.5 14.6 15.6" />
    </svg>
    {{ hand === 'left' ? 'Left-hand thread: ' : '' }}{{ way }} {{ isClockwise ? 'clockwise' : 'anticlockwise' }}
  </span>
</template>

<style scoped>
.hand {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  vertical-align: middle;
  color: var(--ink);
}
.hand.left {
  color: var(--out);
  font-weight: 600;
}
path {
  fill: none;
  stroke: currentcolor;
  stroke-width: 2.4;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.back {
  transform: scaleX(-1);
}
</style>
