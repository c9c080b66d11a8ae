<script setup lang="ts">
import type { SiteSettings, YardArea } from '~~/shared/answers'
import { askOrKept } from '~/device/answers'
import { dueOn, SOON_WEEKS } from '~/say/due'

definePageMeta({ asks: ['/api/yard', '/api/site'] })

const areas = shallowRef<YardArea[]>([])
const site = ref('Yard')
const why = ref<string | null>(null)
const loading = ref(true)
const keptAt = ref<string | null>(null)
const text = useLocalStorage('needler-yard-filter', '')
const only = useLocalStorage<'all' | 'due'>('needler-yard-only', 'all')
const worstFirst = useLocalStorage('needler-yard-worst', false)
const route = useRoute()
/** The machine whose plate is open; the address follows, and leads. */
const chosen = ref<string | null>(null)
watch(
  () => route.query.machine,
  asked => {
    chosen.value = typeof asked === 'string' ? asked : null
  },
  { immediate: true },
)
function choose(tag: string) {
  chosen.value = tag
  return navigateTo({ query: { machine: tag } })
}

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

/** What comes first lies over the yard on a narrow screen: it makes room for what is looked for. */
const isSought = computed(() => text.value.trim() !== '' || only.value !== 'all')
/** A plate has no room beside the yard on a narrow screen: it lies over it. */
const isNarrow = useMediaQuery('(max-width: 1000px)')
function leave() {
  chosen.value = null
  return navigateTo({ query: {} })
}
const all = computed(() => areas.value.flatMap(area => area.machines))
const plated = computed(() => all.value.find(one => one.tag === chosen.value))
/** What a machine is found by, put together once. */
const words = computed(
  () =>
    new Map(
      areas.value.flatMap(area =>
        area.machines.map(one => [one, `${one.tag} ${one.name} ${one.line} ${one.family} ${area.name}`.toLowerCase()]),
      ),
    ),
)
const used = (one: YardArea['machines'][number]) => (one.worst?.verdict === 'Out' ? 2 : (one.worst?.share ?? -1))
/** By tag as it is read: P-2 before P-10. */
const byTag = new Intl.Collator('en', { numeric: true }).compare
const ordered = computed(() =>
  areas.value.map(area => ({
    ...area,
    machines: area.machines.toSorted((a, b) => (worstFirst.value ? used(b) - used(a) : byTag(a.tag, b.tag))),
  })),
)
const shown = computed(() => {
  const sought = text.value.trim().toLowerCase()
  return ordered.value
    .map(area => ({
      ...area,
      machines: area.machines.filter(
        one =>
          words.value.get(one)!.includes(sought) &&
          (only.value === 'all' || (dueOn(one)[0]?.next.weeks ?? 99) <= SOON_WEEKS),
      ),
    }))
    .filter(area => area.machines.length)
})
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
      <el-checkbox-button v-model="only" true-value="due" false-value="all"
        >Due in {{ SOON_WEEKS }} weeks</el-checkbox-button
      >
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
    <YardGround class="ground" :areas="shown" :chosen="chosen" @choose="choose" />
    <el-drawer
      v-if="isNarrow"
      :model-value="chosen !== null"
      :with-header="false"
      size="min(430px, 94vw)"
      append-to-body
      @close="leave"
    >
      <LazyMachinePlate v-if="chosen" :key="chosen" :tag="chosen" :machine="plated" @close="leave" @hours="load" />
    </el-drawer>
    <LazyMachinePlate v-else-if="chosen" :key="chosen" :tag="chosen" :machine="plated" @close="leave" @hours="load" />
    <YardNext
      v-if="all.length && (isNarrow ? !isSought : !chosen)"
      :machines="all"
      :most="isNarrow ? 4 : 5"
      @choose="choose"
      @worst="worstFirst = true"
    />
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
/* The plate of a machine far down the yard is beside it, whole. */
.yard > :deep(.plate) {
  position: sticky;
  top: 0;
  align-self: start;
  min-height: min(100%, 100vh);
  max-height: 100vh;
  overflow-y: auto;
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
  header > :deep(.el-input) {
    margin-left: 0;
    flex: 1 0 220px;
  }
}
</style>
