<script setup lang="ts">
import { isForSign, STATION_WORDS, unmetNeeds, type Obligation, type Settle } from '~~/core/job'
import { STATIONS, type Step } from '~~/core/sheet'

/** What is owed: what is wrong, before this step, what would be lost, what can be done now; the rest by station. */
const job = useJob()
const props = defineProps<{ owed: Obligation[]; step: Step | null }>()
defineEmits<{ settle: [to: Settle] }>()
/** Its step can be done now: the steps before that are settled. */
const isReached = (one: Obligation) => {
  if (one.step === null) return one.onceReached
  const step = job.plan.steps.get(one.step)
  return step !== undefined && unmetNeeds(job.plan, job.state, step).length === 0
}
const mine = computed(() => props.owed.filter(one => one.kind !== 'step' && one.kind !== 'joint'))
/** What can be settled now, or would be lost; the rest lies folded by station. */
const groups = computed(() => {
  const left = new Set(mine.value)
  const take = (is: (one: Obligation) => boolean) => {
    const list = [...left].filter(is)
    list.forEach(one => left.delete(one))
    return list
  }
  // What stops the work is never folded away.
  const wrong = take(one => one.wrong !== null)
  const reported = take(one => isForSign(job.plan, job.state, one.id))
  const here = take(one => props.step !== null && one.step === props.step.id)
  const lost = take(one => one.perishable)
  const now = take(isReached)
  return [
    { title: 'stops what comes next', list: wrong },
    { title: 'for what was reported', list: reported },
    { title: 'before this step', list: here },
    { title: 'gone if it is forgotten', list: lost },
    { title: 'can be done now', list: now },
  ].filter(one => one.list.length)
})
const folded = computed(() => {
  const shown = new Set(groups.value.flatMap(one => one.list))
  return STATIONS.map(station => ({
    station,
    list: mine.value.filter(one => one.station === station && !shown.has(one)),
  })).filter(one => one.list.length)
})
const BAD: readonly Obligation['kind'][] = [
  'out',
  'finding',
  'wrong way',
  'wrong place',
  'pieces',
  'round',
  'trial',
  'trouble',
  'origin',
  'doer',
  'item',
]
</script>

<template>
  <section class="card owed" aria-label="Owed">
    <h2>Owed</h2>
    <div class="scroll" tabindex="0" role="group" aria-label="What is owed">
      <template v-for="{ title, list } in groups" :key="title">
        <h3 class="soft">{{ title }}</h3>
        <ul>
          <li v-for="one in list" :key="one.key">
            <el-button class="opens" @click="$emit('settle', one.settle)">
              <VerdictMark :verdict="BAD.includes(one.kind) ? 'Out' : 'Open'" :word="false" />
              <span
                >{{ one.what
                }}<small class="soft">{{ one.kind === 'out' ? 'Put it right, or ask a lead' : one.why }}</small>
              </span>
            </el-button>
          </li>
        </ul>
      </template>
      <el-collapse v-if="folded.length" class="later">
        <el-collapse-item
          v-for="{ station, list } in folded"
          :key="station"
          :title="`${STATION_WORDS[station]}: ${list.length} later`"
        >
          <ul>
            <li v-for="one in list" :key="one.key">
              <el-button class="opens" @click="$emit('settle', one.settle)">
                <VerdictMark :verdict="BAD.includes(one.kind) ? 'Out' : 'Open'" :word="false" />
                <span
                  >{{ one.what }}<small class="soft">{{ one.why }}</small>
                </span>
              </el-button>
            </li>
          </ul>
        </el-collapse-item>
      </el-collapse>
      <p v-if="!mine.length" class="soft">Nothing is owed.</p>
    </div>
  </section>
</template>

<style scoped>
.later {
  margin-top: 10px;
}
.owed {
  padding: 12px 14px;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
h2 {
  font-size: 21px;
}
h3 {
  font: 500 15px var(--words);
  margin-top: 6px;
}
.scroll {
  overflow-y: auto;
  flex: 1 1 0;
  min-height: 260px;
}
li {
  border-top: 1px solid var(--line);
}
li .verdict {
  align-self: flex-start;
  padding-top: 2px;
}
small {
  display: block;
  font-size: 15px;
}
</style>
