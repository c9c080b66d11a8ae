<script setup lang="ts">
import { clockFace, clockText, fromOtherEnd, parseDial, withinTurn } from '~~/core/marks'
import { oppositeView, viewWords, type Datum, type Sheet } from '~~/core/sheet'

/**
 * A clock seen from a named end, set to the minute by drag, by keys or by typing. Made by hand: a mark is put where it lies,
 * and no control of a kit is a dial. Angles are held as seen from `heldFrom`; looking from the other end mirrors them.
 */
const deg = defineModel<number | null>({ required: true })
const props = defineProps<{
  heldFrom: string
  /** Of the machine: the view is turned round from one to the other, or from above to below. */
  ends: Sheet['ends']
  /** Where the mark was made, once that may be shown. */
  mark?: number | null
  /** What runs on round the part: from, clockwise, to. */
  arc?: [number, number] | null
  /** What was found on the part that sits against it, laid over: from, clockwise, to; at one place where both are the same. */
  over?: [number, number][]
  fixed?: boolean
  /** What stands where on the clock, so that one knows how to hold it. */
  datum?: Datum
  /** How the machine lies just now; the clock is not turned with it. */
  lies?: string
}>()
const lookFrom = ref(props.heldFrom)
const mirrored = computed(() => lookFrom.value !== props.heldFrom)
const seen = (held: number) => (mirrored.value ? fromOtherEnd(held) : held)
const text = ref('')
const why = ref<string | null>(null)
const face = useTemplateRef<SVGSVGElement>('face')
const MINUTE_DEG = 0.5
const { at, arc: arcOf } = clockFace(150)
/** What is at one place is still to be seen, degrees. */
const LEAST_ARC = 4
/** Round the part, clockwise as it is held; seen from the other end that is the other way round. */
const roundAt = ([start, end]: [number, number], r: number): string =>
  arcOf(mirrored.value ? [seen(end), seen(start)] : [start, end], r, LEAST_ARC)
const arcPath = computed(() => (props.arc ? roundAt(props.arc, 104) : ''))
const shown = computed(() => (deg.value === null ? null : seen(deg.value)))
const flip = () => {
  lookFrom.value = mirrored.value ? props.heldFrom : oppositeView(props, props.heldFrom)
}
function set(angle: number) {
  deg.value = seen(withinTurn(Math.round(angle / MINUTE_DEG) * MINUTE_DEG))
  text.value = ''
  why.value = null
}
function drag(event: PointerEvent) {
  if (props.fixed || (event.type === 'pointermove' && !event.buttons)) return
  const box = face.value!.getBoundingClientRect()
  const [x, y] = [event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2]
  if (event.type === 'pointerdown') face.value!.setPointerCapture(event.pointerId)
  set((Math.atan2(x, -y) * 180) / Math.PI)
}
const STEPS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 30,
  PageDown: -30,
}
function step(event: KeyboardEvent) {
  const by = STEPS[event.key]
  if (by === undefined || props.fixed) return
  event.preventDefault()
  set((shown.value ?? 0) + by)
}
function type() {
  if (!text.value.trim()) return
  const read = parseDial(text.value)
  if (read.ok) set(read.value)
  else why.value = read.why
}
const words = computed(() =>
  shown.value === null ? 'not set' : `${clockText(shown.value, 1)}, ${Math.round(shown.value * 2) / 2} degrees`,
)
</script>

<template>
  <div class="dial">
    <svg
      ref="face"
      viewBox="0 0 300 300"
      role="slider"
      :tabindex="fixed ? -1 : 0"
      :aria-label="`Index dial seen from ${viewWords(lookFrom)}`"
      aria-valuemin="0"
      aria-valuemax="360"
      :aria-valuenow="shown ?? 0"
      :aria-valuetext="words"
      data-test="dial"
      @pointerdown="drag"
      @pointermove="drag"
      @keydown="step"
    >
      <circle cx="150" cy="150" r="118" class="rim" />
      <circle cx="150" cy="150" r="78" class="ring" />
      <circle cx="150" cy="150" r="56" class="bore" />
      <path
        v-for="i in 60"
        :key="i"
        :d="`M150 32 v${i % 5 === 0 ? 13 : 6}`"
        :transform="`rotate(${i * 6} 150 150)`"
        class="tick"
      />
      <text
        v-for="hour in [12, 3, 6, 9]"
        :key="hour"
        :x="at(hour * 30, 95).x"
        :y="at(hour * 30, 95).y + 7"
        text-anchor="middle"
        class="hour"
      >
        {{ hour }}
      </text>
      <path
        v-if="datum"
        d="M150 30 l-7 -13 h14 z"
        class="datum"
        :transform="`rotate(${seen(datum.at * 30)} 150 150)`"
      />
      <path v-if="arcPath" :d="arcPath" class="arc" />
      <path v-for="(one, i) in over ?? []" :key="i" :d="roundAt(one, 67)" class="over" />
      <path v-if="mark != null" d="M150 72 V36" class="was" :transform="`rotate(${seen(mark)} 150 150)`" />
      <g v-if="shown !== null">
        <path d="M150 34 l-12 -26 h24 z" class="needle" :transform="`rotate(${shown} 150 150)`" />
        <path d="M150 72 V36" class="line" :transform="`rotate(${shown} 150 150)`" />
      </g>
      <text x="150" y="150" text-anchor="middle" class="read">
        {{ shown === null ? '–' : clockText(shown, 1) }}
      </text>
      <text x="150" y="176" text-anchor="middle" class="small">
        {{ shown === null ? 'not set' : `${Math.round(shown * 2) / 2}°` }}
      </text>
    </svg>
    <div class="by">
      <p>
        Seen from <strong>{{ viewWords(lookFrom) }}</strong><template v-if="datum"
          >; at <strong>{{ Math.round(seen(datum.at * 30) / 30) || 12 }}</strong> the {{ datum.what }}</template
        >.
      </p>
      <p v-if="lies" class="soft">Now {{ lies }}.</p>
      <form v-if="!fixed" @submit.prevent="type">
        <el-input
          v-model="text"
          class="figures"
          aria-label="Clock place or angle"
          placeholder="2:20 or 70°"
          maxlength="12"
          autocomplete="off"
          data-test="dial-text"
          @change="type"
        />
      </form>
      <div class="fine">
        <template v-if="!fixed">
          <el-button size="small" aria-label="One degree back" @click="set((shown ?? 0) - 1)">− 1°</el-button>
          <el-button size="small" aria-label="One degree on" @click="set((shown ?? 0) + 1)">+ 1°</el-button>
        </template>
        <el-button size="small" @click="flip">From the other end</el-button>
      </div>
      <p v-if="why" class="why" role="alert">{{ why }}</p>
    </div>
  </div>
</template>

<style scoped>
.arc {
  fill: none;
  stroke: var(--brass);
  stroke-width: 14;
  opacity: 0.6;
}
.over {
  fill: none;
  stroke: var(--out);
  stroke-width: 12;
  opacity: 0.7;
}
.dial {
  display: grid;
  grid-template-columns: minmax(150px, 210px) minmax(150px, 1fr);
  gap: 8px 16px;
  align-items: center;
}
svg {
  width: 100%;
  touch-action: none;
  cursor: crosshair;
}
.by {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.fine {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.rim {
  fill: var(--steel);
  stroke: var(--outline);
}
.ring {
  fill: var(--blue-wash);
  stroke: var(--blue-ink);
}
.bore {
  fill: var(--chalk);
  stroke: var(--outline);
}
.tick {
  stroke: var(--outline);
}
.hour {
  font: 500 20px var(--heads);
  fill: var(--soft);
}
.datum {
  fill: var(--blue-ink);
}
.needle {
  fill: var(--brass);
  stroke: var(--brass-ink);
}
.line {
  stroke: var(--brass-ink);
  stroke-width: 3;
}
.was {
  stroke: var(--blue-ink);
  stroke-width: 6;
}
.read {
  font: 500 32px var(--figures);
  fill: var(--ink);
}
.small {
  font: 500 22px var(--heads);
  fill: var(--soft);
}
</style>
