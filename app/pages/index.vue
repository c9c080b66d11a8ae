<script setup lang="ts">
import type { SiteSettings, YardArea } from '~~/shared/answers'
import { askOrKept } from '~/device/answers'

const areas = shallowRef<YardArea[]>([])
const site = ref('Yard')
const why = ref<string | null>(null)
const loading = ref(true)
const keptAt = ref<string | null>(null)
const text = useLocalStorage('needler-yard-filter', '')
const only = useLocalStorage<'all' | 'due'>('needler-yard-only', 'all')
const worstFirst = useLocalStorage('needler-yard-worst', false)
const route = useRoute()
const chosen = computed(() => (typeof route.query.machine === 'string' ? route.query.machine : null))
const choose = (tag: string) => navigateTo({ query: { machine: tag } })

async function load() {
  try {
    const [yard, settings] = await Promise.all([
      askOrKept<YardArea[]>('/api/yard'),
      askOrKept<SiteSettings>('/api/site'),
    ])
    areas.value = yard.value
    keptAt.value = yard.keptAt
    site.value = settings.value.name
    why.value = null
  } catch (error) {
    why.value = sayWhy(error)
  } finally {
    loading.value = false
  }
}
onMounted(load)

/** A plate has no room beside the yard on a narrow screen: it lies over it. */
const isNarrow = useMediaQuery('(max-width: 1000px)')
const leave = () => navigateTo({ query: {} })
const all = computed(() => areas.value.flatMap(area => area.machines))
const plated = computed(() => all.value.find(one => one.tag === chosen.value))
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
  <div class="yard">
    <header>
      <h1>{{ site }}</h1>
      <p class="soft">{{ summary }}<KeptAt :at="keptAt" /></p>
      <el-input
        id="filter"
        v-model="text"
        aria-label="Filter"
        clearable
        type="search"
        placeholder="tag, kind, place…"
      />
      <el-checkbox-button v-model="worstFirst">Worst first</el-checkbox-button>
      <el-checkbox-button v-model="only" true-value="due" false-value="all">Due in 8 weeks</el-checkbox-button>
    </header>
    <p v-if="why" class="why say" role="alert">{{ why }} <el-button @click="load">Try again</el-button></p>
    <div v-else-if="loading" class="say" role="status" aria-label="Loading machines…">
      <p class="soft">Loading machines…</p>
      <el-skeleton :rows="6" animated />
    </div>
    <p v-else-if="!all.length" class="say">
      There is no machine in the yard yet. Add one from the shell: <code>./needler machine add --help</code>.
    </p>
    <p v-else-if="!shown.length" class="say">
      Nothing in the yard fits that. <el-button @click="showAll">Show all</el-button>
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
    <el-drawer
      v-if="isNarrow"
      :model-value="chosen !== null"
      :with-header="false"
      size="min(430px, 94vw)"
      append-to-body
      @close="leave"
    >
      <LazyMachinePlate v-if="chosen" :key="chosen" :tag="chosen" :machine="plated" @close="leave" />
    </el-drawer>
    <LazyMachinePlate v-else-if="chosen" :key="chosen" :tag="chosen" :machine="plated" @close="leave" />
    <YardNext v-else-if="all.length" :machines="all" @choose="choose" />
  </div>
</template>

<style scoped>
.yard {
  flex: 1;
  display: grid;
  grid-template: auto auto 1fr / 1fr 370px;
  align-content: start;
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
header > :deep(.el-input) {
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
  grid-template-columns: repeat(auto-fill, minmax(138px, 1fr));
  gap: 10px;
}
li {
  max-width: 210px;
}
@media (max-width: 1000px) {
  .yard {
    grid-template-columns: 1fr;
  }
  .yard > :deep(.next) {
    grid-column: 1;
    grid-row: 2;
    border: 0;
  }
  section {
    grid-template-columns: 1fr;
    gap: 8px;
  }
  h2 small {
    display: inline;
    margin-left: 10px;
  }
  header > :deep(.el-input) {
    margin-left: 0;
    flex: 1;
  }
}
</style>
