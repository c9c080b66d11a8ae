<script setup lang="ts">
import { easedOf } from '~~/core/job'
import { viewWords } from '~~/core/sheet'

/** A joint slackened bolt by bolt in its order: one out of its turn is named before it is kept. */
const props = defineProps<{ joint: string }>()
const job = useJob()
const may = useMay()
const joint = job.plan.joints.get(props.joint)!
const progress = computed(() => easedOf(joint, job.state))
const chosen = ref<number | null>(null)
const bolt = computed(() => chosen.value ?? progress.value.next)
const isOutOfTurn = computed(() => chosen.value !== null && chosen.value !== progress.value.next)
const why = ref<string | null>(null)
const resting = useRest(() => `${bolt.value}`)
const drawn = computed(() => ({
  order: progress.value.order,
  next: progress.value.next,
  pulled: progress.value.eased.map(one => ({ bolt: one, verdict: 'Holds' as const })),
}))
function keep() {
  why.value = job.act({ kind: 'bolt.eased', payload: { joint: joint.id, bolt: bolt.value! } })
  if (!why.value) chosen.value = null
}
function choose(one: number) {
  if (!progress.value.eased.includes(one)) chosen.value = one === progress.value.next ? null : one
}
</script>

<template>
  <PadFrame :title="`${joint.title} · slacken`" :why="why">
    <p class="soft">{{ joint.slacken!.how }}, seen from {{ viewWords(joint.seenFrom) }}.</p>
    <div class="work">
      <div class="ring">
        <BoltRing :joint="joint" :progress="drawn" :chosen="chosen" way="slacken" @choose="choose" />
        <HandOfThread :hand="joint.hand" way="slacken" />
      </div>
      <div class="do">
        <template v-if="bolt !== null">
          <p class="next" data-test="ease" :data-bolt="bolt">Bolt {{ bolt }}</p>
          <div v-if="isOutOfTurn" class="doubt" role="alert">
            It is the turn of bolt {{ progress.next }}. {{ joint.slacken!.why }}.
            <el-button size="small" @click="chosen = null">Bolt {{ progress.next }} instead</el-button>
          </div>
          <el-button
            type="primary"
            class="eased"
            data-test="eased"
            :disabled="resting || !may('bolt.eased')"
            @click="keep"
          >
            Bolt {{ bolt }} eased
          </el-button>
        </template>
        <p v-else><VerdictMark verdict="Holds" /> every bolt is eased.</p>
      </div>
    </div>
  </PadFrame>
</template>

<style scoped>
.eased {
  min-height: 68px;
  font-size: 26px;
}
</style>
