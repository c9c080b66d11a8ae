<script setup lang="ts">
import { STATION_WORDS, type Payloads, type StationView } from '~~/core/job'
import type { Station } from '~~/core/sheet'
import type { JobAbout } from '~/bench/job'

/** The job's stations as a steel rule, a division each. Made by hand: the rule is what the job hangs on. */
defineProps<{
  about: JobAbout
  complaint: string
  parent?: Payloads['job.opened']['parent']
  stations: StationView[]
  now?: Station
}>()
defineEmits<{ open: [station: Station] }>()
</script>

<template>
  <div class="rail">
    <div class="plate">
      <h1>
        <span class="figures">{{ about.equipment.tag }}</span>{{ ' '
        }}<small class="figures soft">job {{ about.job.number }}</small>
      </h1>
      <p class="soft">
        {{ about.equipment.name }}<template v-if="complaint">: {{ complaint }}</template>
      </p>
      <NuxtLink v-if="parent" class="parent" :to="`/bench/${parent.job}`"
        >Off {{ parent.equipment }}, job {{ parent.number }}</NuxtLink
      >
    </div>
    <nav aria-label="Stations">
      <button
        v-for="one in stations"
        :key="one.id"
        class="station"
        :class="{ now: now === one.id }"
        :aria-current="now === one.id ? 'step' : undefined"
        @click="$emit('open', one.id)"
      >
        <span class="name"
          >{{ STATION_WORDS[one.id]
          }}<span v-if="one.owed" class="owed figures" :aria-label="`${one.owed} owed`">○{{ one.owed }}</span>
        </span>
        <svg
          class="scale"
          viewBox="0 0 200 28"
          preserveAspectRatio="none"
          role="img"
          :aria-label="`${one.done} of ${one.steps} steps done`"
        >
          <rect width="200" height="28" class="bed" />
          <rect y="20" :width="one.steps ? (200 * one.done) / one.steps : 200" height="8" class="done" />
          <path
            v-for="i in 19"
            :key="i"
            :d="`M${i * 10} 0 v${i % 10 === 0 ? 15 : i % 5 === 0 ? 11 : 7}`"
            class="tick"
            vector-effect="non-scaling-stroke"
          />
          <path d="M0 0 V28" class="division" vector-effect="non-scaling-stroke" />
        </svg>
      </button>
    </nav>
  </div>
</template>

<style scoped>
.rail {
  display: flex;
  background: var(--chalk);
  border-bottom: 1px solid var(--line);
}
.plate {
  width: 240px;
  flex: none;
  padding: 7px 12px 4px 16px;
}
h1 {
  font-size: 23px;
  font-weight: 500;
}
h1 small {
  font-size: 15px;
  font-weight: 400;
}
.plate p {
  font-size: 15px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.parent {
  font-size: 15px;
  white-space: nowrap;
}
nav {
  flex: 1;
  display: grid;
  grid-template-columns: repeat(8, 1fr);
  min-width: 0;
}
.station {
  border: 0;
  background: none;
  padding: 0;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  cursor: pointer;
  min-width: 0;
  min-height: 60px;
}
.name {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  font: 600 18px var(--heads);
  padding: 5px 8px 2px 9px;
  white-space: nowrap;
}
.owed {
  font: 500 16px var(--figures);
  color: var(--out);
}
.scale {
  width: 100%;
  height: 28px;
  display: block;
}
.bed {
  fill: var(--steel);
}
.done {
  fill: var(--blue-ink);
}
.tick {
  stroke: var(--steel-ink);
  stroke-width: 1;
}
.division {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.station.now .name {
  color: var(--brass-ink);
}
.station.now .bed {
  fill: var(--brass-wash);
}
.station.now .done {
  fill: var(--brass);
}
.station.now .owed {
  color: var(--brass-ink);
}
@media (max-width: 1100px) {
  .rail {
    flex-direction: column;
  }
  .plate {
    width: auto;
    display: flex;
    gap: 14px;
    align-items: baseline;
  }
  nav {
    grid-template-columns: repeat(8, 1fr);
  }
  .name {
    font-size: 16px;
    padding: 5px 4px 2px 5px;
    flex-direction: column;
  }
  .owed {
    font-size: 15px;
  }
  .station {
    min-height: 58px;
  }
  .scale {
    height: 14px;
  }
}
@media (max-width: 600px) {
  nav {
    grid-template-columns: repeat(4, 1fr);
  }
  .name {
    flex-direction: row;
  }
  .station {
    min-height: 60px;
  }
}
</style>
