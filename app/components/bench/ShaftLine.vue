<script setup lang="ts">
import { offWith, partState, type JobState, type PartState, type TrayItem } from '~~/core/job'
import { pathsOf, sectionOf } from '~~/core/section'
import type { Plan, Ref } from '~~/core/sheet'

/** The machine along its own axis, drawn from sheet data: on solid, off ghosted with its part in the tray, back solid again. */
const props = defineProps<{
  plan: Plan
  state: JobState
  tray: TrayItem[]
  inHand: readonly Ref[]
  /** Drawn with its left end up. */
  standing: boolean
}>()
const emit = defineEmits<{ open: [part: Ref]; parts: [] }>()

/** Along the machine and across it. */
const size = computed(() => (props.standing ? { width: 760, height: 300 } : { width: 1080, height: 196 }))
const box = computed(() => {
  const { width, height } = size.value
  return props.standing ? { width: height, height: width } : { width, height }
})
/** A machine that stands is the one that lies, turned a quarter round. */
const quarterTurn = computed(() => (props.standing ? `translate(${size.value.height} 0) rotate(90)` : undefined))
/** A finger finds the nearest part within this many pixels. */
const REACH = 44
const section = computed(() => sectionOf(props.plan, size.value))
/** What is drawn of each, written out once: it hangs on the sheet alone, and every act looks at it again. */
const outlines = computed(() =>
  [...section.value.parts, ...section.value.row].map(one => ({ ...one, paths: pathsOf(one.shapes) })),
)
const next = computed(() => new Set(props.inHand))
/** Off by itself, or along with what it lifts with. */
const isAway = (ref: Ref, now: PartState) =>
  (now.where === 'off' && !now.trial) || offWith(props.plan, props.state, ref) !== null

const drawn = computed(() =>
  outlines.value.map(one => {
    const now = partState(props.state, one.ref)
    const isNext = next.value.has(one.ref)
    return {
      ...one,
      now,
      next: isNext,
      away: isAway(one.ref, now),
      fill: isNext ? 'url(#hatch-now)' : one.tone === 'plain' ? 'var(--steel)' : `url(#hatch-${one.tone})`,
    }
  }),
)
const lines = computed(() => section.value.lines)

/** The part in hand is named; with several, the outermost one speaks for them. */
const named = computed(() => {
  const [first, ...more] = drawn.value.filter(one => one.next).sort((a, b) => b.outside - a.outside)
  return first
    ? { text: more.length ? `${first.name} and ${more.length} more` : first.name, x: first.middle, to: first.top }
    : null
})

/** The name of a shaft line beside it: at its right end, or under it where it stands. */
const besideLine = ({ top, centre }: { top: number; centre: number }) =>
  props.standing
    ? { 'x': box.value.width - centre, 'y': box.value.height - 5, 'text-anchor': 'middle' }
    : { 'x': box.value.width - 6, 'y': top + 14, 'text-anchor': 'end' }

/** Opens the part under the finger, or the nearest within its reach; of two that lie there, the smaller. */
function pick(event: MouseEvent) {
  const matrix = (event.currentTarget as SVGSVGElement).getScreenCTM()
  if (!matrix) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  const { x, y } = props.standing ? { x: at.y, y: size.value.height - at.x } : at
  const off = (low: number, size: number, at: number) => Math.max(low - at, 0, at - low - size)
  const [nearest] = drawn.value
    .flatMap(({ ref, hits }) =>
      hits.map(rect => ({
        ref,
        away: Math.hypot(off(rect.x, rect.width, x), off(rect.y, rect.height, y)),
        size: rect.width * rect.height,
      })),
    )
    .filter(one => one.away * matrix.a <= REACH)
    .sort((a, b) => a.away - b.away || a.size - b.size)
  if (nearest) emit('open', nearest.ref)
}
</script>

<template>
  <div class="line" :class="{ standing }">
    <svg
      class="section"
      :viewBox="`0 0 ${box.width} ${box.height}`"
      role="img"
      :aria-label="`Section of the ${plan.sheet.title}, ${tray.length} parts off`"
      @click="pick"
    >
      <defs>
        <pattern
          v-for="[id, fill, stroke, turn] in [
            ['grey', '--metal', '--hatch', 45],
            ['blue', '--metal-blue', '--blue-ink', -45],
            ['now', '--brass-wash', '--brass', -45],
          ]"
          :id="`hatch-${id}`"
          :key="id"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          :patternTransform="`rotate(${turn})`"
        >
          <rect width="7" height="7" :style="{ fill: `var(${fill})` }" />
          <path d="M0 0 V7" :style="{ stroke: `var(${stroke})` }" stroke-width="1.3" />
        </pattern>
      </defs>
      <g :transform="quarterTurn">
        <g v-for="one in drawn" :key="one.ref" class="part">
          <g v-if="one.away" class="ghost" :class="{ next: one.next }">
            <path v-for="(path, i) in one.paths" :key="i" :d="path.d" />
          </g>
          <g class="metal" :class="{ away: one.away, next: one.next, back: one.now.fitted }">
            <path
              v-for="(path, i) in one.paths"
              :key="i"
              :d="path.d"
              :class="path.is.replace(' ', '-')"
              :style="path.is === 'body' || path.is === 'round' ? { fill: one.fill } : undefined"
            />
          </g>
          <path v-if="one.now.fitted?.as === 'new'" class="new" :d="`M${one.middle} ${one.top - 3} l-5 -8 h10 z`">
            <title>New</title>
          </path>
          <title>{{ one.name }}</title>
        </g>
        <path
          v-for="line in lines"
          :key="line.id"
          class="axis"
          :d="`M${section.left} ${line.centre} H${section.right}`"
        />
      </g>
      <template v-if="lines.length > 1">
        <text v-for="line in lines" :key="line.id" class="ends" v-bind="besideLine(line)">{{ line.name }}</text>
      </template>
      <g v-if="named" class="name">
        <path
          :d="standing ? `M${box.width - 9} 24 V${named.x} H${box.width - named.to}` : `M${named.x} 17 V${named.to}`"
        />
        <text v-if="standing" :x="box.width - 6" y="18" text-anchor="end">{{ named.text }}</text>
        <text v-else :x="Math.min(box.width - 120, Math.max(120, named.x))" y="14" text-anchor="middle">
          {{ named.text }}
        </text>
      </g>
      <text class="ends" x="8" :y="standing ? 18 : box.height - 5">{{ plan.sheet.ends.left }}</text>
      <text v-if="standing" class="ends" x="8" :y="box.height - 5">{{ plan.sheet.ends.right }}</text>
      <text v-else class="ends" :x="box.width - 6" :y="box.height - 5" text-anchor="end">
        {{ plan.sheet.ends.right }}
      </text>
    </svg>
    <section class="tray" aria-label="Tray, last off first">
      <div class="head">
        <h2>Tray <small class="soft">last off first</small></h2>
        <el-button size="small" @click="emit('parts')">All parts</el-button>
      </div>
      <ul tabindex="0" aria-label="Parts in the tray">
        <li v-for="one in tray" :key="one.ref">
          <PartRow
            :one="one"
            :number="one.now.order"
            :says="whereIs(one.part, one.now)"
            @open="emit('open', one.ref)"
          />
        </li>
        <li v-if="!tray.length" class="soft none">Everything is on the machine.</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 1fr 330px;
  gap: 12px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
  background: color-mix(in srgb, var(--chalk) 55%, var(--ground));
}
.section {
  width: 100%;
  height: clamp(150px, 19vh, 300px);
}
.part {
  cursor: pointer;
}
.metal {
  transition:
    transform 0.45s ease,
    opacity 0.45s ease;
}
.metal path {
  stroke: var(--outline);
  stroke-width: 1.1;
  stroke-linejoin: round;
}
.metal .line {
  fill: none;
  stroke-width: 0.9;
}
.metal .soft,
.metal .soft-round {
  fill: var(--steel-ink);
}
/* What is back in stands out from what never came off. */
.metal.back path {
  stroke: var(--blue-ink);
  stroke-width: 1.9;
}
.metal.next path {
  stroke: var(--brass-ink);
  stroke-width: 1.8;
}
.metal.next .soft,
.metal.next .soft-round {
  fill: var(--brass);
}
.metal.away {
  transform: translate(120px, -40px);
  opacity: 0;
  pointer-events: none;
}
.ghost path {
  fill: transparent;
  stroke: var(--steel-ink);
  stroke-dasharray: 4 4;
}
.ghost.next path {
  stroke: var(--brass-ink);
  stroke-width: 2;
}
.new {
  fill: var(--brass);
  stroke: var(--brass-ink);
}
.axis {
  stroke: var(--blue-ink);
  stroke-dasharray: 18 4 4 4;
  fill: none;
  pointer-events: none;
}
.name {
  pointer-events: none;
}
.name path {
  stroke: var(--brass-ink);
}
.name text {
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 4px;
  font: 600 18px var(--heads);
  fill: var(--brass-ink);
}
.ends {
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 4px;
  font: 500 18px var(--heads);
  fill: var(--soft);
}
.tray {
  background: var(--steel);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 4px 6px 6px;
  display: flex;
  flex-direction: column;
  height: clamp(150px, 19vh, 300px);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding-bottom: 4px;
}
h2 {
  font-size: 17px;
  padding: 0 2px;
}
h2 small {
  font: 400 15px var(--words);
}
.tray ul {
  overflow-y: auto;
  flex: 1;
  display: grid;
  gap: 3px;
  align-content: start;
}
.tray li .el-button {
  min-height: 44px;
  border-radius: 3px;
  background: var(--chalk);
  box-shadow: inset 0 0 0 1px var(--line);
  padding: 0 10px 0 6px;
  font: 500 16px/1.1 var(--heads);
}
.none {
  padding: 8px 2px;
}
/* Beside the cards, as high as they are. */
.standing {
  grid-template-columns: 1fr;
  grid-template-rows: minmax(0, 1fr) 200px;
  padding: 10px 8px 10px 16px;
  border-bottom: 0;
  border-right: 1px solid var(--line);
  min-height: 0;
}
.standing .section {
  height: 100%;
}
.standing .tray {
  height: auto;
}
@media (max-width: 1100px) {
  .line {
    grid-template-columns: 1fr 250px;
  }
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: 1fr;
  }
  .section {
    height: auto;
  }
  /* One line of it: the figure is being taken below, within reach of the thumb. */
  .tray {
    height: 58px;
    overflow: hidden;
  }
}
</style>
