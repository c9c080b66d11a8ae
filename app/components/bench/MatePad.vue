<script setup lang="ts">
import { allSaid, answerText, coveredAt, type MateAnswer, type Stamp } from '~~/core/job'

/** A mate looked at again after its step: not yet seen then, or put right since. */
const props = defineProps<{ mate: string }>()
const job = useJob()
const bench = useBench()
const mate = computed(() => job.plan.mates.get(props.mate)!)
const why = ref<string | null>(null)
const stood = computed(() => job.state.mates.get(props.mate))
/** What lies over it by now: said anew it would not be seen. */
const covered = computed(() =>
  stood.value && !stood.value.notYet ? coveredAt(job.plan, job.state, { mate: props.mate }) : null,
)
const said = computed(() =>
  stood.value ? allSaid<Stamp & MateAnswer>(stood.value).map(one => ({ by: one.by, words: answerText(one) })) : [],
)
function give(answer: Omit<MateAnswer, 'mate'> | undefined) {
  if (!answer) return
  why.value = job.act({ kind: 'mate.answered', payload: { mate: props.mate, ...answer } })
  if (!why.value && !job.view.owed.some(one => one.settle.to === 'mate' && one.settle.mate === props.mate))
    bench.look(null)
}
</script>

<template>
  <PadFrame title="How it stands" :why="why">
    <UnseenNote v-if="said.length > 1" :said="said" />
    <p v-if="stood?.notYet" class="soft">It could not be seen before, and is owed.</p>
    <template v-else-if="covered">
      <p>
        <strong>{{ mate.title }}: {{ answerText(stood!) }}.</strong> “{{ covered.over.title }}” was done over it since.
      </p>
      <div class="pad-acts">
        <el-button
          type="primary"
          data-test="take-up-again"
          @click="bench.look({ to: 'reopen', step: covered.step.id })"
        >
          Take up again: {{ covered.step.title }}
        </el-button>
        <el-button @click="bench.look({ to: 'ledger' })">A lead corrects what was said</el-button>
      </div>
    </template>
    <p v-else-if="stood" class="soft">It stood wrong before: put it right, then say how it stands now.</p>
    <MateAsk v-if="!covered" :mate="mate" @give="give" />
  </PadFrame>
</template>
