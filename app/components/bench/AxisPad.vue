<script setup lang="ts">
import { axisOf, consequencesOf, proposalOf } from '~~/core/job'

/** A choice that changes the job itself: what the readings speak for, what each answer brings, and then who says so and why. */
const props = defineProps<{ axis: string }>()
const job = useJob()
const bench = useBench()
const session = useSessionStore()
const axis = computed(() => axisOf(job.plan, props.axis))
const now = computed(() => job.state.chosen.findLast(one => one.axis === props.axis))
const proposal = computed(() => proposalOf(job.plan, job.view.results, axis.value))
const chosen = ref('')
const reason = ref('')
const why = ref<string | null>(null)
const brings = computed(() => chosen.value && consequencesOf(job.plan, job.state, props.axis, chosen.value))
const titleOf = (id: string | undefined) => axis.value.choices.find(one => one.id === id)?.title ?? ''
const LISTS = [
  ['comes', 'Comes in'],
  ['goes', 'Left out'],
  ['inVain', 'Done already, and no longer part of the job'],
  ['strays', 'Off now, and without a step that fits it back'],
] as const
const lists = computed(() => {
  const found = brings.value
  return found ? LISTS.map(([key, title]) => ({ title, items: found[key] })).filter(one => one.items.length) : []
})
const verb = computed(() => (axis.value.decided && !now.value ? 'Decide' : 'Change to'))
const isLeads = computed(() => axis.value.decided?.by === 'lead' && !session.isLead)
const resting = useRest(() => chosen.value)
const { led } = useSign()
async function decide() {
  const payload = { axis: props.axis, choice: chosen.value, why: reason.value.trim() }
  const title = `${axis.value.title}: ${titleOf(chosen.value)}`
  const { isSigned, why: hindered } = await led(title, isLeads.value, { kind: 'variant.changed', payload })
  why.value = hindered
  if (!isSigned) return
  // The pad may stay, since what was chosen is shown at its step: nothing is half chosen on it any more.
  chosen.value = ''
  reason.value = ''
  bench.look(null)
}
</script>

<template>
  <PadFrame :title="axis.title" :why="why">
    <div class="pad-scroll" tabindex="0" role="group" :aria-label="axis.title">
      <p>{{ axis.decided?.ask ?? 'What is it on this machine?' }}</p>
      <p v-if="now" class="soft">
        Now: {{ titleOf(now.choice) }}, by {{ job.names.get(now.by) }}, {{ siteTime(now.at) }}. {{ now.why }}
      </p>
      <p v-if="proposal" class="proposal">
        Readings suggest: <strong>{{ titleOf(proposal.choice) }}</strong> ({{ proposal.why }}).
      </p>
      <p v-else-if="axis.decided?.proposes?.length" class="soft">
        The readings say nothing yet: not all of them are taken.
      </p>
      <el-radio-group v-model="chosen" class="choices" :aria-label="axis.title">
        <el-radio-button
          v-for="one in axis.choices"
          :key="one.id"
          :value="one.id"
          :disabled="one.id === job.plan.variants[axis.id]"
          >{{ one.title }}</el-radio-button
        >
      </el-radio-group>
      <template v-if="brings">
        <section v-for="list in lists" :key="list.title">
          <h3>{{ list.title }}</h3>
          <ul>
            <li v-for="item in list.items" :key="item">{{ item }}</li>
          </ul>
        </section>
        <p v-if="!lists.length" class="soft">No step changes with it.</p>
        <p class="soft">Owed afterwards: {{ brings.owed >= 0 ? `${brings.owed} more` : `${-brings.owed} fewer` }}.</p>
      </template>
    </div>
    <form v-if="chosen" class="acts" @submit.prevent="decide">
      <label class="sr" for="axis-why">Why</label>
      <el-input id="axis-why" v-model="reason" maxlength="400" placeholder="why, for the record" />
      <el-button type="primary" native-type="submit" :disabled="resting" data-test="decide-axis">
        {{ `${verb}: ${titleOf(chosen)}` }}{{ isLeads ? ', a lead signs' : '' }}
      </el-button>
    </form>
  </PadFrame>
</template>

<style scoped>
.proposal {
  border-left: 4px solid var(--brass);
  padding-left: 10px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 0 2px;
}
.acts {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  padding-top: 8px;
}
h3 {
  font-size: 17px;
}
</style>
