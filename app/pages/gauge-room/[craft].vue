<script setup lang="ts">
import { CRAFT_TITLES, isCraft, sumNamed, sumsOf, type Craft } from '~~/core/sums'

definePageMeta({ key: route => `gauge-room-${String(route.params.craft)}` })
const route = useRoute()
// Page meta goes into the first load, so the table of crafts is asked here.
const asked = String(route.params.craft)
const craft: Craft = isCraft(asked) ? asked : 'fits'
if (craft !== asked) await navigateTo('/gauge-room/fits', { replace: true })
const sums = sumsOf(craft)
const sum = computed(() => {
  const named = sumNamed(String(route.query.sum ?? ''))
  return named?.craft === craft ? named : sums[0]!
})
const last = useLocalStorage('needler-craft', 'fits')
last.value = craft
</script>

<template>
  <div class="gauge-room">
    <h1 class="sr">Gauge room: {{ CRAFT_TITLES[craft] }}</h1>
    <CraftRail :craft="craft" />
    <nav class="sums" :aria-label="`Sums: ${CRAFT_TITLES[craft]}`">
      <NuxtLink
        v-for="one in sums"
        :key="one.name"
        :to="{ path: route.path, query: { sum: one.name } }"
        class="sum"
        :class="{ on: one.name === sum.name }"
        :aria-current="one.name === sum.name ? 'true' : undefined"
        >{{ one.title }}</NuxtLink
      >
    </nav>
    <SumPad :key="sum.name" :sum="sum" class="pad-room" />
  </div>
</template>

<style scoped>
.gauge-room {
  display: grid;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 4px;
  padding: 8px 16px 0;
}
.sum {
  min-height: 44px;
  padding: 0 12px;
  display: inline-flex;
  align-items: center;
  font: 500 18px var(--heads);
  text-decoration: none;
  color: var(--blue-ink);
  border-bottom: 3px solid transparent;
}
.sum.on {
  color: var(--ink);
  font-weight: 600;
  border-bottom-color: var(--brass);
}
.pad-room {
  padding: 8px 16px 20px;
}
</style>
