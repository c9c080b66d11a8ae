<script setup lang="ts">
import { fixed } from '~~/core/quantity'
import { DEFAULT_WARNING_SHARE, VERDICT_WORDS, type Limits, type Verdict } from '~~/core/verdict'

/** The limit drawn as a band on a rule, the reading as a needle on it; hollow needles are other tries, the bar the last overhaul. */
const props = defineProps<{
  limits: Limits
  value: number | null
  verdict: Verdict
  others?: number[]
  decimals: number
  scale?: (value: number) => number
  ghost?: { value: number; text: string } | null
}>()
const W = 480
const shown = (value: number) => (props.scale ? props.scale(value) : value)

const view = computed(() => {
  const { min, max, best = min !== undefined && max !== undefined ? (min + max) / 2 : 0 } = props.limits
  const low = min ?? Math.min(best, max ?? best)
  const high = max ?? Math.max(best, min ?? best)
  const width = high - low || Math.abs(high) || 1
  const values = [props.value, props.ghost?.value, ...(props.others ?? [])].filter(
    (one): one is number => one !== null && one !== undefined,
  )
  // A reading far outside would press the band to a line: the needle then stands at the end of the rule.
  const reach = (value: number) => Math.min(high + width * 1.1, Math.max(low - width * 1.1, value))
  const from = Math.min(low - width * 0.3, ...values.map(reach))
  const to = Math.max(high + width * 0.3, ...values.map(reach))
  const x = (value: number) => 14 + ((reach(value) - from) / (to - from)) * (W - 28)
  const warn = props.limits.warningShare ?? DEFAULT_WARNING_SHARE
  const warnings = [
    min === undefined ? null : [min, min + (best - min) * warn],
    max === undefined ? null : [max - (max - best) * warn, max],
  ].filter((one): one is [number, number] => one !== null && one[1]! > one[0]!)
  // On a side without a limit there is room to the end of the rule; under a lone maximum that counts from nought, to nought.
  const room = { from: min ?? (props.limits.best === undefined ? low : from), to: max ?? to }
  return { room, x, warnings, ticks: ticksOf(from, to) }
})

function ticksOf(from: number, to: number): { at: number; major: boolean }[] {
  const raw = (to - from) / 24
  const power = 10 ** Math.floor(Math.log10(raw))
  const step = [1, 2, 5, 10].map(n => n * power).find(n => n >= raw)!
  const first = Math.ceil(from / step)
  return Array.from({ length: Math.min(60, Math.floor(to / step) - first + 1) }, (_, i) => ({
    at: (first + i) * step,
    major: (first + i) % 5 === 0,
  }))
}
/** A division of 2.5 wants its own decimal: rounded to 3 it would be a wrong mark. */
const tickDecimals = computed(() => {
  const majors = view.value.ticks.filter(tick => tick.major)
  const step = majors.length > 1 ? shown(majors[1]!.at) - shown(majors[0]!.at) : 1
  const isWhole = (n: number) => Math.abs(step * 10 ** n - Math.round(step * 10 ** n)) < 1e-6
  return [props.decimals, props.decimals + 1, props.decimals + 2].find(isWhole) ?? props.decimals
})
const mark = (at: number) => fixed(shown(at), tickDecimals.value)
/** Under its tick, and in the picture where that stands at the edge. */
const markAt = (at: number) => {
  const half = mark(at).length * 4.5
  return Math.min(W - half, Math.max(half, view.value.x(at)))
}
const words = computed(() =>
  props.value === null
    ? 'No reading yet'
    : `Reading ${fixed(shown(props.value), props.decimals)}, ${VERDICT_WORDS[props.verdict]}`,
)
</script>

<template>
  <svg
    class="band"
    :class="verdict.toLowerCase()"
    :viewBox="ghost ? `0 0 ${W} 72` : `0 11 ${W} 61`"
    role="img"
    :aria-label="words"
  >
    <rect
      :x="view.x(view.room.from)"
      y="24"
      :width="view.x(view.room.to) - view.x(view.room.from)"
      height="16"
      class="room"
    />
    <rect
      v-for="([a, b], i) in view.warnings"
      :key="i"
      :x="view.x(a)"
      y="24"
      :width="view.x(b) - view.x(a)"
      height="16"
      class="warn"
    />
    <g v-for="tick in view.ticks" :key="tick.at">
      <path :d="`M${view.x(tick.at)} 40 v${tick.major ? 13 : 7}`" class="tick" />
      <text v-if="tick.major" :x="markAt(tick.at)" y="69" text-anchor="middle">{{ mark(tick.at) }}</text>
    </g>
    <path d="M14 40 H466" class="tick" />
    <g v-if="ghost">
      <path :d="`M${view.x(ghost.value)} 14 V40`" class="last" />
      <text :x="Math.min(W - 70, Math.max(70, view.x(ghost.value)))" y="12" text-anchor="middle" class="lasttext">
        {{ ghost.text }}
      </text>
    </g>
    <path v-for="(other, i) in others" :key="i" :d="`M${view.x(other)} 42 l-4.5 -15 h9 z`" class="hollow" />
    <path v-if="value !== null" :d="`M${view.x(value)} 43 l-8 -30 h16 z`" class="needle" />
  </svg>
</template>

<style scoped>
.band {
  width: 100%;
  max-height: 84px;
  display: block;
}
.room {
  fill: var(--holds-wash);
}
.warn {
  fill: var(--thin-wash);
}
.tick {
  stroke: var(--outline);
  stroke-width: 1.1;
}
text {
  font: 400 14px var(--figures);
  fill: var(--soft);
}
.last {
  stroke: var(--blue-ink);
  stroke-width: 2;
}
.lasttext {
  font: 500 14px var(--heads);
  fill: var(--blue-ink);
}
.hollow {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.4;
}
.needle {
  fill: var(--open);
}
.holds .needle {
  fill: var(--holds);
}
.thin .needle {
  fill: var(--thin);
}
.out .needle {
  fill: var(--out);
}
</style>
