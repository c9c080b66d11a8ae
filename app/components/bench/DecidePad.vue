<script setup lang="ts">
import type { Decision } from '~~/core/sheet'
import { decidedWith, kitWords, newFrom, partState, proposalsOf, signedFor } from '~~/core/job'

/** Every part that is off, but for what only joins others: readings propose, the technician decides, always-new parts decide themselves. */
const job = useJob()
const why = ref<string | null>(null)
const proposals = computed(() => proposalsOf(job.plan, job.state, job.view.results))
const off = computed(() =>
  [...job.plan.parts.values()].flatMap(one => {
    const now = partState(job.state, one.ref)
    return now.where === 'off' && !one.part.joins ? [{ ...one, now, proposal: proposals.value.get(one.ref) }] : []
  }),
)
type Off = (typeof off.value)[number]
/** Parts of one bag are one decision, unless something was found of one of them. */
const groupOf = ({ ref, part, now, proposal }: Off) =>
  now.kept?.as === 'bag' && part.renewal !== 'always' && !proposal?.because.length ? `bag ${now.kept.label}` : ref
const rows = computed(() => {
  const groups = new Map<string, Off[]>()
  for (const one of off.value) groups.set(groupOf(one), [...(groups.get(groupOf(one)) ?? []), one])
  return [...groups].map(([key, all]) => {
    const [one] = all as [Off]
    const choices = new Set(all.map(({ now }) => now.decision?.choice))
    return {
      ...one,
      key,
      name: all.map(each => each.name).join(', '),
      refs: all.map(each => each.ref),
      bag: all.length > 1 ? one.now.kept!.label : null,
      always: one.part.renewal === 'always',
      choice: choices.size === 1 ? [...choices][0] : undefined,
      new: all.filter(each => isNew(each)),
    }
  })
})
const isNew = ({ part, now }: Off) => part.renewal === 'always' || now.decision?.choice === 'renew'
const open = computed(() => rows.value.filter(one => !one.always && !one.choice))
/** Choices against a proposal whose reason is still to be given, by row: no press for all goes over them. */
const begun = reactive(new Map<string, Decision | null>())
const proposed = computed(() =>
  open.value.filter(one => !begun.get(one.key) && one.refs.every(ref => proposals.value.has(ref))),
)
const toFetch = computed(() => off.value.filter(one => isNew(one) && !one.now.renewed))
/** What whoever signs for the decisions signs against. */
const judged = computed(() => signedFor(job.plan, job.state))
const resting = useRest(() => off.value.map(one => one.ref).join())
const back = (part: string) => {
  why.value = job.act({ kind: 'part.returned', payload: { part } })
}
function proposeAll() {
  const good = proposed.value.filter(one => one.proposal!.choice === 'reuse' && !one.proposal!.because.length)
  const found = proposed.value.filter(one => !good.includes(one))
  const decided = [
    ...(good.length
      ? [
          decidedWith(
            good.flatMap(one => one.refs),
            'reuse',
            good[0]!.proposal,
          ),
        ]
      : []),
    ...found.map(one => decidedWith(one.refs, one.proposal!.choice, one.proposal)),
  ]
  why.value = job.act(...decided.map(payload => ({ kind: 'part.decided' as const, payload })))
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
    <p class="soft">{{ open.length }} to decide, {{ counted(toFetch.length, 'new part') }} to take.</p>
    <div class="acts">
      <el-button v-if="proposed.length" data-test="propose" :disabled="resting" @click="proposeAll">
        Take the proposals for the {{ proposed.length }} looked at
      </el-button>
      <el-button v-if="toFetch.length" data-test="fetch" :disabled="resting" @click="fetchAll">
        Take the {{ toFetch.length }} new parts
      </el-button>
    </div>
    <SignedFor :list="judged" />
    <ul tabindex="0" aria-label="Parts to decide">
      <li v-for="one in rows" :key="one.key">
        <div class="name">
          <strong>{{ one.name }}</strong>
          <small v-if="one.bag" class="soft">Together in bag {{ one.bag }}</small>
          <small v-if="one.always" class="soft">Always new: {{ one.part.renewalWhy }}</small>
          <small v-for="found in one.proposal?.because" :key="found" class="why">{{ found }}</small>
          <small v-if="one.new.length" class="soft">{{
            one.now.renewed
              ? `New one taken from ${kitWords(job.plan, one.now.renewed.from)}`
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
        <DecisionPick
          v-if="!one.always"
          :otherwise="begun.get(one.key) ?? null"
          :parts="one.refs"
          :label="one.name"
          @update:otherwise="to => begun.set(one.key, to)"
          @refused="text => (why = text)"
        />
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
</style>
