<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import type { Trial } from '~~/core/stacks'
import type { Drawn } from '~/composables/useDrawn'

/** How the gap fell out over all samples, with the limits and the span it nearly always keeps. */
const props = defineProps<Drawn>()
const { more, got, given, say } = useDrawn(props)
const histogram = computed(() => more<Trial['histogram']>('histogram'))
const option = (colour: (name: string) => string): EChartsOption => {
  const { fromMm, toMm, counts } = histogram.value
  const width = (toMm - fromMm) / counts.length
  const at = (i: number) => fromMm + (i + 0.5) * width
  const outside = (mm: number) => mm < given('minMm') || mm > given('maxMm')
  const limits = [given('minMm'), given('maxMm')].filter(Number.isFinite)
  return {
    grid: { left: 18, right: 18, top: 18, bottom: 30 },
    xAxis: {
      type: 'value',
      min: Math.min(fromMm, ...limits) - width * 2,
      max: Math.max(toMm, ...limits) + width * 2,
      axisLabel: { color: colour('soft'), formatter: (mm: number) => mm.toFixed(2) },
      splitLine: { show: false },
      axisLine: { lineStyle: { color: colour('outline') } },
    },
    yAxis: { type: 'value', show: false },
    series: [
      {
        type: 'bar',
        barWidth: '96%',
        data: counts.map((count, i) => ({
          value: [at(i), count],
          itemStyle: { color: colour(outside(at(i)) ? 'out' : 'metal-blue') },
        })),
        markLine: {
          symbol: 'none',
          silent: true,
          lineStyle: { type: 'solid' },
          data: [
            ...limits.map(mm => ({
              xAxis: mm,
              lineStyle: { color: colour('out'), width: 2 },
              label: { formatter: `limit ${mm.toFixed(2)}`, color: colour('out') },
            })),
            ...[got('spanLeastMm'), got('spanGreatestMm')].map(mm => ({
              xAxis: mm,
              lineStyle: { color: colour('brass-ink'), width: 2, type: 'dashed' as const },
              label: { show: false },
            })),
          ],
        },
      },
    ],
  }
}
</script>

<template>
  <ChartFrame
    :option="option"
    :height="210"
    :label="`Nearly always ${say(got('spanLeastMm'), 'mm', 3)} to ${say(got('spanGreatestMm'), 'mm', 3)}`"
  />
</template>
