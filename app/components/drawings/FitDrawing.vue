<script setup lang="ts">
import { limitsOfClass } from '~~/core/fits'
import type { Drawn } from '~/composables/useDrawn'

/** Both tolerance bands to one scale of micrometres from nominal, the measured sizes on them, and the clearance they make. */
const props = defineProps<Drawn>()
const { given, got, say } = useDrawn(props)
interface Band {
  name: string
  low: number
  high: number
  tone: 'blue' | 'metal'
}
const nominal = computed(() => given('nominalMm'))
const fromNominal = (mm: number) => (mm - nominal.value) * 1000
const bands = computed((): Band[] => {
  if (Number.isFinite(got('holeUpperUm'))) {
    const names = props.input.ring
      ? String(props.input.ring).startsWith('inner')
        ? ['bearing bore', `shaft ${props.input.seat}`]
        : [`housing ${props.input.seat}`, 'bearing outside']
      : [`hole ${props.input.hole}`, `shaft ${props.input.shaft}`]
    return [
      { name: names[0]!, low: got('holeLowerUm'), high: got('holeUpperUm'), tone: 'blue' },
      { name: names[1]!, low: got('shaftLowerUm'), high: got('shaftUpperUm'), tone: 'metal' },
    ]
  }
  const found = props.answer.figures.find(one => one.key === 'class')?.value
  const classes: [string, unknown, Band['tone']][] = found
    ? [[props.input.side === 'hole' ? 'hole' : 'shaft', found, props.input.side === 'hole' ? 'blue' : 'metal']]
    : [
        ['hole', props.input.hole, 'blue'],
        ['shaft', props.input.shaft, 'metal'],
      ]
  return classes.flatMap(([part, name, tone]) => {
    const limits = name ? limitsOfClass(nominal.value, String(name)) : null
    return limits?.ok ? [{ name: `${part} ${name}`, low: limits.value.lowerUm, high: limits.value.upperUm, tone }] : []
  })
})
const measured = computed(() => {
  const readings: [string, unknown][] = [
    ['hole measured', props.input.holeMm],
    ['shaft measured', props.input.shaftMm],
    ['measured', Number.isFinite(given('leastMm')) ? [given('leastMm'), given('greatestMm')] : undefined],
  ]
  return readings
    .flatMap(([name, list]) => (Array.isArray(list) ? [{ name, all: (list as number[]).map(fromNominal) }] : []))
    .map(one => ({ ...one, low: Math.min(...one.all), high: Math.max(...one.all) }))
})
const x = computed(() =>
  scaleOf(
    [0, ...bands.value.flatMap(one => [one.low, one.high]), ...measured.value.flatMap(one => [one.low, one.high])],
    170,
    690,
  ),
)
const rows = computed(() => [
  ...bands.value.map(one => ({ ...one, kind: 'band' as const })),
  ...measured.value.map(one => ({ ...one, kind: 'measured' as const, tone: 'metal' as const })),
])
const short = (um: number) => say(um, 'µm', 1).split(' ')[0]!.replace(/\.0$/, '')
const y = (i: number) => 34 + i * (rows.value.length > 3 ? 44 : 60)
const ends = computed(() => [got('minClearanceUm'), got('maxClearanceUm')].filter(Number.isFinite))
const words = (um: number) => (um < 0 ? `${say(-um, 'µm', 1)} interference` : `${say(um, 'µm', 1)} clearance`)
const said = computed(
  () =>
    ends.value.map(words).join(' to ') ||
    rows.value.map(one => `${one.name}, ${short(one.low)} to ${short(one.high)} from nominal`).join('; '),
)
const bottom = computed(() => y(rows.value.length) + 8)
</script>

<template>
  <svg class="draw" :viewBox="`0 0 720 ${bottom + 34}`" role="img" :aria-label="said">
    <path :d="`M${x(0)} 14 V${bottom}`" class="centre" />
    <text :x="x(0)" :y="bottom + 20" text-anchor="middle" class="dim">{{ say(nominal, 'mm', 3) }}</text>
    <g v-for="(one, i) in rows" :key="one.name">
      <text x="160" :y="y(i) + 20" text-anchor="end">{{ one.name }}</text>
      <rect
        v-if="one.kind === 'band'"
        :x="x(one.low)"
        :y="y(i)"
        :width="Math.max(2, x(one.high) - x(one.low))"
        height="30"
        :class="one.tone"
      />
      <path
        v-else
        :d="`M${x(one.low)} ${y(i) + 16} H${x(one.high)} M${x(one.low)} ${y(i) + 6} v20 M${x(one.high)} ${y(i) + 6} v20`"
        class="active"
      />
      <template v-if="one.kind === 'measured'">
        <circle v-for="(um, n) in one.all" :key="n" :cx="x(um)" :cy="y(i) + 16" r="4" class="needle" />
      </template>
      <text :x="x(one.low) - (one.kind === 'measured' ? 9 : 5)" :y="y(i) + 21" text-anchor="end" class="dim small">
        {{ x(one.low) > 220 ? short(one.low) : '' }}
      </text>
      <text :x="x(one.high) + (one.kind === 'measured' ? 9 : 5)" :y="y(i) + 21" class="dim small">
        {{ short(one.high) }}
      </text>
    </g>
    <text v-if="ends.length" x="706" :y="bottom + 20" text-anchor="end">{{ ends.map(words).join(' to ') }}</text>
  </svg>
</template>
