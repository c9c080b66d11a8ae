<script setup lang="ts">
import type { GroupDial } from '~~/core/job'
import { datumPath, dialHours, drawnRings, POSITIONS_DIAL } from '~~/core/marks'

/** The clock of a group with all that was marked or found on its parts, a ring a part, and what each number is. */
const props = defineProps<{ dial: GroupDial }>()
const { side, rim, number } = POSITIONS_DIAL
const C = side / 2
const rings = computed(() => drawnRings(props.dial.rings.map(one => one.positions)))
</script>

<template>
  <section class="positions" :aria-label="dial.name">
    <h2>{{ dial.name }}</h2>
    <p>{{ dial.told }}</p>
    <div class="beside">
      <svg :viewBox="`0 0 ${side} ${side}`" role="img" :aria-label="`${dial.name}, by the hour`">
        <circle :cx="C" :cy="C" :r="rim" class="rim" />
        <g v-for="(ring, i) in rings" :key="i">
          <circle :cx="C" :cy="C" :r="ring.r" :stroke-width="ring.width - 2" class="ring" />
          <path v-for="d in ring.bands" :key="d" :d="d" :stroke-width="ring.width - 4" class="band" />
          <path v-for="d in ring.lines" :key="d" :d="d" class="mark" />
          <g v-for="one in ring.numbers" :key="one.n">
            <circle :cx="one.x" :cy="one.y" :r="number" class="disc" />
            <text :x="one.x" :y="one.y + 4" class="number">{{ one.n }}</text>
          </g>
        </g>
        <path :d="datumPath" class="datum" />
        <text v-for="one in dialHours" :key="one.hour" :x="one.x" :y="one.y + 5" class="hour">{{ one.hour }}</text>
      </svg>
      <ol>
        <li v-for="one in dial.placed" :key="one.n">
          <b class="figures">{{ one.n }}</b>
          <span class="figures">{{ one.at }}</span>
          <span>
            {{ one.part }} <small>{{ one.what }}</small>
          </span>
        </li>
      </ol>
    </div>
  </section>
</template>

<style scoped>
.beside {
  margin-top: 8px;
  display: grid;
  grid-template-columns: minmax(220px, 360px) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
svg {
  width: 100%;
}
ol {
  display: grid;
  grid-template-columns: auto auto 1fr;
  column-gap: 14px;
}
li {
  display: grid;
  grid-column: 1 / -1;
  grid-template-columns: subgrid;
  border-top: 1px solid var(--line);
  padding: 6px 0;
  font-size: 17px;
}
.rim {
  fill: var(--chalk);
  stroke: var(--outline);
}
.ring {
  fill: none;
  stroke: var(--blue-wash);
}
.band {
  fill: none;
  stroke: var(--out);
  opacity: 0.55;
}
.mark {
  stroke: var(--blue-ink);
  stroke-width: 3;
}
.disc {
  fill: var(--chalk);
  stroke: var(--ink);
}
.number {
  font: 500 12px var(--figures);
  fill: var(--ink);
  text-anchor: middle;
}
.datum {
  fill: var(--blue-ink);
}
.hour {
  font: 500 15px var(--heads);
  fill: var(--soft);
  text-anchor: middle;
}
@media (max-width: 700px) {
  .beside {
    grid-template-columns: 1fr;
  }
}
@media print {
  section {
    break-inside: avoid;
  }
  .beside {
    grid-template-columns: 60mm 1fr;
  }
}
</style>
