<script setup lang="ts">
import { CHOICES, foundOut, isLookedAt, kitWords, newFrom, partState, type Choice } from '~~/core/job'

/** Every part that is off: the readings propose, the technician decides, always-new parts decide themselves. */
const job = useJob()
const why = ref<string | null>(null)
const rows = computed(() =>
  [...job.plan.parts.values()].flatMap(one => {
    const now = partState(job.state, one.ref)
    if (now.where !== 'off') return []
    // What was found of it, also where a new one is in hand already.
    const bad = foundOut(job.plan, job.view.results, one.ref)
    return [
      {
        ...one,
        now,
        bad,
        proposal: bad
          ? ('renew' as const)
          : isLookedAt(job.plan, job.state, job.view.results, one.ref)
            ? ('reuse' as const)
            : null,
        always: one.part.renewal === 'always',
        choice: one.part.renewal === 'always' ? ('renew' as const) : now.decision?.choice,
      },
    ]
  }),
)
const open = computed(() => rows.value.filter(one => !one.choice))
const proposed = computed(() => open.value.filter(one => one.proposal))
const toFetch = computed(() => rows.value.filter(one => one.choice === 'renew' && !one.now.renewed))
const resting = useRest(() => rows.value.map(one => one.ref).join())
const back = (part: string) => {
  why.value = job.act({ kind: 'part.returned', payload: { part } })
}
const decide = (parts: string[], choice: Choice, reason?: string) => {
  why.value = job.act({ kind: 'part.decided', payload: { parts, choice, ...(reason ? { why: reason } : {}) } })
}
function proposeAll() {
  const good = proposed.value.filter(one => one.proposal === 'reuse').map(one => one.ref)
  if (good.length) decide(good, 'reuse')
  for (const one of proposed.value) decide([one.ref], 'renew', `${one.bad!.title} is out`)
}
function fetchAll() {
  why.value = job.act(
    ...toFetch.value.map(one => ({
      kind: 'part.renewed' as const,
      payload: { part: one.ref, from: newFrom(one.part) },
    })),
  )
}
</script>

<template>
  <PadFrame title="Decide" :why="why">
    <p class="soft">{{ counted(open.length, 'part') }} to decide, {{ toFetch.length }} new to take.</p>
    <div class="acts">
      <el-button v-if="proposed.length" data-test="propose" :disabled="resting" @click="proposeAll">
        Take the proposals for the {{ proposed.length }} looked at
      </el-button>
      <el-button v-if="toFetch.length" data-test="fetch" :disabled="resting" @click="fetchAll">
        Take the {{ toFetch.length }} new parts
      </el-button>
    </div>
    <ul tabindex="0" aria-label="Parts to decide">
      <li v-for="one in rows" :key="one.ref">
        <div class="name">
          <strong>{{ one.name }}</strong>
          <small v-if="one.always" class="soft">Always new: {{ one.part.renewalWhy }}</small>
          <small v-else-if="one.bad" class="why">{{ one.bad.title }} is out: renew</small>
          <small v-if="one.choice === 'renew'" class="soft">{{
            one.now.renewed
              ? `New one taken from ${one.now.renewed.from}`
              : one.part.kit
                ? `In the ${kitWords(job.plan, newFrom(one.part))}`
                : 'Not in a kit: from stock'
          }}</small>
          <el-button
            v-if="(one.choice === 'send out' || one.choice === 'rework') && !one.now.returned"
            @click="back(one.ref)"
          >
            It is back
          </el-button>
        </div>
        <el-radio-group
          v-if="!one.always"
          :model-value="one.choice ?? ''"
          :aria-label="one.name"
          @change="choice => decide([one.ref], choice as Choice)"
        >
          <el-radio-button
            v-for="choice in CHOICES"
            :key="choice"
            :value="choice"
            :class="{ hint: !one.choice && one.proposal === choice }"
            >{{ choice }}</el-radio-button
          >
        </el-radio-group>
      </li>
    </ul>
  </PadFrame>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 5px 0;
  flex-wrap: wrap;
}
.name {
  flex: 1 1 150px;
}
.name strong {
  font: 600 18px var(--heads);
  display: block;
}
small {
  display: block;
  font-size: 15px;
}
li :deep(.el-radio-button__inner) {
  padding: 4px 9px;
}
</style>
