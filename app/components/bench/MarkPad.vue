<script setup lang="ts">
import { clockText } from '~~/core/marks'

/** A match-mark made before two parts part: with what, where, and from which end it was looked at. */
const props = defineProps<{ mate: string }>()
const job = useJob()
const bench = useBench()
const mate = job.plan.mates.get(props.mate)!
const made = computed(() => job.state.marks.get(props.mate))
const METHODS = ['punch dots', 'scribed line', 'paint line', 'washable pen', 'tag']
const method = ref(mate.mark?.method ?? METHODS[0]!)
const deg = ref<number | null>(0)
const why = ref<string | null>(null)
const resting = useRest(() => props.mate)
const heldFrom = mate.mark?.seenFrom ?? 'drive end'
const ends: [string, string] = [job.plan.sheet.ends.left, job.plan.sheet.ends.right]
function make() {
  if (deg.value === null) return
  why.value = job.act({
    kind: 'mark.made',
    payload: { mate: mate.id, deg: deg.value, seenFrom: heldFrom, carrier: method.value },
  })
  if (!why.value && bench.hindered.some(one => one.settle.to === 'mark')) bench.look(null)
}
</script>

<template>
  <PadFrame :title="mate.title" :why="why">
    <p class="soft">Mark {{ mate.mark?.on }}. {{ mate.wrong }}.</p>
    <template v-if="made">
      <p class="was">
        <VerdictMark verdict="Holds" :word="false" /> {{ made.carrier }} at {{ clockText(made.deg) }} seen from the
        {{ made.seenFrom }}, by {{ job.names.get(made.by) }}.
      </p>
      <IndexDial :model-value="made.deg" :held-from="made.seenFrom" :ends="ends" />
    </template>
    <template v-else>
      <IndexDial v-model="deg" :held-from="heldFrom" :ends="ends" />
      <div class="methods" role="group" aria-label="Made with">
        <button
          v-for="one in [...new Set([method, mate.mark?.method ?? method, ...METHODS])]"
          :key="one"
          class="btn"
          :class="{ on: one === method }"
          :aria-pressed="one === method"
          @click="method = one"
        >
          {{ one }}
        </button>
      </div>
      <p v-if="method === 'washable pen'" class="warn">
        It will not survive the wash. Scribe it as well, or photograph it.
      </p>
      <div class="pad-acts">
        <button class="btn now" data-test="mark" :disabled="resting" @click="make">Mark it</button>
        <EvidenceLost :lost="{ mate: mate.id }" :by="mate.mark?.lost" />
      </div>
    </template>
  </PadFrame>
</template>

<style scoped>
.methods {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.methods .btn {
  min-height: 44px;
  font-size: 16px;
  padding: 0 12px;
}
.warn {
  border-left: 5px solid var(--thin);
  background: var(--brass-wash);
  padding: 6px 10px;
}
.was {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
