<script setup lang="ts">
import { boltOrder, boltPoints } from '~~/core/joints'
import type { InteractionResult, Pattern } from '~~/core/joints'
import type { Drawn } from '~/composables/useDrawn'

/** Bolts where they stand, with the order of each school traced: first big, numbers of the order beside. */
const props = defineProps<Drawn>()
const { more } = useDrawn(props)
interface Plan {
  title: string
  order: readonly number[]
  points: readonly { x: number; y: number }[]
}
const plans = computed((): Plan[] => {
  const compared = more<InteractionResult[] | undefined>('patterns')
  if (!compared)
    return [
      {
        title: String(props.input.pattern ?? ''),
        order: more<number[]>('order'),
        points: more<Plan['points']>('points'),
      },
    ]
  const bolts = Number(props.input.bolts)
  return compared.slice(0, 4).map(({ pattern }) => {
    const order = boltOrder(pattern as Pattern, bolts)
    return { title: pattern, order: order.ok ? order.value : [], points: boltPoints({ kind: 'circle', bolts }) }
  })
})
const wide = computed(() => 720 / plans.value.length)
/** Several side by side leave room below for their bars. */
const high = computed(() => (plans.value.length > 1 ? 208 : 290))
const size = computed(() => Math.min(wide.value * 0.36, high.value * 0.345))
const drawn = computed(() =>
  plans.value.map((plan, at) => {
    const reach = [
      Math.max(...plan.points.map(one => Math.abs(one.x))) || 1,
      Math.max(...plan.points.map(one => Math.abs(one.y))) || 1,
    ]
    const round = Math.abs(reach[0]! - reach[1]!) < 0.2
    const k = round ? [size.value, size.value] : [wide.value * 0.42, size.value * 0.72]
    const spots = plan.points.map((one, i) => ({
      bolt: i + 1,
      turn: plan.order.indexOf(i + 1) + 1,
      x: at * wide.value + wide.value / 2 + (one.x / reach[0]!) * k[0]!,
      y: high.value / 2 - 9 + (one.y / reach[1]!) * k[1]!,
    }))
    const dot = Math.max(4, Math.min(15, 150 / Math.sqrt(spots.length) / 3.2))
    return {
      ...plan,
      round,
      spots,
      dot,
      trace: plan.order
        .map((bolt, i) => `${i ? 'L' : 'M'}${spots[bolt - 1]!.x.toFixed(1)} ${spots[bolt - 1]!.y.toFixed(1)}`)
        .join(' '),
      cx: at * wide.value + wide.value / 2,
    }
  }),
)
</script>

<template>
  <svg
    class="draw"
    :viewBox="`0 0 720 ${high}`"
    role="img"
    :aria-label="plans.map(plan => `${plan.title}: ${plan.order.join(' ')}`).join('. ')"
  >
    <g v-for="plan in drawn" :key="plan.title">
      <circle v-if="plan.round" :cx="plan.cx" :cy="high / 2 - 9" :r="size + 18" class="metal" />
      <circle v-if="plan.round" :cx="plan.cx" :cy="high / 2 - 9" :r="size * 0.55" class="chalk" />
      <path :d="plan.trace" class="path" style="opacity: 0.65; stroke-width: 1.4" />
      <g v-for="one in plan.spots" :key="one.bolt">
        <circle
          :cx="one.x"
          :cy="one.y"
          :r="plan.dot + (one.turn === 1 ? 4 : 0)"
          :class="one.turn === 1 ? 'brass' : 'chalk'"
        />
        <text
          v-if="plan.dot > 7"
          :x="one.x"
          :y="one.y + 5"
          text-anchor="middle"
          class="dim"
          :style="{ fontSize: `${plan.dot}px`, fill: one.turn === 1 ? 'var(--on-brass)' : undefined }"
        >
          {{ one.turn }}
        </text>
      </g>
      <text :x="plan.cx" :y="high - 6" text-anchor="middle">{{ plan.title }}</text>
    </g>
  </svg>
</template>
