<script setup lang="ts">
import { drawnFor, hasArrived, isNotedOn, lineOf, notedName, photosOn, type Noted } from '~~/core/job'
import { isMeant, type DrawnShape, type SHAPES } from '~~/core/photos'

/** A photograph as large as the screen: drawn on with arrow, circle and word, and another beside it. */
const props = defineProps<{ on: Noted | null }>()
const open = defineModel<string | null>({ required: true })
const job = useJob()
const may = useMay()
const session = useSessionStore()
const photos = usePhotosStore()
const name = computed(() => (props.on ? (notedName(job.plan, props.on) ?? '') : 'The job'))

/** Every photograph of the same thing: of this job, then of last time. */
const all = computed(() => [
  ...photosOn(job.state, props.on).map(one => ({
    ...{ id: one.photo, photo: one, shapes: drawnFor(job.state, one), words: lineOf(job.state, one) },
    isHere: hasArrived(job.state, one),
    taken: one,
    when: `${job.names.get(one.by) ?? ''}, ${siteTime(one.at)}`,
  })),
  ...job.about.photosLast
    .filter(one => isNotedOn(one.on, props.on))
    .map(one => ({
      ...{ id: one.photo, photo: one, shapes: one.shapes, words: one.words ?? '', isHere: true, taken: null },
      when: `Job ${one.job}, ${siteTime(one.takenAt)}`,
    })),
])
const shown = computed(() => all.value.find(one => one.id === open.value))
const beside = ref<string | null>(null)
const other = computed(() => all.value.find(one => one.id === beside.value && one.id !== shown.value?.id))

const mayDraw = computed(() => !!shown.value?.taken && !job.isClosed && may('photo.drawn'))
const TOOLS = [
  { value: 'arrow', label: 'Arrow' },
  { value: 'circle', label: 'Circle' },
  { value: 'word', label: 'Word' },
] as const
const tool = ref<(typeof SHAPES)[number]>('arrow')
/** What is drawn and not kept yet; null where nothing was changed. */
const draft = ref<DrawnShape[] | null>(null)
const line = ref<string | null>(null)
const drawing = ref<DrawnShape | null>(null)
const word = ref('')
const why = ref<string | null>(null)
const shapes = computed(() => draft.value ?? [...(shown.value?.shapes ?? [])])
const isChanged = computed(() => draft.value !== null || (line.value !== null && line.value !== shown.value?.words))
watch(open, leave)
function leave() {
  draft.value = null
  line.value = null
  drawing.value = null
  why.value = null
}

/** What was drawn is not lost with the window. */
function shut(done: () => void) {
  if (isChanged.value) why.value = 'What you drew or wrote is not kept yet: keep it, or leave it.'
  else done()
}

/** Where on the picture a finger is, in fractions of it. */
function placeOf({ clientX, clientY, currentTarget }: PointerEvent) {
  const { left, top, width, height } = (currentTarget as HTMLElement).getBoundingClientRect()
  const within = (share: number) => Math.round(Math.min(1, Math.max(0, share)) * 10_000) / 10_000
  return { x: within((clientX - left) / width), y: within((clientY - top) / height) }
}
function down(event: PointerEvent) {
  if (!mayDraw.value) return
  event.preventDefault()
  const { x, y } = placeOf(event)
  if (tool.value === 'word') {
    const text = word.value.trim()
    why.value = text ? null : 'Write the word first, then touch where it goes.'
    if (text) add({ is: 'word', x, y, text })
    return
  }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  drawing.value = { is: tool.value, x, y, toX: x, toY: y }
}
function move(event: PointerEvent) {
  if (!drawing.value) return
  const { x, y } = placeOf(event)
  drawing.value = { ...drawing.value, toX: x, toY: y }
}
function up() {
  const one = drawing.value
  drawing.value = null
  if (!one) return
  if (isMeant(one, shown.value!.photo)) add(one)
  else why.value = 'Draw from one place to the other.'
}
function add(one: DrawnShape) {
  why.value = null
  draft.value = [...shapes.value, one]
}
const back = () => {
  draft.value = shapes.value.slice(0, -1)
}
function keep() {
  const { photo } = shown.value!.taken!
  const words = (line.value ?? shown.value!.words).trim()
  why.value = job.act({ kind: 'photo.drawn', payload: { photo, shapes: shapes.value, ...(words ? { words } : {}) } })
  if (!why.value) leave()
}

const taking = ref(false)
const reason = ref('')
/** One's own, or a lead's. */
const mayTakeOut = computed(() => mayDraw.value && (shown.value!.taken!.by === session.person?.id || session.isLead))
function takeOut() {
  const written = reason.value.trim()
  const { photo } = shown.value!.taken!
  why.value = written
    ? job.act({ kind: 'photo.removed', payload: { photo, why: written } })
    : 'Say why it is taken out.'
  if (why.value) return
  reason.value = ''
  taking.value = false
  open.value = photosOn(job.state, props.on)[0]?.photo ?? null
}
const refused = computed(() => shown.value?.taken && photos.find(job.id, shown.value.photo.sha256)?.refused)
</script>

<template>
  <el-dialog
    :model-value="open !== null"
    fullscreen
    append-to-body
    :title="name"
    :before-close="shut"
    @update:model-value="open = null"
  >
    <div v-if="shown" class="view">
      <div class="panes" :class="{ two: other }">
        <figure v-for="one in [shown, ...(other ? [other] : [])]" :key="one.id">
          <PhotoThumb
            class="stage"
            :class="{ draws: one === shown && mayDraw }"
            :photo="one.photo"
            :shapes="one === shown ? [...shapes, ...(drawing ? [drawing] : [])] : one.shapes"
            :is-here="one.isHere"
            size="whole"
            :alt="one.words || name"
            :style="{ '--wide': one.photo.width / one.photo.height }"
            @pointerdown="one === shown && down($event)"
            @pointermove="one === shown && move($event)"
            @pointerup="one === shown && up()"
            @pointercancel="drawing = null"
          />
          <figcaption>
            <strong v-if="one.words">{{ one.words }}.</strong> {{ one.when }}.
            <template v-if="!one.isHere">Not arrived: its file is still on the tablet that took it.</template>
          </figcaption>
        </figure>
      </div>
      <p v-if="refused" class="why" role="alert">{{ refused }}</p>
      <p v-if="why" class="why" role="alert">{{ why }}</p>
      <form v-if="taking" class="acts" @submit.prevent="takeOut">
        <label class="label" for="take-out">Why is it taken out? It stays in the ledger.</label>
        <el-input id="take-out" v-model="reason" maxlength="400" />
        <el-button type="danger" native-type="submit">Take it out</el-button>
        <el-button @click="taking = false">Cancel</el-button>
      </form>
      <div v-else class="acts">
        <template v-if="mayDraw">
          <el-segmented v-model="tool" :options="[...TOOLS]" aria-label="What to draw" />
          <el-input
            v-if="tool === 'word'"
            v-model="word"
            class="word"
            maxlength="60"
            aria-label="The word"
            placeholder="The word, then touch where it goes"
          />
          <el-button :disabled="!shapes.length" data-test="undraw" @click="back">Take off the last</el-button>
          <el-input
            class="line"
            maxlength="200"
            aria-label="What is seen"
            placeholder="What is seen, in a line"
            :model-value="line ?? shown.words"
            @update:model-value="text => (line = text)"
          />
          <el-button v-if="isChanged" type="primary" class="go" data-test="keep-drawing" @click="keep"
            >Keep it</el-button
          >
          <el-button v-if="isChanged" data-test="leave-drawing" @click="leave">Leave it</el-button>
        </template>
        <el-select
          v-if="all.length > 1"
          v-model="beside"
          clearable
          class="beside"
          placeholder="Another beside it"
          aria-label="Another beside it"
        >
          <el-option
            v-for="one in all.filter(each => each.id !== shown!.id)"
            :key="one.id"
            :value="one.id"
            :label="`${one.taken ? '' : 'Last time: '}${one.words || one.when}`"
          />
        </el-select>
        <el-button v-if="mayTakeOut" text @click="taking = true">Take it out</el-button>
      </div>
    </div>
  </el-dialog>
</template>

<style scoped>
.view {
  display: grid;
  grid-template-rows: minmax(0, 1fr);
  grid-auto-rows: auto;
  gap: 8px;
  height: calc(100vh - 84px);
}
.panes {
  display: grid;
  gap: 12px;
  min-height: 0;
}
.two {
  grid-template-columns: 1fr 1fr;
}
figure {
  margin: 0;
  min-height: 0;
  min-width: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  justify-items: center;
  container-type: size;
}
.stage {
  align-self: center;
  width: min(100cqw, calc((100cqh - 32px) * var(--wide)));
}
.draws {
  cursor: crosshair;
  touch-action: none;
}
figcaption {
  padding-top: 4px;
}
.acts {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.acts .el-button + .el-button {
  margin: 0;
}
.line,
#take-out {
  flex: 1 1 240px;
}
.word {
  flex: 0 1 280px;
}
.beside {
  width: 240px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
    grid-template-rows: 1fr 1fr;
  }
}
</style>
