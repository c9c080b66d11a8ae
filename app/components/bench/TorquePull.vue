<script setup lang="ts">
import { torqueDoubt, WRENCH_UNITS, WRENCH_UNIT_WORDS, type PassWanted, type WrenchUnit } from '~~/core/joints'
import { fromBase, parseQuantity } from '~~/core/quantity'
import type { Joint } from '~~/core/sheet'
import { judge } from '~~/core/verdict'

/** One pass by torque: the wrench set once a pass and clicked bolt by bolt, or read off each time. */
const props = defineProps<{
  joint: Joint
  wanted: PassWanted & { by: 'torque' }
  pass: number
  bolt: number
  resting: boolean
  /** Keeps a pull; false when it is refused, and then what was typed stays. */
  keep: (pull: { torqueNm: number; text: string; how: 'read' | 'clicked' }) => boolean
}>()
const job = useJob()
const may = useMay()
const MODES = [
  { value: 'clicked', label: 'Set and clicked' },
  { value: 'read', label: 'Read off' },
] as const
const how = useLocalStorage<'clicked' | 'read'>('needler-wrench-how', 'clicked')
const unit = useWrenchUnit()
/** What the wrench was set to, in this pass and for no other. */
const set = useLocalStorage<{ pass: number; nm: number; text: string } | null>(
  `needler-wrench-${job.id}-${props.joint.id}`,
  null,
  { serializer: { read: text => JSON.parse(text), write: one => JSON.stringify(one) } },
)
const text = useLocalStorage(`needler-bolt-${job.id}-${props.joint.id}`, '')
const why = ref<string | null>(null)
const doubt = ref<{ ask: string; other: WrenchUnit | null } | null>(null)
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')

const setNow = computed(() => (how.value === 'clicked' && set.value?.pass === props.pass ? set.value : null))
const limits = computed(() => {
  const { least: min, most: max, target: best } = props.wanted
  return { min, max, best, warningShare: 0 }
})
const read = computed(() => (text.value.trim() ? parseQuantity(text.value, fieldOf(unit.value)) : null))
const value = computed(() => setNow.value?.nm ?? (read.value?.ok ? read.value.value.value : null))
const verdict = computed(() => (value.value === null ? ('Open' as const) : judge(value.value, limits.value).verdict))

function fieldOf(as: WrenchUnit) {
  const target = props.joint.targetNm!
  return { kind: 'torque' as const, unit: as, span: [target * 0.02, target * 3] as const, label: props.joint.title }
}
const focus = () => void nextTick(() => field.value?.focus())
function refuse(words: string) {
  why.value = words
  void nextTick(() => field.value?.select())
}

/** The figure in the field, once it is sure: in the wrench's unit, or the one it must have been in. */
function figure(as: WrenchUnit, isSure: boolean): { nm: number; text: string } | null {
  const parsed = parseQuantity(text.value, fieldOf(as))
  if (!parsed.ok) {
    refuse(parsed.why)
    return null
  }
  const typed = Number(text.value.replace(',', '.'))
  doubt.value = isSure || Number.isNaN(typed) ? null : torqueDoubt(typed, as, props.wanted)
  if (doubt.value) return null
  return {
    nm: parsed.value.value,
    text: Number.isNaN(typed) ? text.value.trim() : `${typed} ${WRENCH_UNIT_WORDS[as]}`,
  }
}
function take(as: WrenchUnit = unit.value, isSure = false) {
  const got = figure(as, isSure)
  if (!got) return
  if (as !== unit.value) unit.value = as
  if (how.value === 'clicked') set.value = { pass: props.pass, ...got }
  else if (!props.keep({ torqueNm: got.nm, text: got.text, how: 'read' })) return
  text.value = ''
  focus()
}
const click = () => props.keep({ torqueNm: setNow.value!.nm, text: setNow.value!.text, how: 'clicked' })
onMounted(focus)
watch(
  text,
  () => {
    why.value = null
    doubt.value = null
  },
  { flush: 'sync' },
)
</script>

<template>
  <template v-if="setNow">
    <el-button
      type="primary"
      class="click"
      data-test="clicked"
      :disabled="resting || !may('bolt.pulled')"
      @click="click"
    >
      Bolt {{ bolt }} clicked
    </el-button>
    <p class="set">
      <span
        >Set to <b class="figures">{{ setNow.text }}</b></span
      >
      <el-button text @click="set = null">Change</el-button>
    </p>
  </template>
  <form v-else @submit.prevent="take()">
    <QuantityField
      ref="field"
      v-model="text"
      name="torque"
      :label="how === 'clicked' ? 'The wrench is set to' : `Torque of bolt ${bolt}`"
      :unit="WRENCH_UNIT_WORDS[unit]"
      :placeholder="how === 'clicked' ? 'set to' : 'as read'"
    />
    <el-button type="primary" data-test="pull" native-type="submit" :disabled="resting">
      {{ how === 'clicked' ? 'It is set' : `Keep bolt ${bolt}` }}
    </el-button>
  </form>
  <div v-if="doubt" class="doubt" role="alert">
    <p>{{ doubt.ask }}</p>
    <el-button v-if="doubt.other" type="primary" data-test="other-unit" @click="take(doubt.other, true)">
      It was {{ text }} {{ WRENCH_UNIT_WORDS[doubt.other] }}
    </el-button>
    <el-button data-test="sure" @click="take(unit, true)">It is {{ text }} {{ WRENCH_UNIT_WORDS[unit] }}</el-button>
    <el-button @click="doubt = null">Type it again</el-button>
  </div>
  <KeyPad v-else-if="!setNow" v-model="text" :replace="why !== null" />
  <p v-if="why" class="why" role="alert">{{ why }}</p>
  <Teleport defer to="#below-bolt">
    <ReadingBand :limits="limits" :value="value" :verdict="verdict" :decimals="0" :scale="nm => fromBase(nm, unit)" />
    <div class="foot">
      <el-segmented v-model="how" :options="[...MODES]" aria-label="How the wrench is used" />
      <el-segmented
        v-model="unit"
        :options="WRENCH_UNITS.map(one => ({ value: one, label: WRENCH_UNIT_WORDS[one] }))"
        aria-label="Unit of the wrench"
      />
    </div>
  </Teleport>
</template>

<style scoped>
.set {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.click {
  min-height: 68px;
  font-size: 26px;
}
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
</style>
