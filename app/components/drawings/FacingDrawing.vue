<script setup lang="ts">
import { FACING_RULES, type FacedPart, type FacingRule } from '~~/core/marks'
import type { Drawn } from '~/composables/useDrawn'

/** Each part beside its mate as its rule wants it; the wrong way round it is turned over and red. */
const props = defineProps<Drawn>()
const parts = computed(() => (props.input.parts as FacedPart[]).slice(0, 6))
/** Mate and part of each rule, in a box of 90 by 70; the part is turned about the middle of the box where it is wrong. */
const SHAPES: Record<FacingRule, { mate: string; part: string }> = {
  'end for end': { mate: 'M4 62 H86 V68 H4 Z', part: 'M10 18 H30 V30 H80 V54 H10 Z' },
  'face up': { mate: 'M4 62 H86 V68 H4 Z', part: 'M12 34 H34 V40 H56 V34 H78 V60 H12 Z' },
  'thick to thin': { mate: 'M10 60 H80 V44 L10 56 Z', part: 'M10 20 H80 V40 L10 52 Z' },
  'notch to pin': { mate: 'M4 60 H20 V46 H30 V60 H86 V68 H4 Z', part: 'M10 22 H80 V58 H34 V42 H16 V58 H10 Z' },
  'hole to oilway': { mate: 'M4 60 H22 V69 H30 V60 H86 V69 H4 Z', part: 'M10 26 H22 V58 H10 Z M30 26 H80 V58 H30 Z' },
  'lip to pressure': { mate: 'M4 60 H86 V68 H4 Z', part: 'M76 14 H60 V52 L26 56 L22 48 L50 44 V14 Z' },
  'chamfer in': { mate: 'M4 68 V8 H14 V50 Q14 58 22 58 H86 V68 Z', part: 'M16 14 H70 V56 H26 L16 46 Z' },
}
const columns = 3
const x = (i: number) => 24 + (i % columns) * 232
const y = (i: number) => 14 + Math.floor(i / columns) * 112
const high = computed(() => 14 + Math.ceil(parts.value.length / columns) * 112)
const TONES = { 'yes': 'blue', 'no': 'bad', 'not looked at': 'hollow' } as const
</script>

<template>
  <svg
    class="draw"
    :viewBox="`0 0 720 ${high}`"
    role="img"
    :aria-label="parts.map(one => `${one.part}: ${FACING_RULES[one.rule].ask}, ${one.stands}`).join('. ')"
  >
    <g v-for="(one, i) in parts" :key="i" :transform="`translate(${x(i)} ${y(i)})`">
      <path :d="SHAPES[one.rule].mate" class="metal" />
      <path
        :d="SHAPES[one.rule].part"
        :class="TONES[one.stands]"
        :transform="one.stands === 'no' ? 'translate(90 0) scale(-1 1)' : undefined"
      />
      <path v-if="one.rule === 'lip to pressure'" d="M0 34 H16 M10 28 l8 6 -8 6" class="active" />
      <text x="102" y="26">{{ one.part }}</text>
      <text x="102" y="46" class="small">{{ one.rule }}</text>
      <text x="102" y="66" :style="{ fill: one.stands === 'no' ? 'var(--out)' : undefined }">
        {{ one.stands === 'no' ? '✕ no' : one.stands === 'yes' ? '● yes' : '○ open' }}
      </text>
    </g>
  </svg>
</template>
