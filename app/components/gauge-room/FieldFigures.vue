<script setup lang="ts">
import type { ListField } from '~~/core/sums'

/** Several figures of one kind, one after the other: type one, take it; touch one to take it away. */
const props = defineProps<{ id: string; field: ListField; texts: string[]; unit: string }>()
const emit = defineEmits<{ change: [texts: string[]] }>()
const text = ref('')
const why = ref<string | null>(null)
const { system } = useDisplay()
const isFull = computed(() => props.texts.length >= props.field.most)
function take() {
  // Several at once come from a sheet or a gauge: parted by blanks, semicolons or lines. A blank before a fraction parts nothing.
  const words = text.value
    .split(/[;\n\t]| {1,}(?=[-+\d.])(?!\d+\/\d)/)
    .map(one => one.trim())
    .filter(Boolean)
  if (!words.length) return
  for (const word of words) {
    const read = readNumber(word, props.field, system.value)
    why.value = read.ok ? null : read.why
    if (!read.ok) return
  }
  if (props.texts.length + words.length > props.field.most) {
    why.value = `At most ${props.field.most} figures here.`
    return
  }
  emit('change', [...props.texts, ...words])
  text.value = ''
}
</script>

<template>
  <div class="figures-field">
    <el-button
      v-for="(one, i) in texts"
      :key="i"
      size="small"
      class="chip figures"
      :aria-label="`${field.label} ${i + 1}, ${neat(one)}; take away`"
      @click="emit('change', texts.toSpliced(i, 1))"
    >
      <span class="place">{{ i + 1 }}</span>{{ neat(one) }} ✕
    </el-button>
    <form v-if="!isFull" class="add" @submit.prevent="take">
      <el-input
        :id="id"
        v-model="text"
        class="figures"
        inputmode="decimal"
        autocomplete="off"
        :placeholder="`next, ${unit}`"
        :data-test="`field-${id}`"
      />
      <el-button native-type="submit">Take</el-button>
    </form>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
  </div>
</template>

<style scoped>
.figures-field {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.figures-field .chip {
  font: 400 17px var(--figures);
}
.place {
  font: 500 13px var(--heads);
  color: var(--soft);
}
.add {
  display: flex;
  gap: 6px;
  flex: 1 1 190px;
}
.why {
  flex-basis: 100%;
}
</style>
