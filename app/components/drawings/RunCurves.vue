<script setup lang="ts">
import type { EChartsOption } from 'echarts'

/** One column of a run against time, and the same column at the other moment it was read. */
export interface RunLine {
  name: string
  unit: string
  /** The colour it is drawn in, by its name. */
  ink: string
  /** Minute and figure. */
  points: [minute: number, figure: number][]
  before: [minute: number, figure: number][]
}

/** The curves of a run: what is read in one unit shares a scale, one strip above the other; dashed as it was before. */
const props = defineProps<{ lines: RunLine[] }>()
const strips = computed(() =>
  [...new Set(props.lines.map(one => one.unit))].map(unit => ({
    unit,
    lines: props.lines.filter(one => one.unit === unit && one.points.length + one.before.length > 0),
  })),
)
const HIGH = 96
const height = computed(() => 14 + strips.value.length * HIGH)
const end = computed(() =>
  Math.max(1, ...props.lines.flatMap(one => [...one.points, ...one.before].map(([minute]) => minute))),
)
const option = (colour: (name: string) => string): EChartsOption => ({
  grid: strips.value.map((_, i) => ({ left: 46, right: 20, top: 14 + i * HIGH, height: HIGH - 26 })),
  xAxis: strips.value.map((_, i) => ({
    ...{ type: 'value' as const, gridIndex: i, min: 0, max: end.value, splitLine: { show: false } },
    axisLabel: {
      show: i === strips.value.length - 1,
      color: colour('soft'),
      formatter: (minute: number) => `${minute}${minute === 0 ? ' min' : ''}`,
    },
  })),
  yAxis: strips.value.map(({ unit }, i) => ({
    ...{ type: 'value' as const, gridIndex: i, scale: true, splitNumber: 2, name: unit === '1' ? '' : unit },
    nameTextStyle: { color: colour('soft'), padding: [0, 26, -8, 0] },
    splitLine: { lineStyle: { color: colour('line') } },
    axisLabel: { color: colour('soft'), hideOverlap: true },
  })),
  series: strips.value.flatMap(({ lines }, strip) =>
    lines.flatMap(line => {
      const ink = colour(line.ink)
      const common = { type: 'line' as const, xAxisIndex: strip, yAxisIndex: strip, itemStyle: { color: ink } }
      return [
        {
          ...common,
          data: line.points,
          symbolSize: 6,
          lineStyle: { color: ink, width: 2.5 },
        },
        {
          ...common,
          data: line.before,
          symbol: 'none',
          lineStyle: { color: ink, width: 1.5, type: 'dashed' as const },
        },
      ]
    }),
  ),
})
</script>

<template>
  <ChartFrame
    :option="option"
    :height="height"
    :label="lines.map(one => `${one.name}: ${one.points.at(-1)?.[1] ?? 'not read'} ${one.unit}`).join('; ')"
  />
</template>
