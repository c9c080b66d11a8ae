<script setup lang="ts">
/** What was found where it has no business came off something: what that was, before the parts are decided. */
const props = defineProps<{ step: string; word: string }>()
const job = useJob()
const bench = useBench()
const may = useMay()
const why = ref<string | null>(null)
const from = ref('')
const at = computed(() => job.plan.steps.get(props.step)!.title)
const resting = useRest(() => props.word)
function say() {
  const { step, word } = props
  why.value = job.act({ kind: 'origin.said', payload: { step, word, from: from.value.trim() } })
  if (!why.value) bench.look(null)
}
</script>

<template>
  <PadFrame :title="`Where did it come from: ${word}`" :why="why">
    <p class="soft">Found at: {{ at }}.</p>
    <p>
      It came off something. Look at what runs beside it, and at what was read of it; then say what it was, or how it is
      known that it is old.
    </p>
    <form class="say" @submit.prevent="say">
      <el-input
        v-model="from"
        type="textarea"
        :autosize="{ minRows: 2, maxRows: 5 }"
        maxlength="400"
        aria-label="What did it come off?"
      />
      <el-button
        type="primary"
        native-type="submit"
        data-test="origin"
        :disabled="resting || !from.trim() || !may('origin.said')"
      >
        Say so
      </el-button>
    </form>
  </PadFrame>
</template>

<style scoped>
.say {
  display: grid;
  gap: 10px;
  justify-items: start;
}
</style>
