<script setup lang="ts">
import type { Part, PartPlace } from '~~/core/sheet'

/** One part in a list: its item or its order, its name, and what is said of it. Touching it opens it. */
defineProps<{
  one: Pick<PartPlace, 'name'> & { part: Pick<Part, 'item' | 'quantity'> }
  number?: number
  says: string
}>()
defineEmits<{ open: [] }>()
</script>

<template>
  <button class="part" @click="$emit('open')">
    <span class="no figures">{{ number ?? one.part.item }}</span>
    <span class="what"
      >{{ one.name }}<template v-if="one.part.quantity"> × {{ one.part.quantity }}</template>
    </span>
    <span class="soft">{{ says }}</span>
  </button>
</template>

<style scoped>
.part {
  width: 100%;
  min-height: 46px;
  border: 0;
  background: none;
  display: grid;
  grid-template-columns: 38px 1fr auto;
  gap: 10px;
  align-items: center;
  text-align: left;
  cursor: pointer;
  padding: 0;
}
.no {
  background: #1f3a68;
  color: #fff;
  border-radius: 3px;
  text-align: center;
  padding: 3px 0;
}
.what {
  font-size: 17px;
}
</style>
