<script setup lang="ts">
import type { JointProgress } from '~~/core/joints'
import type { Joint } from '~~/core/sheet'

/**
 * Bolts where they really are, the next one big, what is torqued filled in, the order as a traced path. Made by hand: a bolt is
 * chosen where it sits.
 */
const props = defineProps<{
  joint: Joint
  progress: Pick<JointProgress, 'order' | 'next' | 'pulled'>
  chosen?: number | null
  way?: 'tighten' | 'slacken'
}>()
const emit = defineEmits<{ choose: [bolt: number] }>()
const W = 300
/** A joint in rows is flatter than one that goes round. */
const H = props.joint.layout.kind === 'circle' ? 250 : 210

const places = computed(() => {
  const { layout } = props.joint
  // One bolt or nut sits in the middle.
  if (layout.kind === 'circle' && layout.bolts === 1) return [{ bolt: 1, x: W / 2, y: H / 2 }]
  if (layout.kind === 'circle') {
    return Array.from({ length: layout.bolts }, (_, i) => {
      const turn = (((i * 360) / layout.bolts + (layout.startDeg ?? 0)) * Math.PI) / 180
      return { bolt: i + 1, x: W / 2 + 96 * Math.sin(turn), y: H / 2 - 96 * Math.cos(turn) }
    })
  }
  // Wherever the sheet counts from, the outermost bolts stand at the edge.
  const along = (axis: 0 | 1) => {
    const all = layout.points.map(one => one[axis])
    const [least, most] = [Math.min(...all), Math.max(...all)]
    return (at: number) => (most > least ? (at - least) / (most - least) : 0.5)
  }
  const [across, down] = [along(0), along(1)]
  return layout.points.map(([x, y], i) => ({
    bolt: i + 1,
    x: 34 + across(x) * (W - 68),
    y: 72 + down(y) * (H - 144),
  }))
})
const done = computed(() => new Map(props.progress.pulled.map(one => [one.bolt, one.verdict])))
const trace = computed(() =>
  props.progress.order
    .filter(bolt => done.value.has(bolt) || bolt === props.progress.next)
    .map(bolt => places.value[bolt - 1]!)
    .map(({ x, y }, i) => `${i ? 'L' : 'M'}${x} ${y}`)
    .join(' '),
)
</script>

<template>
  <svg
    class="bolts"
    :viewBox="`0 0 ${W} ${H}`"
    role="group"
    :aria-label="`${joint.title}: ${done.size} of ${places.length} ${way === 'slacken' ? 'eased' : 'done in this pass'}${progress.next ? `, next is bolt ${progress.next}` : ''}`"
  >
    <circle v-if="joint.layout.kind === 'circle'" :cx="W / 2" :cy="H / 2" r="121" class="flange" />
    <rect v-else x="6" y="40" :width="W - 12" :height="H - 80" rx="4" class="flange" />
    <circle v-if="joint.layout.kind === 'circle'" :cx="W / 2" :cy="H / 2" r="52" class="hole" />
    <rect v-else x="66" y="98" :width="W - 132" :height="H - 196" rx="3" class="hole" />
    <path :d="trace" class="trace" />
    <g
      v-for="one in places"
      :key="one.bolt"
      class="bolt"
      :class="[done.get(one.bolt)?.toLowerCase(), { next: one.bolt === progress.next, chosen: one.bolt === chosen }]"
      role="button"
      tabindex="0"
      :aria-label="`Bolt ${one.bolt}`"
      :aria-pressed="one.bolt === (chosen ?? progress.next)"
      @click="emit('choose', one.bolt)"
      @keydown.enter.prevent.stop="emit('choose', one.bolt)"
      @keydown.space.prevent="emit('choose', one.bolt)"
    >
      <circle :cx="one.x" :cy="one.y" r="25" class="touch" />
      <circle :cx="one.x" :cy="one.y" :r="one.bolt === progress.next ? 25 : 17" />
      <text :x="one.x" :y="one.y + (one.bolt === progress.next ? 8 : 6)" text-anchor="middle">{{ one.bolt }}</text>
    </g>
  </svg>
</template>

<style scoped>
.bolts {
  width: 100%;
  max-height: 268px;
}
.flange {
  fill: var(--steel);
  stroke: var(--outline);
}
.hole {
  fill: var(--chalk);
  stroke: var(--outline);
}
.trace {
  fill: none;
  stroke: var(--blue-ink);
  stroke-width: 1.6;
}
.bolt circle {
  fill: var(--chalk);
  stroke: var(--blue-ink);
  stroke-width: 2;
}
.bolt {
  cursor: pointer;
}
.bolt circle.touch {
  fill: transparent;
  stroke: none;
}
.bolt.chosen circle:not(.touch) {
  stroke: var(--out);
  stroke-width: 5;
}
.bolt text {
  font: 500 17px var(--figures);
  fill: var(--blue-ink);
}
.bolt.holds circle:not(.touch) {
  fill: #1f3a68;
}
.bolt.holds text {
  fill: #fff;
}
.bolt.out circle:not(.touch) {
  fill: var(--out-wash);
  stroke: var(--out);
}
.bolt.out text {
  fill: var(--out);
}
.bolt.next circle:not(.touch) {
  fill: var(--brass);
  stroke: var(--brass-ink);
}
.bolt.next text {
  fill: var(--on-brass);
  font-size: 24px;
}
</style>
