<script setup lang="ts">
import { partState } from '~~/core/job'

const job = useJobStore()
const bench = useBenchStore()
const text = ref('')
const rows = computed(() =>
  [...job.plan!.parts.values()]
    .filter(one => `${one.part.item} ${one.name}`.toLowerCase().includes(text.value.trim().toLowerCase()))
    .map(one => ({ ...one, now: partState(job.state, one.ref) })),
)
</script>

<template>
  <div class="parts">
    <h2>All parts</h2>
    <label class="sr" for="part-filter">Filter the parts</label>
    <input id="part-filter" v-model="text" class="field" type="search" placeholder="item or name" />
    <ul tabindex="0" aria-label="Parts">
      <li v-for="one in rows" :key="one.ref">
        <button @click="bench.look({ to: 'part', part: one.ref })">
          <span class="figures">{{ one.part.item }}</span>
          <span class="what">{{ one.name }}</span>
          <span class="soft">{{
            one.now.where === 'on'
              ? 'on'
              : one.now.where === 'fitted'
                ? one.now.fitted!.as === 'new'
                  ? 'fitted, new'
                  : 'fitted'
                : one.now.kept
                  ? `${one.now.kept.as} ${one.now.kept.label}`
                  : 'off'
          }}</span>
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.parts {
  display: flex;
  flex-direction: column;
  gap: 8px;
  flex: 1;
  min-height: 0;
}
h2 {
  font-size: 22px;
}
ul {
  overflow: auto;
  flex: 1 1 0;
  min-height: 250px;
}
li {
  border-top: 1px solid var(--line);
}
button {
  width: 100%;
  min-height: 46px;
  border: 0;
  background: none;
  display: grid;
  grid-template-columns: 40px 1fr auto;
  gap: 10px;
  align-items: center;
  text-align: left;
  cursor: pointer;
}
</style>
