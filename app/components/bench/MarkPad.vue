<script setup lang="ts">
import { allSaid, CARRIERS, dotsTaken, marksDiffer, markText, readLabel, sentenceOf, type Mark } from '~~/core/job'
import { parseQuantity } from '~~/core/quantity'
import { datumSeen } from '~~/core/sheet'

/** A match-mark made before two parts part: with what, where, and from which end or datum it was taken. */
const props = defineProps<{ mate: string }>()
const job = useJob()
const bench = useBench()
const { fieldUnit } = useDisplay()
const mate = job.plan.mates.get(props.mate)!
const made = computed(() => job.state.marks.get(props.mate))
/** Every mark of it: more than one where tablets that had not seen each other each made one. */
const all = computed(() => (made.value ? allSaid<Mark>(made.value) : []))
const differ = computed(() => marksDiffer(job.state, mate))
const reason = ref('')
const METHODS = Object.keys(CARRIERS)
const wanted = mate.mark?.method ?? METHODS[0]!
const methods = [...new Set([wanted, ...METHODS])]
const method = ref(wanted)
const deg = ref<number | null>(null)
const text = ref('')
const dots = ref<number | null>(null)
const NUMBERS = [1, 2, 3]
/** Parts of a kind never get the same number. */
const taken = computed(() => NUMBERS.flatMap(n => dotsTaken(job.plan, job.state, mate, n) ?? []))
const takenDots = computed(() => NUMBERS.filter(n => dotsTaken(job.plan, job.state, mate, n)))
const why = ref<string | null>(null)
const resting = useRest(() => props.mate)
const heldFrom = mate.mark!.seenFrom
const datum = datumSeen(job.plan, mate.b, heldFrom)

/** Where it lies, as the rule of the mate wants it said; null with the reason. */
function where(): Pick<Mark, 'deg' | 'mm' | 'text' | 'label' | 'dots'> | null {
  if (mate.rule.kind === 'dots') {
    why.value = dots.value === null ? 'Say how many dots you punched on each side.' : null
    return dots.value === null ? null : { dots: [dots.value, dots.value] }
  }
  if (mate.rule.kind === 'label') {
    const label = text.value.trim()
    const refusal = readLabel(mate, { label })
    why.value = refusal && sentenceOf(refusal)
    return why.value ? null : { label }
  }
  if (mate.rule.kind === 'distance') {
    const read = parseQuantity(text.value, {
      kind: 'length',
      unit: fieldUnit('mm'),
      span: mate.rule.span,
      label: mate.title,
    })
    why.value = read.ok ? null : read.why
    return read.ok ? { mm: read.value.value, text: `${Number(read.value.value.toPrecision(12))} mm` } : null
  }
  why.value = deg.value === null ? 'Set on the dial where the mark lies: drag, or type 2:20 or 70°.' : null
  return deg.value === null ? null : { deg: deg.value }
}
function make() {
  const at = where()
  if (!at) return
  why.value = job.act({
    kind: 'mark.made',
    payload: { mate: mate.id, ...at, seenFrom: heldFrom, carrier: method.value },
  })
  if (!why.value && bench.hindered.some(one => one.settle.to === 'mark')) bench.look(null)
}

/** One of two marks goes: whoever looked at both says why. */
function takeBack(mark: Mark) {
  const written = reason.value.trim()
  why.value = written
    ? job.act({ kind: 'entry.corrected', payload: { target: mark.entry, why: written } })
    : 'Say what is seen on the parts, and why that mark goes.'
  if (!why.value) reason.value = ''
}
</script>

<template>
  <PadFrame :title="mate.title" :why="why">
    <p class="soft">Mark {{ mate.mark?.on }}. {{ mate.ifWrong }}.</p>
    <template v-if="made">
      <p v-if="all.length === 1">
        <strong>Marked:</strong> {{ markText(job.plan, made) }}, by {{ job.names.get(made.by) }}.
      </p>
      <UnseenNote
        v-if="all.length > 1"
        :said="all.map(one => ({ by: one.by, words: markText(job.plan, one) }))"
        :follows="differ ? 'They differ: look at both, and take the wrong one back.' : 'They say the same.'"
      />
      <form v-if="differ" class="pad-acts" data-test="two-marks" @submit.prevent>
        <el-input
          v-model="reason"
          maxlength="200"
          aria-label="What is seen, and why one goes"
          placeholder="What is seen, and why one goes"
        />
        <el-button v-for="one in all" :key="one.entry" @click="takeBack(one)">
          Take back {{ job.names.get(one.by) }}’s: {{ markText(job.plan, one) }}
        </el-button>
      </form>
      <IndexDial
        v-if="made.deg !== undefined && !differ"
        :model-value="made.deg"
        fixed
        :held-from="made.seenFrom"
        :ends="job.plan.sheet.ends"
        :datum="datum"
      />
    </template>
    <template v-else>
      <form v-if="mate.rule.kind === 'distance'" @submit.prevent="make">
        <p class="label">How far from {{ mate.mark?.from }}?</p>
        <QuantityField v-model="text" :label="mate.title" :unit="fieldUnit('mm')" name="distance" />
      </form>
      <form v-else-if="mate.rule.kind === 'label'" @submit.prevent="make">
        <p class="label">{{ mate.rule.ask }}</p>
        <el-input
          v-model="text"
          class="figures"
          maxlength="40"
          :aria-label="mate.title"
          :placeholder="`as in ${mate.rule.example}`"
          autocomplete="off"
        />
      </form>
      <div v-else-if="mate.rule.kind === 'dots'">
        <p class="label">How many dots did you punch, as many on each side?</p>
        <DotsPick v-model="dots" label="Dots on each side" :numbers="NUMBERS" :taken="takenDots" />
        <p v-if="taken.length" class="soft">Taken: {{ taken.map(one => one.title).join(', ') }}.</p>
      </div>
      <IndexDial
        v-else
        v-model="deg"
        :held-from="heldFrom"
        :ends="job.plan.sheet.ends"
        :datum="datum"
        :lies="bench.step?.lies"
      />
      <el-radio-group v-if="mate.rule.kind !== 'dots'" v-model="method" aria-label="Made with">
        <el-radio-button v-for="one in methods" :key="one" :value="one">{{ one }}</el-radio-button>
      </el-radio-group>
      <el-alert
        v-if="CARRIERS[method]?.length"
        type="warning"
        :closable="false"
        title="It will not survive the wash. Scribe it as well, or photograph it."
      />
      <div class="pad-acts">
        <el-button type="primary" data-test="mark" :disabled="resting" @click="make">Mark it</el-button>
        <EvidenceLost :lost="{ mate: mate.id }" :by="mate.mark?.lost" />
      </div>
    </template>
  </PadFrame>
</template>
