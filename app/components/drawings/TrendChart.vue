<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import type { Check } from '~~/core/sheet'

/** One check over a machine's overhauls, by its running hours, with the limits it is held against. */
const props = defineProps<{
  check: Check
  readings: { value: number; hours: number; moment: string; takenAt: string; stands: boolean }[]
}>()
const { show } = useDisplay()
const figure = (value: number) => Number(show(value, props.check).figure)
const unit = computed(() => show(0, props.check).unit)
const limits = computed(() =>
  [props.check.limits.min, props.check.limits.max].filter(one => one !== undefined).map(one => figure(one)),
)
const option = (colour: (name: string) => string): EChartsOption => ({
  grid: { left: 62, right: 18, top: 28, bottom: 40 },
  tooltip: { trigger: 'item' },
  xAxis: {
    type: 'value',
    name: 'running hours',
    nameLocation: 'middle',
    nameGap: 26,
    scale: true,
    splitLine: { show: false },
    axisLabel: { color: colour('soft'), hideOverlap: true },
    nameTextStyle: { color: colour('soft') },
  },
  yAxis: {
    type: 'value',
    name: unit.value,
    scale: true,
    min: extent => Math.min(extent.min, ...limits.value),
    max: extent => Math.max(extent.max, ...limits.value),
    splitLine: { lineStyle: { color: colour('line') } },
    axisLabel: { color: colour('soft'), hideOverlap: true },
    nameTextStyle: { color: colour('soft') },
  },
  series: [
    {
      type: 'line',
      data: props.readings.map(one => ({
        value: [one.hours, figure(one.value)],
        symbol: one.stands ? 'circle' : 'emptyCircle',
      })),
      symbolSize: 10,
      lineStyle: { color: colour('blue-ink'), width: 2.5 },
      itemStyle: { color: colour('blue-ink') },
      markLine: {
        symbol: 'none',
        silent: true,
        lineStyle: { color: colour('out'), type: 'dashed' },
        label: { color: colour('out'), position: 'insideEndTop' },
        data: limits.value.map(one => ({ yAxis: one })),
      },
    },
  ],
})
</script>

<template>
  <ChartFrame
    :option="option"
    :height="200"
    :label="`${check.title} over ${counted(readings.length, 'reading')}: ${readings.map(one => `${figure(one.value)} ${unit} at ${one.hours} h`).join(', ')}`"
  />
</template>
