<script setup lang="ts">
import type { Drawn } from '~/composables/useDrawn'

/** Wrench and extension to scale in line, from the nut to the middle of the grip. */
const props = defineProps<Drawn>()
const { given, got, say } = useDrawn(props)
const k = computed(() => 560 / (given('wrenchMm') + given('extensionMm')))
const joint = computed(() => 70 + given('extensionMm') * k.value)
const grip = computed(() => joint.value + given('wrenchMm') * k.value)
</script>

<template>
  <svg
    class="draw"
    viewBox="0 0 720 190"
    role="img"
    :aria-label="`Set the wrench to ${say(got('settingNm'), 'N·m', 1)}`"
  >
    <path d="M70 66 l22 13 v26 l-22 13 -22 -13 v-26 z" class="blue" />
    <rect v-if="given('extensionMm') > 0" x="70" y="84" :width="joint - 70" height="16" class="brass" />
    <rect :x="joint" y="80" :width="grip - joint" height="24" class="metal" />
    <rect :x="grip - 40" y="76" width="76" height="32" rx="4" class="blue" />
    <path :d="`M${grip} 30 V74 M${grip - 7} 64 l7 12 7 -12`" class="active" />
    <text :x="Math.min(grip, 600)" y="22" text-anchor="middle">
      wanted at the nut {{ say(given('torqueNm'), 'N·m', 1) }}
    </text>
    <path :d="`M70 128 v20 M${joint} 128 v20 M${grip} 128 v20 M70 138 H${grip}`" class="line" />
    <text v-if="given('extensionMm') > 0" :x="(70 + joint) / 2" y="166" text-anchor="middle" class="dim">
      {{ say(given('extensionMm'), 'mm', 0) }}
    </text>
    <text :x="(joint + grip) / 2" y="166" text-anchor="middle" class="dim">{{ say(given('wrenchMm'), 'mm', 0) }}</text>
  </svg>
</template>
