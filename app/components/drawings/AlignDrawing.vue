<script setup lang="ts">
import type { Moves, TwoPlanes } from '~~/core/alignment'
import type { Drawn } from '~/composables/useDrawn'

/** The moved shaft against the standing one, from the side and from above, offsets much enlarged; arrows at the feet say the move. */
const props = defineProps<Drawn>()
const { more, say, tone } = useDrawn(props)
const moves = computed(() => more<Moves>('moves'))
const feet = computed(() => more<{ frontMm: number; backMm: number }>('feet'))
/** Coupling plane at 230, feet by their distances. */
const x = (mm: number) => 230 + (mm / feet.value.backMm) * 360
const planes = computed(() => {
  const named: { key: keyof TwoPlanes; title: string; signs: [string, string]; y: number }[] = [
    { key: 'up', title: 'from the side', signs: ['+', '−'], y: 82 },
    { key: 'right', title: 'from above, left side up', signs: ['→ right', '← left'], y: 222 },
  ]
  const largest = Math.max(
    0.001,
    ...named.flatMap(({ key }) => [Math.abs(moves.value.front[key]), Math.abs(moves.value.back[key])]),
  )
  return named.map(({ key, title, signs, y }) => {
    // Up on the paper is up from the side, and left from above.
    const way = key === 'up' ? 1 : -1
    const off = (move: number) => y + ((way * move) / largest) * 34
    const spots = [
      { name: 'front', mm: feet.value.frontMm, move: moves.value.front[key] },
      { name: 'back', mm: feet.value.backMm, move: moves.value.back[key] },
    ].map(one => ({ ...one, x: x(one.mm), from: off(one.move) }))
    const [front, back] = spots as [(typeof spots)[0], (typeof spots)[0]]
    const at = (place: number) =>
      front.from + ((back.from - front.from) * (place - front.x)) / Math.max(1, back.x - front.x)
    const words = (move: number) =>
      Math.abs(move) < 0.005
        ? 'stays'
        : key === 'up'
          ? `${signs[move > 0 ? 0 : 1]} ${say(Math.abs(move), 'mm', 2)}`
          : `${say(Math.abs(move), 'mm', 2)} ${signs[move > 0 ? 0 : 1]}`
    return { key, title, y, spots, line: `M${x(0)} ${at(x(0))} L640 ${at(640)}`, words }
  })
})
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 290"
    role="img"
    :aria-label="
      planes
        .map(
          plane => `${plane.title}: ${plane.spots.map(one => `${one.name} feet ${plane.words(one.move)}`).join(', ')}`,
        )
        .join('; ')
    "
  >
    <g v-for="plane in planes" :key="plane.key">
      <text x="14" :y="plane.y - 50" class="small">{{ plane.title }}</text>
      <rect x="14" :y="plane.y - 22" width="130" height="44" class="metal" />
      <text x="79" :y="plane.y + 5" text-anchor="middle" class="small">stands</text>
      <path :d="`M144 ${plane.y} H640`" class="centre" />
      <rect x="190" :y="plane.y - 16" width="16" height="32" class="blue" />
      <path :d="`M144 ${plane.y} H190`" class="path" />
      <path :d="plane.line" class="active" style="stroke-width: 3" />
      <g v-for="spot in plane.spots" :key="spot.name">
        <path :d="`M${spot.x} ${spot.from} V${plane.y}`" class="path" style="stroke-dasharray: 4 4" />
        <circle :cx="spot.x" :cy="spot.from" r="7" class="brass" />
        <text :x="spot.x" :y="plane.y + 58" text-anchor="middle" class="dim">{{ plane.words(spot.move) }}</text>
      </g>
    </g>
    <text :x="x(feet.frontMm)" y="20" text-anchor="middle" class="small">front feet</text>
    <text :x="x(feet.backMm)" y="20" text-anchor="middle" class="small">back feet</text>
  </svg>
</template>
