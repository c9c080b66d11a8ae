<script setup lang="ts">
import { isCraft } from '~~/core/sums'

/** The Gauge room opens at the craft that was last in hand. */
const last = useLocalStorage('needler-craft', 'fits')
await navigateTo(`/gauge-room/${isCraft(last.value) ? last.value : 'fits'}`, { replace: true })
</script>

<template>
  <p class="soft">To the gauge room…</p>
</template>
