<script setup lang="ts">
import { EditPen } from '@element-plus/icons-vue'
import { isNotedOn, notedName, type Noted } from '~~/core/job'

/** Notes on what the pad is turned to, and a line to write another. */
const props = defineProps<{ on: Noted }>()
const job = useJob()
const may = useMay()
const why = ref<string | null>(null)
const text = useLocalStorage(`needler-note-${job.id}-${props.on.what}-${props.on.id}-${props.on.part ?? ''}`, '')
const writing = ref(text.value !== '')
const field = useTemplateRef<{ focus: () => void }>('field')
const notes = computed(() => job.state.notes.filter(one => isNotedOn(one.on, props.on)))
const name = computed(() => notedName(job.plan, props.on) ?? '')
function open() {
  writing.value = true
  void nextTick(() => field.value?.focus())
}
function write() {
  const said = text.value.trim()
  if (!said) {
    why.value = 'Write the note first.'
    return
  }
  why.value = job.act({ kind: 'note.written', payload: { text: said, on: props.on } })
  if (!why.value) leave()
}
function leave() {
  text.value = ''
  why.value = null
  writing.value = false
}
</script>

<template>
  <aside
    v-if="notes.length || writing || (!job.isClosed && may('note.written'))"
    class="notes"
    :aria-label="`Notes on ${name}`"
  >
    <p v-for="one in notes" :key="one.entry" class="note">
      {{ one.text }} <small class="soft">{{ job.names.get(one.by) }}, {{ siteTime(one.at) }}</small>
    </p>
    <form v-if="writing" class="write" @submit.prevent="write">
      <el-input
        ref="field"
        v-model="text"
        maxlength="400"
        :aria-label="`Note on ${name}`"
        :placeholder="`Note on ${inSentence(name)}`"
      />
      <el-button native-type="submit" type="primary" size="small">Keep it</el-button>
      <el-button size="small" @click="leave">Leave it</el-button>
    </form>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <el-button
      v-if="!writing && !job.isClosed && may('note.written')"
      text
      size="small"
      class="add add-sign pad-sign"
      aria-label="Note"
      title="Note"
      data-test="note"
      @click="open"
    >
      <el-icon><EditPen /></el-icon>
    </el-button>
  </aside>
</template>

<style scoped>
/* Over what does not fit: the pad is as full as it may be. */
.notes {
  flex: none;
  position: sticky;
  bottom: -12px;
  background: var(--chalk);
  z-index: 1;
}
.notes:has(.add:only-child) {
  position: static;
}
.write :deep(.el-button) {
  flex: none;
}
.note {
  border-left: 4px solid var(--brass);
  padding: 2px 10px;
  margin-top: 6px;
}
.write {
  display: flex;
  gap: 8px;
  align-items: center;
  padding-top: 6px;
}
.add {
  right: var(--beside);
}
</style>
