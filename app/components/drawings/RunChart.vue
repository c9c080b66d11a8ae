<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import type { Drawn } from '~/composables/useDrawn'

/** The run against time: the window that is judged shaded, the air around and the greatest rise as lines. */
const props = defineProps<Drawn>()
const { given, got } = useDrawn(props)
const samples = computed(() =>
  (props.input.samples as { minute: number; value: number }[]).toSorted((a, b) => a.minute - b.minute),
)
const option = (colour: (name: string) => string): EChartsOption => {
  const end = samples.value.at(-1)!.minute
  const lines = [
    Number.isFinite(given('ambient')) ? { yAxis: given('ambient'), label: { formatter: 'air around' } } : null,
    Number.isFinite(given('ambient') + given('maxRise'))
      ? {
          yAxis: given('ambient') + given('maxRise'),
          label: { formatter: 'limit' },
          lineStyle: { color: colour('out') },
        }
      : null,
  ].filter(one => one !== null)
  return {
    grid: { left: 46, right: 24, top: 22, bottom: 42 },
    xAxis: {
      type: 'value',
      name: 'minutes',
      nameLocation: 'middle',
      nameGap: 26,
      min: samples.value[0]!.minute,
      max: end,
      splitLine: { show: false },
      axisLabel: { color: colour('soft') },
      nameTextStyle: { color: colour('soft') },
    },
    yAxis: {
      type: 'value',
      scale: true,
      splitLine: { lineStyle: { color: colour('line') } },
      axisLabel: { color: colour('soft'), hideOverlap: true, showMinLabel: false, showMaxLabel: false },
      max: extent => Math.ceil(Math.max(extent.max, given('ambient') + given('maxRise') || -Infinity) + 1),
      min: extent => Math.floor(Math.min(extent.min, given('ambient') || Infinity) - 1),
    },
    series: [
      {
        type: 'line',
        data: samples.value.map(one => [one.minute, one.value]),
        symbolSize: 8,
        lineStyle: { color: colour('blue-ink'), width: 2.5 },
        itemStyle: { color: colour('blue-ink') },
        markArea: {
          silent: true,
          itemStyle: { color: colour('brass'), opacity: 0.18 },
          data: [[{ xAxis: Math.max(samples.value[0]!.minute, end - given('windowMin')) }, { xAxis: end }]],
        },
        markLine: {
          symbol: 'none',
          silent: true,
          lineStyle: { color: colour('soft'), type: 'dashed' },
          label: { color: colour('ink'), position: 'insideEndTop' },
          data: lines,
        },
      },
    ],
  }
}
</script>

<template>
  <ChartFrame
    :option="option"
    :height="250"
    :label="`Last ${got('last')}, slope ${Number.isFinite(got('slopePerHour')) ? got('slopePerHour').toFixed(2) : 'open'} an hour`"
  />
</template>
