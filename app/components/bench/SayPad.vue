<script setup lang="ts">
import {
  countFault,
  isAway,
  jointAhead,
  kitWords,
  lubricantFault,
  mediumsOf,
  newFrom,
  partName,
  partState,
  type Count,
} from '~~/core/job'
import { liftedWith, type Part } from '~~/core/sheet'

/** What a step wants said as it is confirmed: what comes off and under which number, what goes back and how it stands. */
const job = useJob()
const bench = useBench()
const why = ref<string | null>(null)
const step = computed(() => bench.step!)
const asks = computed(() => bench.asks)
const said = computed(() => bench.said)

const FEW = 6
/** What comes along: by name where it is little, else what weighs something, and what all of it weighs. */
function alongWords({ massKg: own = 0 }: Part, riders: readonly string[]): string {
  if (riders.length <= FEW) return riders.map(rider => partName(job.plan, rider)).join(', ')
  const many = new Map<Part, string[]>()
  for (const { part, ref } of riders.map(rider => job.plan.parts.get(rider)!))
    many.set(part, [...(many.get(part) ?? []), ref])
  const massOf = ({ massKg = 0 }: Part, refs: readonly string[]) => massKg * refs.length
  const heavy = [...many].filter(one => massOf(...one)).sort((a, b) => massOf(...b) - massOf(...a))
  const words = heavy.map(([part, refs]) => {
    const name = refs.length === 1 ? partName(job.plan, refs[0]!) : `${part.name} × ${refs.length}`
    return `${name}, ${massOf(part, refs)} kg`
  })
  const small = riders.length - heavy.flatMap(([, refs]) => refs).length
  const all = own + heavy.reduce((sum, one) => sum + massOf(...one), 0)
  const list = [...words, ...(small ? [`${small} small parts`] : [])].join('; ')
  return all ? `${list}. ${all} kg hang` : list
}

const counted = (part: string) => asks.value.counts.find(one => one.part === part)
const rows = computed(() =>
  [
    ...(step.value.removes ?? []),
    ...(step.value.fits ?? []),
    ...(step.value.trial?.on ?? []),
    ...(step.value.trial?.off ?? []),
  ].map(ref => {
    const one = job.plan.parts.get(ref)!
    return {
      ...one,
      now: partState(job.state, ref),
      count: counted(said.value.hands?.[ref] ?? ref),
      isTagged: asks.value.tags.includes(ref),
      bag: asks.value.bags.find(bag => bag.parts[0] === ref),
      shares: asks.value.bags.find(bag => bag.parts.includes(ref) && bag.parts[0] !== ref),
      hand: asks.value.hands.find(hand => hand.place === ref),
      goesOn: step.value.fits?.includes(ref) ?? false,
      along: alongWords(
        one.part,
        liftedWith(job.plan, ref).filter(rider => partState(job.state, rider).where !== 'off'),
      ),
      free: (job.plan.matesOf.get(ref) ?? []).filter(mate => mate.a === ref && mate.rule.kind === 'free'),
    }
  }),
)
type Row = (typeof rows.value)[number]
const items = computed(() => asks.value.counts.filter(one => one.item))
const title = computed(() =>
  step.value.removes?.length
    ? 'What comes off'
    : step.value.fits?.length
      ? 'What goes back'
      : step.value.trial?.on?.length
        ? 'What goes on for the trial'
        : step.value.trial?.off?.length
          ? 'What comes off after the trial'
          : asks.value.found
            ? 'What was found'
            : asks.value.facts.length
              ? 'What the machine says of itself'
              : asks.value.starting.length
                ? 'Before it is started'
                : asks.value.mates.length
                  ? 'How it stands'
                  : asks.value.counts.length
                    ? 'Pieces, counted'
                    : 'What is on it',
)
const needsNew = ({ now, part }: Row) =>
  now.where === 'off' && !now.renewed && (part.renewal === 'always' || now.decision?.choice === 'renew')
const back = (part: string) => {
  why.value = job.act({ kind: 'part.returned', payload: { part } })
}
const fresh = ({ ref, part }: Row) => {
  why.value = job.act({ kind: 'part.renewed', payload: { part: ref, from: newFrom(part) } })
}
const fault = (count: Count) => countFault(count, said.value.counts?.[count.key])
function pick(place: string, part: string | undefined) {
  bench.put('hands', place, part)
  bench.say({ swapped: (said.value.swapped ?? []).filter(one => one !== place) })
}
const joint = computed(() => jointAhead(job.plan, job.state, step.value))
function drawUp() {
  why.value = bench.lacking[0] ?? null
  if (!why.value) bench.goOnToJoint()
}
/** What is written anew is not said to be another one yet. */
function writeFact(id: string, text: string) {
  bench.put('facts', id, text)
  bench.say({ otherFacts: (said.value.otherFacts ?? []).filter(one => one !== id) })
}
const KEEP = { bag: 'goes in a bag', tag: 'gets a tag', lay: 'is laid out', pattern: 'is kept as the pattern' }
/** Beside a place that asks which one is in the hand, the number is not said. */
const says = ({ part, now, goesOn, isTagged, bag, shares, hand }: Row) =>
  isTagged || bag || shares || hand
    ? ''
    : goesOn
      ? whereIs(part, now)
      : part.renewal === 'always'
        ? 'always new'
        : part.massKg
          ? `${part.massKg} kg`
          : now.where === 'off'
            ? whereIs(part, now)
            : KEEP[part.keep]
</script>

<template>
  <PadFrame :title="title" :why="why">
    <ul tabindex="0" :aria-label="title">
      <li v-for="one in rows" :key="one.ref">
        <div class="part">
          <PartRow :one="one" :says="says(one)" @open="bench.look({ to: 'part', part: one.ref })" />
          <CountField
            v-if="one.count"
            :count="one.count"
            :n="said.counts?.[one.count.key]"
            @give="n => bench.put('counts', one.count!.key, n)"
          />
          <label v-if="one.isTagged" class="label-of"
            >Tag
            <el-input
              :model-value="said.tags?.[one.ref] ?? ''"
              class="figures"
              maxlength="24"
              :aria-label="`Tag of ${one.name}`"
              @update:model-value="text => bench.put('tags', one.ref, text)"
            />
          </label>
          <label v-if="one.bag" class="label-of"
            >Bag
            <el-input
              :model-value="said.bags?.[one.bag.group] ?? ''"
              class="figures"
              maxlength="24"
              :aria-label="`Bag of ${one.name}`"
              @update:model-value="text => bench.put('bags', one.bag!.group, text)"
            />
          </label>
          <span v-if="one.shares" class="label-of soft">same bag</span>
        </div>
        <template v-if="one.goesOn">
          <div v-if="isAway(one.now) || needsNew(one)" class="row">
            <el-button v-if="isAway(one.now)" size="small" data-test="back" @click="back(one.ref)"
              >It is back</el-button
            >
            <el-button v-if="needsNew(one)" size="small" type="primary" data-test="new" @click="fresh(one)">
              Take a new one, {{ kitWords(job.plan, one.part.kit) }}
            </el-button>
          </div>
          <p v-for="mate in one.free" :key="mate.id" class="soft">
            Any way round: {{ mate.rule.kind === 'free' ? mate.rule.why.toLowerCase() : '' }}.
          </p>
        </template>
        <HandPick
          v-if="one.hand"
          :place="one.ref"
          :candidates="one.hand.candidates"
          :part="said.hands?.[one.ref]"
          :swapped="said.swapped?.includes(one.ref) ?? false"
          @pick="part => pick(one.ref, part)"
          @swap="bench.say({ swapped: [...(said.swapped ?? []), one.ref] })"
        />
        <p v-if="one.along" class="soft">Along with it: {{ one.along }}.</p>
      </li>
      <li v-for="one in items" :key="one.key">
        <div class="part">
          <span class="item">{{ one.what }}: how many {{ one.way === 'in' ? 'go in' : 'come out' }}?</span>
          <CountField :count="one" :n="said.counts?.[one.key]" @give="n => bench.put('counts', one.key, n)" />
        </div>
        <p v-if="fault(one)" class="why" role="alert">{{ fault(one) }}</p>
      </li>
      <li v-for="mate in asks.mates" :key="mate.id">
        <LazyMateAsk
          :mate="mate"
          :given="said.mates?.[mate.id]"
          @give="answer => bench.put('mates', mate.id, answer)"
        />
      </li>
      <li v-for="one in asks.lubricants" :key="one.on" class="on">
        <p>
          <strong>{{ one.on }}</strong>: what is on it?
        </p>
        <el-radio-group
          :model-value="said.lubricants?.[one.on] ?? ''"
          :aria-label="`What is on it: ${one.on}`"
          @change="medium => bench.put('lubricants', one.on, medium as string)"
        >
          <el-radio-button v-for="medium in mediumsOf(job.plan)" :key="medium" :value="medium">
            {{ medium }}
          </el-radio-button>
        </el-radio-group>
        <p v-if="lubricantFault(one, said.lubricants?.[one.on])" class="why" role="alert">
          {{ lubricantFault(one, said.lubricants?.[one.on]) }}
        </p>
      </li>
      <li v-for="one in asks.starting" :key="one.id" class="on">
        <p>{{ one.ask }}</p>
        <el-radio-group
          :model-value="said.started?.[one.id] ?? ''"
          :aria-label="one.ask"
          data-test="starting"
          @change="say => bench.say({ started: { ...said.started, [one.id]: say as string } })"
        >
          <el-radio-button v-for="choice in one.choices" :key="choice.say" :value="choice.say">
            {{ choice.say }}
          </el-radio-button>
        </el-radio-group>
        <p
          v-if="one.choices.some(choice => !choice.met && choice.say === said.started?.[one.id])"
          class="why"
          role="alert"
        >
          {{ one.otherwise }}.
        </p>
      </li>
      <li v-for="one in asks.facts" :key="one.id">
        <LazyFactField
          :fact="one"
          :text="said.facts?.[one.id] ?? ''"
          :is-other="said.otherFacts?.includes(one.id) ?? false"
          @write="text => writeFact(one.id, text)"
          @other="bench.say({ otherFacts: [...(said.otherFacts ?? []), one.id] })"
        />
      </li>
      <li v-if="asks.found">
        <LazyFoundField :found="asks.found" :text="said.found ?? ''" @write="found => bench.say({ found })" />
      </li>
    </ul>
    <el-button v-if="joint" type="primary" data-test="draw-up" @click="drawUp">Next: {{ joint.title }}</el-button>
  </PadFrame>
</template>

<style scoped>
li {
  padding: 2px 0;
}
.part,
.row {
  display: flex;
  gap: 8px 12px;
  align-items: center;
}
/* What is counted, and bagged besides, has its fields under a name that would be too narrow beside them. */
.part {
  flex-wrap: wrap;
  justify-content: flex-end;
}
.part > :first-child {
  flex: 1 1 230px;
  min-width: 0;
}
.label-of {
  display: flex;
  gap: 6px;
  align-items: center;
  font-weight: 500;
  flex: none;
  width: 138px;
}
.on {
  display: grid;
  gap: 4px;
}
.on > p::first-letter {
  text-transform: uppercase;
}
.item {
  font-size: 17px;
}
</style>
