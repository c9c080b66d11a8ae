<script setup lang="ts">
import { isSameFact, type FactAsked } from '~~/core/job'

/** A short fact read off the machine; what the last job kept is confirmed with one touch, another one is named. */
const props = defineProps<{ fact: FactAsked; text: string; isOther: boolean }>()
const emit = defineEmits<{ write: [text: string]; other: [isOther: boolean] }>()
const typed = computed(() => props.text.trim())
const isAnother = computed(
  () => props.fact.before !== undefined && typed.value !== '' && !isSameFact(props.fact.before, typed.value),
)
</script>

<template>
  <div class="fact" role="group" :aria-label="fact.name">
    <p class="ask">{{ fact.ask }}</p>
    <div class="row">
      <el-input
        :model-value="text"
        class="figures"
        maxlength="80"
        autocomplete="off"
        :aria-label="fact.name"
        :placeholder="`as ${fact.example}`"
        @update:model-value="one => emit('write', one)"
      />
      <el-button v-if="fact.before && !typed" data-test="still" @click="emit('write', fact.before)">
        It still says {{ fact.before }}
      </el-button>
    </div>
    <div v-if="isAnother" class="another" role="alert">
      <p>
        <VerdictMark :verdict="isOther ? 'Thin' : 'Out'" :word="false" />
        The last job kept <b class="figures">{{ fact.before }}</b>.
        {{ isOther ? 'It is another one, and the record says so.' : 'Look again, letter by letter.' }}
      </p>
      <el-button v-if="!isOther" data-test="another" @click="emit('other', true)">It is another one</el-button>
    </div>
  </div>
</template>

<style scoped>
.fact {
  display: grid;
  gap: 8px;
  padding: 8px 0;
}
.ask {
  font: 600 20px var(--heads);
}
.row,
.another {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.row > :deep(.el-input) {
  flex: 1 1 200px;
}
.another {
  border-left: 5px solid var(--out);
  padding-left: 10px;
}
</style>
