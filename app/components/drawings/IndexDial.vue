<script setup lang="ts">
import { clockText, fromOtherEnd } from '~~/core/marks'

/** A clock seen from a named end. Angles are held as seen from `heldFrom`; looking from the other end mirrors them. */
const deg = defineModel<number | null>({ required: true })
const props = defineProps<{ heldFrom: string; ends: [string, string]; mark?: number | null }>()
const lookFrom = ref(props.heldFrom)
const mirrored = computed(() => lookFrom.value !== props.heldFrom)
const seen = (held: number) => (mirrored.value ? fromOtherEnd(held) : held)
const HOURS = Array.from({ length: 12 }, (_, i) => i + 1)
const at = (angle: number, r: number) => ({
  x: 150 + r * Math.sin((angle * Math.PI) / 180),
  y: 150 - r * Math.cos((angle * Math.PI) / 180),
})
const flip = () => {
  lookFrom.value = props.ends.find(end => end !== lookFrom.value)!
}
const set = (hour: number) => {
  deg.value = seen((hour % 12) * 30)
}
</script>

<template>
  <div class="dial">
    <div class="from">
      <span
        >Seen from the <strong>{{ lookFrom }}</strong>
      </span>
      <button class="btn" type="button" @click="flip">Other end</button>
    </div>
    <svg viewBox="0 0 300 300" role="group" :aria-label="`Index dial seen from the ${lookFrom}`">
      <circle cx="150" cy="150" r="118" class="rim" />
      <circle cx="150" cy="150" r="78" class="ring" />
      <circle cx="150" cy="150" r="54" class="bore" />
      <path
        v-for="i in 60"
        :key="i"
        :d="`M150 32 v${i % 5 === 0 ? 13 : 6}`"
        :transform="`rotate(${i * 6} 150 150)`"
        class="tick"
      />
      <g v-if="mark != null" class="was">
        <circle v-bind="{ cx: at(seen(mark), 78).x, cy: at(seen(mark), 78).y }" r="7" />
      </g>
      <g v-if="deg !== null">
        <path d="M150 34 l-11 -24 h22 z" class="needle" :transform="`rotate(${seen(deg)} 150 150)`" />
        <path d="M150 72 V36" class="line" :transform="`rotate(${seen(deg)} 150 150)`" />
      </g>
      <text x="150" y="152" text-anchor="middle" class="read">{{ deg === null ? '–' : clockText(seen(deg)) }}</text>
      <text x="150" y="178" text-anchor="middle" class="small">clock</text>
    </svg>
    <div class="hours" role="group" aria-label="Clock place">
      <button
        v-for="hour in HOURS"
        :key="hour"
        class="btn figures"
        type="button"
        :class="{ on: deg !== null && clockText(seen(deg)) === `${hour}:00` }"
        :aria-pressed="deg !== null && clockText(seen(deg)) === `${hour}:00`"
        @click="set(hour)"
      >
        {{ hour }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.dial {
  display: grid;
  grid-template-columns: minmax(150px, 176px) 1fr;
  gap: 8px 16px;
  align-items: center;
}
.from {
  grid-column: 1 / -1;
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}
svg {
  width: 100%;
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
.needle {
  fill: var(--brass);
  stroke: var(--brass-ink);
}
.line {
  stroke: var(--brass-ink);
  stroke-width: 3;
}
.was circle {
  fill: var(--blue-ink);
}
.read {
  font: 500 32px var(--figures);
  fill: var(--ink);
}
.small {
  font: 500 24px var(--heads);
  fill: var(--soft);
}
.hours {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
}
.hours .btn {
  padding: 0;
}
</style>
