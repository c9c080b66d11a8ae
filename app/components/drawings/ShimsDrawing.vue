<script setup lang="ts">
import type { ShimPack } from '~~/core/stacks'
import type { Drawn } from '~/composables/useDrawn'

/** The three best packs as they lie in the gap, thicknesses to one scale, and where the gap lands in its limits. */
const props = defineProps<Drawn>()
const { given, more, say, tone } = useDrawn(props)
const packs = computed(() => more<ShimPack[]>('packs'))
const k = computed(() => 180 / given('openMm'))
const drawn = computed(() =>
  packs.value.map((pack, at) => {
    let top = 214
    const slabs = pack.pieces.flatMap(piece =>
      Array.from({ length: piece.count }, () => {
        const high = piece.thicknessMm * k.value
        top -= high
        return { y: top, high, mm: piece.thicknessMm }
      }),
    )
    return { pack, slabs, top, x: 60 + at * 225, title: ['best', 'next', 'third'][at]! }
  }),
)
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 262"
    role="img"
    :aria-label="`Best pack leaves ${say(packs[0]!.gapMm, 'mm', 3)}`"
  >
    <g v-for="one in drawn" :key="one.title">
      <rect :x="one.x - 14" y="10" width="178" height="24" class="metal" />
      <rect :x="one.x - 14" y="214" width="178" height="20" class="metal" />
      <rect :x="one.x" y="34" width="150" :height="given('greatestMm') * k" class="room" />
      <path :d="`M${one.x} ${34 + given('leastMm') * k} h150`" class="faint" />
      <rect
        v-for="(slab, i) in one.slabs"
        :key="i"
        :x="one.x + 4"
        :y="slab.y"
        width="142"
        :height="Math.max(1.5, slab.high)"
        :class="one.title === 'best' ? 'brass' : 'blue'"
      />
      <text
        v-for="(slab, i) in one.slabs.filter(each => each.high > 17)"
        :key="`t${i}`"
        :x="one.x + 75"
        :y="slab.y + slab.high / 2 + 5"
        text-anchor="middle"
        class="dim small"
        :style="one.title === 'best' ? 'fill: var(--on-brass)' : ''"
      >
        {{ say(slab.mm, 'mm', 2) }}
      </text>
      <text :x="one.x + 75" :y="(34 + one.top) / 2 + 5" text-anchor="middle" class="dim small">
        {{ say(one.pack.gapMm, 'mm', 3) }}
      </text>
      <text :x="one.x + 75" y="254" text-anchor="middle">
        {{ one.title }}: {{ one.pack.count ? `${one.pack.count} piece${one.pack.count > 1 ? 's' : ''}` : 'no shim' }}
      </text>
    </g>
  </svg>
</template>
