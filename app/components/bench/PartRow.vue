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
  <el-button class="opens" @click="$emit('open')">
    <span class="no figures">{{ number ?? one.part.item }}</span>
    <span class="what"
      >{{ one.name }}<template v-if="one.part.quantity"> × {{ one.part.quantity }}</template>
    </span>
    <span class="soft">{{ says }}</span>
  </el-button>
</template>

<style scoped>
.no {
  background: #1f3a68;
  color: #fff;
  border-radius: 3px;
  text-align: center;
  padding: 3px 0;
  flex: 0 0 38px;
}
.what {
  flex: 1;
}
.soft {
  flex: none;
  max-width: 45%;
  text-align: right;
}
</style>
