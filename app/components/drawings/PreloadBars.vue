<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import type { InteractionResult } from '~~/core/joints'
import type { Drawn } from '~/composables/useDrawn'

/** Preload left in every bolt after each pass, order beside order, on one scale. */
const props = defineProps<Drawn>()
const { more } = useDrawn(props)
const patterns = computed(() => more<InteractionResult[]>('patterns').slice(0, 4))
const passes = computed(() => (props.input.passesPercent as number[]).length)
const option = (colour: (name: string) => string): EChartsOption => {
  const [n, target] = [patterns.value.length, Number(props.input.targetN) / 1000]
  const shades = ['hatch', 'metal-blue', 'blue-ink', 'brass']
  return {
    title: patterns.value.map((one, i) => ({
      text: one.pattern,
      left: `${6 + (i * 94) / n}%`,
      top: 4,
      textStyle: { fontFamily: 'Barlow Condensed', fontSize: 16, color: colour('ink') },
    })),
    grid: patterns.value.map((_, i) => ({
      left: `${6 + (i * 94) / n}%`,
      width: `${94 / n - 3}%`,
      top: 34,
      bottom: 26,
    })),
    xAxis: patterns.value.map((one, i) => ({
      type: 'category' as const,
      gridIndex: i,
      data: one.levelPullsN.map((_, bolt) => String(bolt + 1)),
      axisLine: { lineStyle: { color: colour('outline') } },
      axisTick: { show: false },
      axisLabel: { color: colour('soft'), fontSize: 12 },
    })),
    yAxis: patterns.value.map((_, i) => ({
      type: 'value' as const,
      gridIndex: i,
      min: 0,
      max: Math.ceil((target * 1.15) / 5) * 5,
      splitLine: { lineStyle: { color: colour('line') } },
      axisLabel: { show: i === 0, color: colour('soft'), fontSize: 12 },
    })),
    series: patterns.value.flatMap((one, i) =>
      [...one.after.slice(0, passes.value), ...(one.after.length > passes.value ? [one.after.at(-1)!] : [])].map(
        (pass, p, all) => ({
          type: 'bar' as const,
          name: pass.name,
          xAxisIndex: i,
          yAxisIndex: i,
          barGap: '0%',
          barCategoryGap: '18%',
          data: pass.preloadsN.map(N => Math.round(N / 100) / 10),
          itemStyle: { color: colour(p === all.length - 1 ? shades[3]! : shades[Math.min(p, 2)]!) },
          ...(p === 0
            ? {
                markLine: {
                  symbol: 'none',
                  silent: true,
                  label: { show: false },
                  lineStyle: { color: colour('out'), type: 'dashed' as const },
                  data: [{ yAxis: target }],
                },
              }
            : {}),
        }),
      ),
    ),
    tooltip: { trigger: 'axis', backgroundColor: colour('chalk'), textStyle: { color: colour('ink') } },
  }
}
</script>

<template>
  <div>
    <ChartFrame
      :option="option"
      :height="190"
      :label="
        patterns
          .map(
            one =>
              `${one.pattern}: ${one.after.map(pass => `${pass.name} scatter ${Math.round(pass.scatter * 100)} %`).join(', ')}`,
          )
          .join('. ')
      "
    />
    <p class="soft key">
      On the rings, the turn of each bolt; below, the preload in kN of each bolt by its place: grey and blue the passes,
      brass after the last check pass, dashed what is aimed at.
    </p>
  </div>
</template>

<style scoped>
.key {
  font-size: 14px;
  margin-top: 3px;
}
</style>
