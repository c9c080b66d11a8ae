<script setup lang="ts">
import type { Component } from 'vue'
import type { Answer, AnySum } from '~~/core/sums'
import {
  AxialDrawing,
  BandsDrawing,
  BearingDrawing,
  BoltsCompared,
  BoltsDrawing,
  CausesDrawing,
  DialDrawing,
  FitDrawing,
  GearsDrawing,
  GlandDrawing,
  JournalDrawing,
  LazyRunChart,
  LazyTrialChart,
  PinchDrawing,
  PlacesDrawing,
  PolarDrawing,
  RingsDrawing,
  ShaftDrawing,
  ShimsDrawing,
  SkewDrawing,
  SlingDrawing,
  SpringsDrawing,
  StackDrawing,
  StripsDrawing,
  TurnDrawing,
} from '#components'

/** Which drawing a sum has; without one of its own its judged figures stand on their rules. */
defineProps<{ sum: AnySum; answer: Answer; input: Record<string, unknown> }>()
const DRAWINGS: Record<string, Component> = {
  'limits-and-fits': FitDrawing,
  'measured-fit': FitDrawing,
  'class-of-measured': FitDrawing,
  'bearing-seat': FitDrawing,
  'plastic-strip': StripsDrawing,
  'strip-set': StripsDrawing,
  'skew': SkewDrawing,
  'pinch': PinchDrawing,
  'bush-press': RingsDrawing,
  'magnetic-centre': AxialDrawing,
  'bearing-designation': BearingDrawing,
  'bearing-fit': BearingDrawing,
  'clearance-after-mounting': BearingDrawing,
  'internal-clearance': BearingDrawing,
  'press-fit': RingsDrawing,
  'shrink-fit': RingsDrawing,
  'bolt-order': BoltsDrawing,
  'elastic-interaction': BoltsCompared,
  'stack': StackDrawing,
  'stack-trial': LazyTrialChart,
  'shim-choice': ShimsDrawing,
  'lifting': SlingDrawing,
  'lift-plan': SlingDrawing,
  'clock': DialDrawing,
  'mark-chain': DialDrawing,
  'mark-meets': DialDrawing,
  'hand-turn': DialDrawing,
  'gear-mesh': GearsDrawing,
  'hunting': GearsDrawing,
  'turning-sense': TurnDrawing,
  'places': PlacesDrawing,
  'o-ring': GlandDrawing,
  'springs': SpringsDrawing,
  'seal-cause': CausesDrawing,
  'run-record': LazyRunChart,
  'runout': PolarDrawing,
  'shaft-shape': ShaftDrawing,
  'round-part': JournalDrawing,
  'gaps': PolarDrawing,
}
</script>

<template>
  <component :is="DRAWINGS[sum.name] ?? BandsDrawing" :answer="answer" :input="input" data-test="drawing" />
</template>
