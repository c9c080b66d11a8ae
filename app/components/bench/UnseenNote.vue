<script setup lang="ts">
/** What two tablets said of one thing without having seen each other: both are kept, and what follows is said. */
const { follows = 'The worse for the machine stands.' } = defineProps<{
  said: readonly { by: string; words: string }[]
  follows?: string
}>()
const job = useJob()
const nameOf = (id: string) => job.names.get(id) ?? 'somebody no longer here'
</script>

<template>
  <p class="why" data-test="unseen">
    Said twice, neither having seen the other:
    <template v-for="(one, i) in said" :key="one.by + i">
      <template v-if="i">, </template><b>{{ one.words }}</b> by {{ nameOf(one.by) }} </template
    >. {{ follows }}
  </p>
</template>
