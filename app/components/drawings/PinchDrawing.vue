<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The cap over its shells, cut across: shims on the joint, wire on the shell's back, each end; thicknesses exaggerated alike. */
const props = defineProps<Drawn>()
const { more, say, tone } = useDrawn(props)
const ends = computed(() =>
  (props.input.ends as { wireMm: number; shimLeftMm: number; shimRightMm: number }[]).slice(0, 2),
)
const pinch = computed(() => more<number[]>('endsMm'))
const per = computed(() => 26 / Math.max(...ends.value.flatMap(end => [end.wireMm, end.shimLeftMm, end.shimRightMm])))
const centre = (i: number) => (ends.value.length === 1 ? 360 : 180 + i * 360)
const arc = (x: number, r: number, y: number) => `M${x - r} ${y} A${r} ${r} 0 0 1 ${x + r} ${y}`
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 286"
    role="img"
    :aria-label="`Pinch ${pinch.map(mm => say(mm, 'mm', 3)).join(', ')}`"
  >
    <g v-for="(end, i) in ends" :key="i">
      <path
        :d="`M${centre(i) - 160} ${178 - end.shimLeftMm * per} V96 A160 84 0 0 1 ${centre(i) + 160} 96 V${178 - end.shimRightMm * per} H${centre(i) + 104} A104 104 0 0 0 ${centre(i) - 104} ${178 - end.shimLeftMm * per} Z`"
        class="metal"
      />
      <path
        :d="`${arc(centre(i), 100, 178)} L${centre(i) + 76} 178 A76 76 0 0 0 ${centre(i) - 76} 178 Z`"
        class="blue"
      />
      <path
        :d="`M${centre(i) - 160} 178 H${centre(i) - 104} V224 H${centre(i) - 160} Z M${centre(i) + 104} 178 H${centre(i) + 160} V224 H${centre(i) + 104} Z`"
        class="metal"
      />
      <path
        :d="`M${centre(i) - 100} 178 A100 100 0 0 0 ${centre(i) - 62} 256 L${centre(i) - 47} 238 A76 76 0 0 1 ${centre(i) - 76} 178 Z M${centre(i) + 100} 178 A100 100 0 0 1 ${centre(i) + 62} 256 L${centre(i) + 47} 238 A76 76 0 0 0 ${centre(i) + 76} 178 Z`"
        class="blue"
      />
      <rect
        :x="centre(i) - 160"
        :y="178 - end.shimLeftMm * per"
        width="54"
        :height="end.shimLeftMm * per"
        class="brass"
      />
      <rect
        :x="centre(i) + 106"
        :y="178 - end.shimRightMm * per"
        width="54"
        :height="end.shimRightMm * per"
        class="brass"
      />
      <ellipse
        :cx="centre(i)"
        :cy="78 - (end.wireMm * per) / 2"
        rx="15"
        :ry="(end.wireMm * per) / 2"
        style="fill: var(--outline)"
      />
      <text :x="centre(i) + 22" y="62" class="dim">wire {{ say(end.wireMm, 'mm', 3) }}</text>
      <text :x="centre(i) - 133" y="242" text-anchor="middle" class="dim">{{ say(end.shimLeftMm, 'mm', 3) }}</text>
      <text :x="centre(i) + 133" y="242" text-anchor="middle" class="dim">{{ say(end.shimRightMm, 'mm', 3) }}</text>
      <text :x="centre(i)" y="160" text-anchor="middle">end {{ i + 1 }}</text>
      <text :x="centre(i)" y="182" text-anchor="middle" class="dim">
        {{ pinch[i]! >= 0 ? 'grips' : 'loose' }} {{ say(Math.abs(pinch[i]!), 'mm', 3) }}
      </text>
    </g>
  </svg>
</template>
