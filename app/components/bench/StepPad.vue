<script setup lang="ts">
import { showValue, MOMENT_WORDS } from '~~/core/job'

/** The readings of the step in view, where nothing is to be measured or said. */
const props = defineProps<{ step: string }>()
const job = useJob()
const bench = useBench()
const { system } = useDisplay()
const readings = computed(() =>
  (job.plan.checksAt.get(props.step) ?? []).map(({ check, moment }) => job.view.results.get(`${check.id} ${moment}`)!),
)
</script>

<template>
  <PadFrame v-if="readings.length" title="Readings">
    <ul>
      <li v-for="one in readings" :key="one.check.id + one.moment">
        <el-button class="opens" @click="bench.look({ to: 'reading', check: one.check.id, moment: one.moment })">
          <VerdictMark :verdict="one.judgement.verdict" :word="false" />
          <span class="what"
            >{{ one.check.title }} <small class="soft">{{ MOMENT_WORDS[one.moment] }}</small>
          </span>
          <span class="figures">{{ one.owed ? showValue(one.check, one, system) : 'not wanted' }}</span>
        </el-button>
      </li>
    </ul>
  </PadFrame>
  <el-empty v-else :image-size="1" description="Nothing to measure here. Confirm the step when it is done." />
</template>

<style scoped>
.what {
  flex: 1;
}
</style>
