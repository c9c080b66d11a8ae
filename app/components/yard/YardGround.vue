<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import type { YardArea } from '~~/shared/answers'

/** The machines of the yard by area. Only the rows that are in sight, and some beside them, are on the page. */
const props = defineProps<{ areas: YardArea[]; chosen: string | null }>()
defineEmits<{ choose: [tag: string] }>()

const LEAST_WIDTH = 138
const GAP = 10
/** About how high a row is before it has been measured, px. */
const ROW_HEIGHT = 124
/** Rows beside those in sight: a hand that scrolls meets no empty ground. */
const BESIDE = 2

const ground = useTemplateRef<HTMLElement>('ground')
const places = useTemplateRef<HTMLElement>('places')
const { width } = useElementSize(places)
const columns = computed(() => Math.max(1, Math.floor((width.value + GAP) / (LEAST_WIDTH + GAP))))
/** Rows of machines; the first of an area carries its name. */
const rows = computed(() =>
  props.areas.flatMap(area =>
    Array.from({ length: Math.ceil(area.machines.length / columns.value) }, (_, row) => ({
      area: row === 0 ? area : null,
      machines: area.machines.slice(row * columns.value, (row + 1) * columns.value),
    })),
  ),
)
const top = ref(0)
const seen = useWindowVirtualizer(
  computed(() => ({
    count: rows.value.length,
    estimateSize: () => ROW_HEIGHT,
    overscan: BESIDE,
    scrollMargin: top.value,
  })),
)
const shown = computed(() => seen.value.getVirtualItems().filter(one => rows.value[one.index]))
watchPostEffect(() => {
  void width.value
  top.value = ground.value?.offsetTop ?? 0
})
const measured = (row: unknown) => seen.value.measureElement(row as Element | null)
</script>

<template>
  <div ref="ground" class="ground">
    <!-- What a row of places is as wide as, before there is one. -->
    <div class="row measure" aria-hidden="true"><span /><span ref="places" /></div>
    <ul :style="{ height: `${seen.getTotalSize()}px` }">
      <li
        v-for="one in shown"
        :key="one.index"
        :ref="measured"
        :data-index="one.index"
        class="row"
        :class="{ first: rows[one.index]!.area }"
        :style="{ transform: `translateY(${one.start - top}px)` }"
      >
        <h2 v-if="rows[one.index]!.area">
          {{ rows[one.index]!.area!.name
          }}<small class="soft">{{ counted(rows[one.index]!.area!.machines.length, 'machine') }}</small>
        </h2>
        <span class="stands" :style="{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }">
          <MachineStand
            v-for="(machine, place) in rows[one.index]!.machines"
            :key="place"
            :machine="machine"
            :chosen="machine.tag === chosen"
            @choose="$emit('choose', machine.tag)"
          />
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
ul {
  position: relative;
}
.row {
  position: absolute;
  inset: 0 0 auto;
  display: grid;
  grid-template-columns: 116px 1fr;
  padding: 5px 16px;
}
.row.measure {
  position: static;
  padding-block: 0;
}
.row.first {
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
.stands {
  grid-column: 2;
  display: grid;
  gap: 10px;
}
.stands > :deep(*) {
  max-width: 210px;
}
h2 {
  font-size: 20px;
  padding-top: 4px;
}
h2 small {
  display: block;
  font: 400 15px var(--words);
  margin-top: 4px;
}
@media (max-width: 1000px) {
  .row {
    grid-template-columns: 1fr;
    gap: 8px;
  }
  .stands {
    grid-column: 1;
  }
  h2 small {
    display: inline;
    margin-left: 10px;
  }
}
</style>
