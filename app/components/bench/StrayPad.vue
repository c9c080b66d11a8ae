<script setup lang="ts">
import { partName, partState, SETTLED } from '~~/core/job'

/** A part that is off and that the job, as it is now decided, has no step for: where does it go? */
const props = defineProps<{ part: string }>()
const job = useJob()
const bench = useBench()
const note = ref('')
const why = ref<string | null>(null)
const kept = computed(() => partState(job.state, props.part).kept)
const resting = useRest(() => props.part)
function settle(to: (typeof SETTLED)[number]) {
  why.value = job.act({
    kind: 'part.settled',
    payload: { part: props.part, to, ...(note.value.trim() ? { note: note.value.trim() } : {}) },
  })
  if (!why.value) bench.look(null)
}
</script>

<template>
  <PadFrame :title="partName(job.plan, part)" :why="why">
    <p>
      It is off<template v-if="kept"> ({{ kept.as }} {{ kept.label }})</template>, and the job as decided has no step
      that fits it. Where does it go?
    </p>
    <label class="label" for="stray-note">Note</label>
    <el-input id="stray-note" v-model="note" maxlength="400" placeholder="where it lies, or why" />
    <div class="row">
      <el-button v-for="to in SETTLED" :key="to" :disabled="resting" @click="settle(to)">{{ to }}</el-button>
    </div>
  </PadFrame>
</template>
