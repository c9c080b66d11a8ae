<script setup lang="ts">
import { partState } from '~~/core/job'
import { clockText } from '~~/core/marks'
import type { Mate } from '~~/core/sheet'

/** Each part as it goes back: new or same, and which way round it stands. Contradictions are named when they arise. */
const props = defineProps<{ step: string }>()
const job = useJob()
const answers = useAnswers()
const why = ref<string | null>(null)
const ends: [string, string] = [job.plan.sheet.ends.left, job.plan.sheet.ends.right]
const step = job.plan.steps.get(props.step)!
const parts = computed(() => {
  const asked = new Map(answers.asked(step).map(one => [one.part, one.asked]))
  return (step.fits ?? []).map(ref => ({
    ...job.plan.parts.get(ref)!,
    now: partState(job.state, ref),
    asked: asked.get(ref) ?? [],
    given: answers.of(ref),
    free: (job.plan.matesOf.get(ref) ?? []).filter(mate => mate.rule.kind === 'free'),
  }))
})
const isAway = (one: (typeof parts.value)[number]) =>
  !one.now.returned && (one.now.decision?.choice === 'send out' || one.now.decision?.choice === 'rework')
const back = (part: string) => {
  why.value = job.act({ kind: 'part.returned', payload: { part } })
}
const standing = ref<{ part: string; mate: Mate } | null>(null)
const deg = ref<number | null>(0)
const ask = (mate: Mate) =>
  mate.rule.kind === 'statement' ? mate.rule.ask : `Do the marks meet (${mate.title.toLowerCase()})?`
const needsNew = (one: (typeof parts.value)[number]) =>
  one.now.where === 'off' && !one.now.renewed && (one.part.renewal === 'always' || one.now.decision?.choice === 'renew')
const fresh = (one: (typeof parts.value)[number]) => {
  why.value = job.act({ kind: 'part.renewed', payload: { part: one.ref, from: sourceOf(one.part.kit) } })
}
const sourceOf = (kit?: string) => job.plan.sheet.kits.find(one => one.id === kit)?.name ?? 'stock'
function notMet(part: string, mate: Mate) {
  answers.give(part, { mate: mate.id, met: false })
  if (mate.rule.kind === 'aligned' && job.state.marks.has(mate.id)) {
    standing.value = { part, mate }
    deg.value = job.state.marks.get(mate.id)!.deg
  }
}
function stand() {
  if (standing.value && deg.value !== null)
    answers.give(standing.value.part, { mate: standing.value.mate.id, met: false, deg: deg.value })
  standing.value = null
}
</script>

<template>
  <PadFrame title="How each part goes back" :why="why">
    <div v-if="standing" class="dial">
      <p class="label">
        Where does the mark of {{ standing.mate.title.toLowerCase() }} stand now? It was made at the blue dot.
      </p>
      <IndexDial
        v-model="deg"
        :held-from="job.state.marks.get(standing.mate.id)!.seenFrom"
        :ends="ends"
        :mark="job.state.marks.get(standing.mate.id)!.deg"
      />
      <button class="btn now" @click="stand">It stands there</button>
    </div>
    <ul v-else>
      <li v-for="one in parts" :key="one.ref">
        <div class="row">
          <strong>{{ one.name }}</strong>
          <span class="soft">{{ whereIs(one.part, one.now) }}</span>
          <button v-if="isAway(one)" class="btn" data-test="back" @click="back(one.ref)">It is back</button>
          <button v-if="needsNew(one)" class="btn" data-test="new" @click="fresh(one)">
            New from {{ sourceOf(one.part.kit) }}
          </button>
        </div>
        <p v-for="face in one.part.faces" :key="face.face" class="soft">{{ face.face }}: {{ face.medium }}</p>
        <p v-for="mate in one.free" :key="mate.id" class="soft">
          Any way round: {{ mate.rule.kind === 'free' ? mate.rule.why.toLowerCase() : '' }}.
        </p>
        <template v-if="one.now.where === 'off'">
          <div v-for="mate in one.asked" :key="mate.id" class="ask" role="group" :aria-label="ask(mate)">
            <span
              >{{ ask(mate)
              }}<small v-if="job.state.marks.get(mate.id)" class="soft"
                >{{ job.state.marks.get(mate.id)!.carrier }} at {{ clockText(job.state.marks.get(mate.id)!.deg) }} seen
                from the {{ job.state.marks.get(mate.id)!.seenFrom }}</small
              >
              <small v-if="one.given.find(answer => answer.mate === mate.id && !answer.met)" class="why"
                >{{ mate.wrong }}.</small
              >
            </span>
            <button
              class="btn"
              data-test="yes"
              :class="{ on: one.given.find(answer => answer.mate === mate.id)?.met === true }"
              :aria-pressed="one.given.find(answer => answer.mate === mate.id)?.met === true"
              @click="answers.give(one.ref, { mate: mate.id, met: true })"
            >
              Yes
            </button>
            <button
              class="btn"
              :class="{ on: one.given.find(answer => answer.mate === mate.id)?.met === false }"
              :aria-pressed="one.given.find(answer => answer.mate === mate.id)?.met === false"
              @click="notMet(one.ref, mate)"
            >
              No
            </button>
          </div>
        </template>
      </li>
    </ul>
  </PadFrame>
</template>

<style scoped>
li {
  padding: 6px 0;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  flex-wrap: wrap;
}
.row strong {
  font: 600 19px var(--heads);
  flex: 1;
}
.ask {
  display: grid;
  grid-template-columns: 1fr 70px 70px;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
.ask small {
  display: block;
  font-size: 15px;
}
.ask .btn {
  padding: 0;
}
.dial {
  display: grid;
  gap: 10px;
}
</style>
