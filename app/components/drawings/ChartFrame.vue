<script setup lang="ts">
import { BarChart, LineChart } from 'echarts/charts'
import {
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TitleComponent,
  TooltipComponent,
} from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import type { EChartsOption } from 'echarts'
import VChart from 'vue-echarts'

/** A chart in the house's own hand: ink, hairlines, figures in the figures' face. Colours follow the bench, light or dark. */
const props = defineProps<{
  option: (colour: (name: string) => string) => EChartsOption
  label: string
  height: number
}>()
use([
  BarChart,
  LineChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TitleComponent,
  TooltipComponent,
  SVGRenderer,
])
const { dark } = useDisplay()
const colours = ref<(name: string) => string>(() => '#888')
const readColours = () => {
  const style = getComputedStyle(document.documentElement)
  colours.value = name => style.getPropertyValue(`--${name}`).trim()
}
onMounted(readColours)
watch(dark, () => void nextTick(readColours))
const whole = computed((): EChartsOption => ({
  animation: false,
  textStyle: { fontFamily: 'DM Mono', color: colours.value('ink') },
  ...props.option(colours.value),
}))
</script>

<template>
  <div class="chart" role="img" :aria-label="label">
    <VChart :option="whole" :update-options="{ notMerge: true }" autoresize :style="{ height: `${height}px` }" />
  </div>
</template>

<style scoped>
.chart {
  background: var(--ground);
  border: 1px solid var(--line);
  border-radius: 4px;
  min-width: 0;
}
</style>
