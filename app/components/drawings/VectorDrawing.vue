<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** The rotor from the end phases are counted on: vibration as it was and with the trial as arrows, and where the mass goes. */
const props = defineProps<Drawn>()
const { given, got, say, tone } = useDrawn(props)
const CENTRE = { x: 170, y: 136 }
const largest = computed(() => Math.max(given('asIs'), given('withTrial')) || 1)
/** From the top, clockwise on paper; `share` of the arrows' scale. */
const at = (deg: number, radius: number) => ({
  x: CENTRE.x + radius * Math.sin((deg * Math.PI) / 180),
  y: CENTRE.y - radius * Math.cos((deg * Math.PI) / 180),
})
const tip = (size: number, deg: number) => at(deg, (size / largest.value) * 84)
const asIs = computed(() => tip(given('asIs'), given('asIsDeg')))
const withTrial = computed(() => tip(given('withTrial'), given('withTrialDeg')))
const trial = computed(() => at(given('trialDeg'), 112))
const mass = computed(() => at(got('placeDeg'), 112))
</script>

<template>
  <svg
    class="draw"
    :class="tone"
    viewBox="0 0 720 272"
    role="img"
    :aria-label="`Put on ${say(got('massG'), 'g', 1)} at ${Math.round(got('placeDeg'))}°`"
  >
    <circle :cx="CENTRE.x" :cy="CENTRE.y" r="124" class="chalk" />
    <circle :cx="CENTRE.x" :cy="CENTRE.y" r="112" class="faint" />
    <path :d="`M${CENTRE.x} 8 V264 M42 ${CENTRE.y} H298`" class="centre" style="opacity: 0.5" />
    <path :d="`M${CENTRE.x} ${CENTRE.y} L${asIs.x} ${asIs.y}`" class="path" style="stroke-width: 3" />
    <path :d="`M${CENTRE.x} ${CENTRE.y} L${withTrial.x} ${withTrial.y}`" class="path" style="stroke-dasharray: 6 4" />
    <path :d="`M${asIs.x} ${asIs.y} L${withTrial.x} ${withTrial.y}`" class="active" />
    <circle :cx="asIs.x" :cy="asIs.y" r="5" class="blue" />
    <circle :cx="withTrial.x" :cy="withTrial.y" r="5" class="metal" />
    <circle :cx="trial.x" :cy="trial.y" r="8" class="metal" />
    <circle :cx="mass.x" :cy="mass.y" r="12" class="brass" />
    <text x="186" y="16" class="small">0°</text>
    <text x="360" y="64">put on</text>
    <text x="520" y="64" class="dim">{{ say(got('massG'), 'g', 1) }}</text>
    <text x="360" y="100">at</text>
    <text x="520" y="100" class="dim">{{ Math.round(got('placeDeg')) }}°</text>
    <text x="360" y="136">on from the trial</text>
    <text x="520" y="136" class="dim">{{ Math.round(got('fromTrialDeg')) }}°</text>
    <text x="360" y="190" class="small">whole line: as it is; broken: with the trial;</text>
    <text x="360" y="212" class="small">brass line: what the trial did; grey dot: where it sat</text>
  </svg>
</template>
