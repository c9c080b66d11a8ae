<script setup lang="ts">
import { verdictOf, type Finding } from '~~/core/job'
import {
  groundOf,
  GRADES,
  OTHER,
  PROPOSED_WORDS,
  type CodeSetName,
  type FindingCode,
  type GradeNumber,
} from '~~/core/looks'
import type { Look } from '~~/core/sheet'

/** One finding: which it is, how bad, and where. What is drawn is told from the others at arm's length. */
const props = defineProps<{
  part: string
  heldFrom: string
  set: CodeSetName
  codes: readonly FindingCode[]
  /** The look of the sheet it is for; in passing it is placed only where somebody wants to. */
  look?: Look
  canLeave?: boolean
}>()
const emit = defineEmits<{ found: [finding: Finding]; leave: []; choosing: [isChosen: boolean] }>()
const code = ref<FindingCode | null>(null)
const finding = ref<Finding | null>(null)
/** Nowhere in particular: said, and not left out. */
const isAllRound = ref(false)
const placing = ref(props.look?.on === 'dial')
const why = ref<string | null>(null)
watch(code, now => emit('choosing', now !== null))
const ground = computed(() => groundOf(props.set))
/** What is said of where it is, beside the hour. */
const places = computed(() => [
  ...(props.look?.faces ? [{ of: 'face', ask: 'On which face', all: props.look.faces } as const] : []),
  ...(props.look?.zones ? [{ of: 'zone', ask: 'Where it is', all: props.look.zones } as const] : []),
])
const note = computed({
  get: () => finding.value?.note ?? '',
  set: text => put({ note: text }),
})
const at = computed({
  get: () => ({ deg: finding.value?.deg, toDeg: finding.value?.toDeg }),
  set: where => {
    isAllRound.value = false
    put(where)
  },
})
function put(more: Partial<Finding>) {
  finding.value = { ...finding.value!, ...more }
}
/** Nothing more is to be said of it. */
const isSaid = (one: FindingCode) =>
  one.id !== OTHER.id && (!props.look || (props.look.on === 'whole' && !props.look.faces))
function grade(n: number) {
  const one = code.value!
  finding.value = { code: one.id, grade: n }
  if (isSaid(one) && props.look) add()
}
/** Back to all that may be found; from there, to what is found so far. */
function leave() {
  if (!code.value) emit('leave')
  code.value = null
  finding.value = null
  why.value = null
}
/** What is still to be said of where it is, and what. */
function lacking(): string | null {
  const { deg, zone, face, note: said } = finding.value!
  const { on, faces } = props.look ?? {}
  if (code.value!.id === OTHER.id && !said?.trim()) return 'Say in words what it is.'
  if (on === 'zones' && !zone) return 'Say where it is.'
  if (faces && !face) return 'Say on which face.'
  return on === 'dial' && deg === undefined && !isAllRound.value
    ? 'Set on the dial where it is, or say all round.'
    : null
}
function addAllRound() {
  isAllRound.value = true
  add()
}
function add() {
  why.value = lacking()
  if (why.value) return
  const { deg, toDeg, note: written, ...rest } = finding.value!
  const said = written?.trim()
  emit('found', {
    ...rest,
    ...(said ? { note: said } : {}),
    ...(isAllRound.value || deg === undefined ? {} : { deg, ...(toDeg === undefined ? {} : { toDeg }) }),
  })
}
</script>

<template>
  <div class="pick">
    <div v-if="!code" class="tiles" role="group" aria-label="What is seen">
      <el-button v-for="one in codes" :key="one.id" class="tile" :data-code="one.id" @click="code = one">
        <FindingDrawing :on="ground" :as="one.drawn" :grade="2" />
        <span>{{ one.say }}</span>
      </el-button>
    </div>
    <template v-else>
      <p>
        <strong>{{ code.say }}.</strong> {{ code.tells }}.
      </p>
      <!-- What was taken makes room for where it is; a touch on it takes another grade. -->
      <div class="tiles" :class="finding ? 'one' : 'three'" role="group" aria-label="How bad it is">
        <el-button
          v-for="n in finding ? [finding.grade as GradeNumber] : GRADES"
          :key="n"
          class="tile"
          :class="{ chosen: finding }"
          :aria-pressed="finding !== null"
          :data-grade="n"
          @click="finding ? (finding = null) : grade(n)"
        >
          <FindingDrawing :on="ground" :as="code.drawn" :grade="n" />
          <span>{{ code.grades[n - 1]!.say }}</span>
          <small
            ><VerdictMark :verdict="verdictOf(code, n)" :word="false" />
            {{ PROPOSED_WORDS[code.grades[n - 1]!.proposes] }}</small
          >
        </el-button>
      </div>
      <template v-if="finding">
        <el-radio-group
          v-for="each in places"
          :key="each.of"
          :model-value="finding[each.of] ?? ''"
          :aria-label="each.ask"
          @change="place => put({ [each.of]: String(place) })"
        >
          <el-radio-button v-for="place in each.all" :key="place" :value="place">{{ place }}</el-radio-button>
        </el-radio-group>
        <DialPlace v-if="placing" v-model="at" :part="part" :held-from="heldFrom" />
        <el-input v-model="note" maxlength="200" aria-label="A line of note" placeholder="A line of note" />
      </template>
      <p v-if="why" class="why" role="alert">{{ why }}</p>
    </template>
    <div class="pad-acts">
      <el-button v-if="finding" type="primary" data-test="add-finding" @click="add">Add it</el-button>
      <el-button v-if="finding && look?.on === 'dial'" data-test="all-round" @click="addAllRound">
        All round
      </el-button>
      <el-button v-if="finding && !look" :aria-expanded="placing" @click="placing = !placing">Where</el-button>
      <el-button v-if="code || canLeave" @click="leave">{{ code ? 'Another' : 'Back' }}</el-button>
    </div>
  </div>
</template>

<style scoped>
.pick {
  display: grid;
  gap: 8px;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(94px, 1fr));
  gap: 8px;
}
.three {
  grid-template-columns: repeat(3, 1fr);
}
.one {
  grid-template-columns: 1fr;
}
.one .tile :deep(> span) {
  grid-template-columns: 84px auto;
  text-align: left;
  align-items: center;
  gap: 2px 12px;
}
.one .tile :deep(.found) {
  grid-row: span 2;
}
.tile {
  padding: 5px;
  font-size: 16px;
}
.tile :deep(> span) {
  display: grid;
  gap: 3px;
  width: 100%;
}
.tile small {
  font: 400 15px/1.2 var(--words);
  color: var(--ink);
}
.chosen {
  background: var(--brass-wash);
  box-shadow: inset 0 0 0 2.5px var(--brass);
}
</style>
