<script setup lang="ts">
import type { Cell } from '~~/core/job'

/** Where what is read is typed, chosen or ticked: what it looks like follows from what the cell is read as. */
const props = defineProps<{
  cell: Cell
  title: string
  unit: string
  lead: string | null
  placeholder: string
}>()
const said = defineModel<string>({ required: true })
const emit = defineEmits<{ take: []; pasted: [text: string, figures: string[]] }>()
const job = useJob()
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')
const as = computed(() => props.cell.as)
/** Answers of what is chosen, not typed. */
const answers = computed((): readonly string[] =>
  as.value.type === 'flag' ? ['yes', 'no'] : as.value.type === 'choice' ? as.value.choices : [],
)
const some = computed(() => (said.value ? said.value.split(';') : []))
const choose = (all: readonly unknown[]) => {
  said.value = all.join(';')
}
/** A column copied from elsewhere is as many figures; one figure alone is pasted as ever. */
function paste(event: ClipboardEvent) {
  const text = event.clipboardData?.getData('text') ?? ''
  const figures = text.split(/[\t\r\n]+/).flatMap(one => one.trim() || [])
  if (figures.length < 2 || as.value.type !== 'number') return
  event.preventDefault()
  emit('pasted', text, figures)
}
defineExpose({ focus: () => field.value?.focus(), select: () => field.value?.select() })
</script>

<template>
  <form v-if="as.type === 'number' || as.type === 'text'" class="take" @submit.prevent="emit('take')" @paste="paste">
    <QuantityField
      ref="field"
      v-model="said"
      name="figure"
      big
      :label="title"
      :unit="unit"
      :lead="lead"
      :placeholder="placeholder"
    />
  </form>
  <el-radio-group
    v-else-if="answers.length"
    :model-value="said"
    :aria-label="title"
    @change="one => (said = String(one))"
  >
    <el-radio-button v-for="word in answers" :key="word" :value="word">{{ word }}</el-radio-button>
  </el-radio-group>
  <LazyCellTicks v-else-if="as.type === 'many'" :words="as.choices" :ticked="some" :title="title" @change="choose" />
  <LazyContactGrid v-else-if="as.type === 'list'" :squares="some" :ends="job.plan.sheet.ends" @change="choose" />
</template>
