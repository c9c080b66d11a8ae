<script setup lang="ts">
import { isWanted, stepsLeft, STATION_WORDS } from '~~/core/job'
import type { Station } from '~~/core/sheet'

/** Every step of a station in its order: what is done, what is next, and the way back to each. */
const props = defineProps<{ station: Station }>()
const job = useJob()
const bench = useBench()
const next = computed(() => stepsLeft(job.plan, job.state)[0]?.id)
const steps = computed(() =>
  job.plan.sheet.steps
    .filter(one => one.station === props.station && (job.state.steps.has(one.id) || isWanted(job.plan, job.state, one)))
    .map(one => ({ ...one, done: job.state.steps.get(one.id) })),
)
</script>

<template>
  <PadFrame :title="STATION_WORDS[station]">
    <ol aria-label="Steps">
      <li v-for="one in steps" :key="one.id">
        <el-button class="opens" :class="{ next: one.id === next }" @click="bench.choose(one.id)">
          <span class="figures no">{{ job.plan.stepNumber.get(one.id) }}</span>
          <span class="what"
            >{{ one.title
            }}<small v-if="one.done" class="soft"
              >{{ one.done.skipped === undefined ? 'Done' : 'Left out' }} by {{ job.names.get(one.done.by) }},
              {{ siteTime(one.done.at) }}</small
            ><small v-else-if="one.id === next">Next</small>
          </span>
        </el-button>
      </li>
    </ol>
  </PadFrame>
</template>

<style scoped>
.no {
  min-width: 2.2em;
}
.what {
  flex: 1;
}
small {
  display: block;
  font-size: 15px;
}
.next {
  font-weight: 600;
}
</style>
