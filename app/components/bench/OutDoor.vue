<script setup lang="ts">
import { axisOf, doorOf, readingKey } from '~~/core/job'
import type { Moment } from '~~/core/sheet'

/** What is out, and the way on: put right here and measured again, another round, the step it was done at taken up again, or decided otherwise. */
const props = defineProps<{ check: string; moment: Moment; place?: string }>()
const job = useJob()
const bench = useBench()
const may = useMay()
const why = ref<string | null>(null)
const done = ref('')
const result = computed(() => job.view.results.get(readingKey(props.check, props.moment))!)
const door = computed(() => (job.isClosed ? null : doorOf(job.plan, job.state, result.value)))
const wordsOf = ({ axis, choice }: { axis: string; choice: string }) =>
  inSentence(axisOf(job.plan, axis).choices.find(one => one.id === choice)!.title)
const resting = useRest(() => `${props.check} ${props.place}`)
function putRight(remedy: string) {
  const { check, moment, place } = props
  why.value = remedy
    ? job.act({ kind: 'check.remedied', payload: { check, moment, ...(place ? { place } : {}), remedy } })
    : 'Say what was done about it.'
  if (!why.value) done.value = ''
}
</script>

<template>
  <div v-if="door" class="door">
    <template v-if="door.to === 'remedy'">
      <p class="label">Put right where it is? Say what was done, and measure again.</p>
      <div class="row">
        <el-button
          v-for="one in result.check.remedies"
          :key="one"
          data-test="remedy"
          :disabled="resting || !may('check.remedied')"
          @click="putRight(one)"
        >
          {{ one }}
        </el-button>
      </div>
      <form class="row" @submit.prevent="putRight(done.trim())">
        <el-input
          v-model="done"
          maxlength="200"
          :placeholder="result.check.remedies ? 'Something else was done…' : 'What was done…'"
          aria-label="What was done about it"
        />
        <el-button native-type="submit" data-test="put-right" :disabled="resting || !may('check.remedied')">
          Put right, measure again
        </el-button>
      </form>
    </template>
    <el-button v-else-if="door.to === 'round'" type="primary" @click="bench.look({ to: 'round', loop: door.loop })">
      Change what it needs: another round
    </el-button>
    <el-button
      v-else-if="door.to === 'choice'"
      type="primary"
      data-test="decide-otherwise"
      @click="bench.look({ to: 'axis', axis: door.axis })"
    >
      Decide otherwise: {{ wordsOf(door) }}
    </el-button>
    <el-button v-else type="primary" data-test="take-up-again" @click="bench.look({ to: 'reopen', step: door.step })">
      Take up again: {{ job.plan.steps.get(door.step)!.title }}
    </el-button>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
  </div>
</template>

<style scoped>
.door {
  display: grid;
  gap: 6px;
  border-left: 4px solid var(--out);
  padding-left: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.row > :deep(.el-input) {
  flex: 1 1 200px;
}
</style>
