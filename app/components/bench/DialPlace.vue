<script setup lang="ts">
import { laidOver, whereText } from '~~/core/job'
import { clockText } from '~~/core/marks'
import { datumSeen } from '~~/core/sheet'

/** Where something is on the clock of a part: at an hour, or from one round to another, with what was found on what sits against it laid over. */
const at = defineModel<{ deg?: number; toDeg?: number }>({ required: true })
const props = defineProps<{ part: string; heldFrom: string }>()
const job = useJob()
const bench = useBench()
const end = ref<'from' | 'to'>('from')
const onDial = computed({
  get: () => (end.value === 'to' ? at.value.toDeg : at.value.deg) ?? null,
  set: deg => {
    if (deg === null) return
    at.value = end.value === 'to' ? { ...at.value, toDeg: deg } : { ...at.value, deg }
  },
})
const arc = computed((): [number, number] | null =>
  at.value.deg === undefined || at.value.toDeg === undefined ? null : [at.value.deg, at.value.toDeg],
)
const over = computed(() => laidOver(job.plan, job.state, props.part, props.heldFrom))
</script>

<template>
  <div class="place">
    <el-radio-group v-model="end" aria-label="Where it begins and ends">
      <el-radio-button value="from">{{
        at.deg === undefined ? 'At…' : `${at.toDeg === undefined ? 'At' : 'From'} ${clockText(at.deg)}`
      }}</el-radio-button>
      <el-radio-button value="to" :disabled="at.deg === undefined">{{
        at.toDeg === undefined ? 'round to…' : `round to ${clockText(at.toDeg)}`
      }}</el-radio-button>
    </el-radio-group>
    <IndexDial
      v-model="onDial"
      :arc="arc"
      :held-from="heldFrom"
      :ends="job.plan.sheet.ends"
      :over="over.map(one => [one.deg, one.toDeg ?? one.deg])"
      :datum="datumSeen(job.plan, part, heldFrom)"
      :lies="bench.step?.lies"
    />
    <p v-for="(laid, i) in over" :key="i" class="soft" data-test="over">
      On the inner ring: {{ laid.name }}, {{ laid.finding }} {{ whereText(laid, heldFrom) }}.
    </p>
  </div>
</template>

<style scoped>
.place {
  display: grid;
  gap: 7px;
}
</style>
