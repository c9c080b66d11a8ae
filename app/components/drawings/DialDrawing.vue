<script setup lang="ts">
import { clockText, fromOtherEnd, withinTurn } from '~~/core/marks'
import type { Drawn } from '~/composables/useDrawn'

/** The index dial with every mark on it, seen from a named end; one touch looks from the other. */
const props = defineProps<Drawn>()
const { given, more } = useDrawn(props)
const other = ref(false)
const marks = computed((): { name: string; deg: number }[] => {
  const angles = more<Record<string, number | null> | undefined>('anglesDeg')
  if (angles) return Object.entries(angles).flatMap(([name, deg]) => (deg === null ? [] : [{ name, deg }]))
  if (Number.isFinite(given('hour'))) return [{ name: 'mark', deg: (given('hour') % 12) * 30 }]
  if (Number.isFinite(given('standsDeg')))
    return [
      { name: 'stands', deg: given('standsDeg') },
      { name: 'wanted', deg: given('deg') },
    ]
  return Number.isFinite(given('atDeg')) ? [{ name: String(props.input.felt ?? 'mark'), deg: given('atDeg') }] : []
})
const seen = (deg: number) => (other.value ? fromOtherEnd(deg) : withinTurn(deg))
const at = (deg: number, r: number) => ({
  x: 150 + r * Math.sin((deg * Math.PI) / 180),
  y: 138 - r * Math.cos((deg * Math.PI) / 180),
})
</script>

<template>
  <div class="dial">
    <svg
      class="draw"
      viewBox="0 0 300 276"
      role="img"
      :aria-label="`Index dial seen from the ${other ? 'other' : 'first'} end: ${marks.map(mark => `${mark.name} at ${clockText(seen(mark.deg))}`).join(', ')}`"
    >
      <circle cx="150" cy="138" r="112" class="metal" />
      <circle cx="150" cy="138" r="78" class="blue" />
      <circle cx="150" cy="138" r="44" class="chalk" />
      <path
        v-for="i in 60"
        :key="i"
        :d="`M150 26 v${i % 5 ? 6 : 13}`"
        :transform="`rotate(${i * 6} 150 138)`"
        class="line"
      />
      <text
        v-for="hour in 12"
        :key="hour"
        :x="at(hour * 30, 124).x"
        :y="at(hour * 30, 124).y + 5"
        text-anchor="middle"
        class="dim"
      >
        {{ hour }}
      </text>
      <g v-for="(mark, i) in marks" :key="mark.name" :transform="`rotate(${seen(mark.deg)} 150 138)`">
        <path d="M150 94 V30" :class="i ? 'path' : 'active'" style="stroke-width: 4" />
        <path d="M150 30 l-9 20 h18 z" :class="i ? 'blue' : 'brass'" />
      </g>
      <text x="150" y="146" text-anchor="middle">{{ other ? 'other end' : 'first end' }}</text>
    </svg>
    <div class="side">
      <p>
        Seen from the <strong>{{ other ? 'other end' : 'first end' }}</strong>
      </p>
      <el-button data-test="flip" @click="other = !other">
        Look from the {{ other ? 'first' : 'other' }} end
      </el-button>
      <ul>
        <li v-for="mark in marks" :key="mark.name">
          <b class="figures" :data-test="`dial-${mark.name}`">{{ clockText(seen(mark.deg)) }}</b> {{ mark.name }}
          <span class="soft figures">{{ Math.round(seen(mark.deg)) }}°</span>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.dial {
  display: grid;
  grid-template-columns: minmax(220px, 330px) 1fr;
  gap: 18px;
  align-items: center;
}
.side {
  display: grid;
  gap: 12px;
  justify-items: start;
}
li {
  font-size: 18px;
  border-top: 1px solid var(--line);
  padding: 6px 0;
}
b {
  font-size: 24px;
  font-weight: 500;
  margin-right: 8px;
}
@media (max-width: 560px) {
  .dial {
    grid-template-columns: 1fr;
  }
}
</style>
