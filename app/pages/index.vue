<script setup lang="ts">
import type { SiteSettings, YardArea } from '~~/shared/answers'

const areas = shallowRef<YardArea[]>([])
const site = ref('Yard')
const why = ref<string | null>(null)
const loading = ref(true)
const text = useLocalStorage('needler-yard-filter', '')
const only = useLocalStorage<'all' | 'due'>('needler-yard-only', 'all')
const worstFirst = useLocalStorage('needler-yard-worst', false)
const route = useRoute()
const chosen = computed(() => (typeof route.query.machine === 'string' ? route.query.machine : null))
const choose = (tag: string) => navigateTo({ query: { machine: tag } })

async function load() {
  try {
    const [yard, settings] = await Promise.all([$fetch<YardArea[]>('/api/yard'), $fetch<SiteSettings>('/api/site')])
    areas.value = yard
    site.value = settings.name
    why.value = null
  } catch (error) {
    why.value = sayWhy(error)
  } finally {
    loading.value = false
  }
}
onMounted(load)

const all = computed(() => areas.value.flatMap(area => area.machines))
const used = (one: YardArea['machines'][number]) => (one.worst?.verdict === 'Out' ? 2 : (one.worst?.share ?? -1))
const shown = computed(() =>
  areas.value
    .map(area => ({
      ...area,
      machines: area.machines
        .filter(one =>
          `${one.tag} ${one.name} ${one.line} ${one.family} ${area.name}`
            .toLowerCase()
            .includes(text.value.trim().toLowerCase()),
        )
        .filter(one => only.value === 'all' || (one.next !== null && one.next.weeks <= 8))
        .toSorted((a, b) => (worstFirst.value ? used(b) - used(a) : a.tag.localeCompare(b.tag))),
    }))
    .filter(area => area.machines.length),
)
const summary = computed(() => {
  const open = all.value.filter(one => one.openJob).length
  const near = all.value.filter(one => one.worst && one.worst.verdict !== 'Holds').length
  return `${counted(all.value.length, 'machine')}, ${counted(open, 'open job')}, ${near} with a check past or near its limit`
})
function showAll() {
  text.value = ''
  only.value = 'all'
}
</script>

<template>
  <div class="yard" :class="{ aside: chosen }">
    <header>
      <h1>{{ site }}</h1>
      <p class="soft">{{ summary }}</p>
      <label class="sr" for="filter">Filter</label>
      <input id="filter" v-model="text" class="field" type="search" placeholder="tag, kind, place…" />
      <button class="btn" :class="{ on: worstFirst }" :aria-pressed="worstFirst" @click="worstFirst = !worstFirst">
        Worst first
      </button>
      <button
        class="btn"
        :class="{ on: only === 'due' }"
        :aria-pressed="only === 'due'"
        @click="only = only === 'due' ? 'all' : 'due'"
      >
        Due in 8 weeks
      </button>
    </header>
    <p v-if="why" class="why say" role="alert">{{ why }} <button class="btn" @click="load">Try again</button></p>
    <p v-else-if="loading" class="say soft">Looking round the yard…</p>
    <p v-else-if="!all.length" class="say">
      There is no machine in the yard yet. Add one from the shell: <code>./needler machine add --help</code>.
    </p>
    <p v-else-if="!shown.length" class="say">
      Nothing in the yard fits that. <button class="btn" @click="showAll">Show all</button>
    </p>
    <div class="ground">
      <section v-for="area in shown" :key="area.id" :aria-label="area.name">
        <h2>
          {{ area.name }}<small class="soft">{{ counted(area.machines.length, 'machine') }}</small>
        </h2>
        <ul>
          <li v-for="one in area.machines" :key="one.tag">
            <MachineStand :machine="one" :chosen="one.tag === chosen" @choose="choose(one.tag)" />
          </li>
        </ul>
      </section>
    </div>
    <MachinePlate
      v-if="chosen"
      :key="chosen"
      :tag="chosen"
      :machine="all.find(one => one.tag === chosen)"
      @close="navigateTo({ query: {} })"
    />
  </div>
</template>

<style scoped>
.yard {
  flex: 1;
  display: grid;
  grid-template: auto auto 1fr / 1fr;
  align-content: start;
}
.yard.aside {
  grid-template-columns: 1fr 370px;
}
header {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 8px 16px;
  background: var(--chalk);
  border-bottom: 1px solid var(--line);
}
h1 {
  font-size: 24px;
}
header .field {
  width: 220px;
  margin-left: auto;
}
.say {
  padding: 16px;
}
.ground {
  grid-column: 1;
  grid-row: 3;
}
section {
  display: grid;
  grid-template-columns: 116px 1fr;
  border-bottom: 1px solid var(--line);
  padding: 10px 16px;
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
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(146px, 1fr));
  gap: 10px;
}
li {
  max-width: 210px;
}
@media (max-width: 1000px) {
  .yard.aside {
    grid-template-columns: 1fr;
  }
  section {
    grid-template-columns: 1fr;
    gap: 8px;
  }
  h2 small {
    display: inline;
    margin-left: 10px;
  }
  header .field {
    margin-left: 0;
    flex: 1;
  }
}
</style>
