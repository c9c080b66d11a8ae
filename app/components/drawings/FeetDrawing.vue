<script setup lang="ts">
import type { FootShim } from '~~/core/alignment'
import type { Drawn } from '~/composables/useDrawn'

/** The feet from above in the order they were read, each as high as it rises and with what goes under it; the worst in colour. */
const props = defineProps<Drawn>()
const { more, say, tone } = useDrawn(props)
const shims = computed(() => more<FootShim[]>('shims'))
const feet = computed(() => {
  const read = props.input.feet as { foot: string }[]
  const across = Math.ceil(read.length / 2)
  const most = Math.max(...shims.value.map(one => one.riseMm)) || 1
  return read.flatMap((one, i) => {
    const shim = shims.value.find(other => other.foot === one.foot)
    if (!shim) return []
    const under =
      shim.shim === 'none'
        ? 'stands'
        : shim.shim === 'even'
          ? `even ${say(shim.thicknessMm![0], 'mm', 2)}`
          : `wedge ${shim.thicknessMm!.map(mm => say(mm, 'mm', 2)).join(' to ')}`
    return [
      {
        ...shim,
        under,
        x: 150 + ((i % across) * 420) / Math.max(1, across - 1),
        y: i < across ? 62 : 190,
        rise: (shim.riseMm / most) * 40,
        isWorst: shim === shims.value[0],
      },
    ]
  })
})
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 262"
    role="img"
    :aria-label="feet.map(one => `${one.foot}: rises ${say(one.riseMm, 'mm', 2)}, ${one.under}`).join('; ')"
  >
    <rect x="190" y="70" width="340" height="112" class="metal" />
    <path d="M150 126 H570" class="centre" />
    <g v-for="one in feet" :key="one.foot">
      <rect :x="one.x - 34" :y="one.y - 18" width="68" height="36" class="blue" />
      <rect
        :x="one.x + 40"
        :y="one.y + 18 - one.rise"
        width="12"
        :height="one.rise"
        :class="one.shim === 'none' ? 'metal' : 'needle'"
      />
      <circle v-if="one.isWorst && one.shim !== 'none'" :cx="one.x" :cy="one.y" r="9" class="brass" />
      <text :x="one.x" :y="one.y - 26" text-anchor="middle">{{ one.foot }}</text>
      <text :x="one.x" :y="one.y + 38" text-anchor="middle" class="dim">{{ say(one.riseMm, 'mm', 2) }}</text>
      <text :x="one.x" :y="one.y + 58" text-anchor="middle" class="small">{{ one.under }}</text>
    </g>
  </svg>
</template>
