<script setup lang="ts">
import type { OpenJob, YardArea } from '~~/shared/answers'
import type { Hit } from '~/stores/finder'

const open = defineModel<boolean>({ required: true })
const text = ref('')
const finder = useFinderStore()
const machines = shallowRef<Hit[]>([])
const sums = shallowRef<Hit[]>([])
const field = useTemplateRef<HTMLInputElement>('field')

watch(open, async now => {
  if (!now) return
  text.value = ''
  void nextTick(() => setTimeout(() => field.value?.focus(), 50))
  // The sums come only when somebody looks for one.
  void import('~~/core/sums').then(({ SUMS }) => {
    sums.value = SUMS.map(one => ({
      key: `g${one.name}`,
      name: one.title,
      kind: 'sum',
      go: () => navigateTo({ path: `/gauge-room/${one.craft}`, query: { sum: one.name } }),
    }))
  })
  const [areas, jobs] = await Promise.all([$fetch<YardArea[]>('/api/yard'), $fetch<OpenJob[]>('/api/jobs')]).catch(
    () => [[], []] as [YardArea[], OpenJob[]],
  )
  machines.value = [
    ...jobs.map(one => ({
      key: `j${one.id}`,
      name: `Job ${one.number}, ${one.tag} ${one.name}`,
      kind: 'job',
      go: () => navigateTo(`/bench/${one.id}`),
    })),
    ...areas
      .flatMap(area => area.machines)
      .map(one => ({
        key: `m${one.tag}`,
        name: `${one.tag} ${one.name}`,
        kind: 'machine',
        go: () => navigateTo({ path: '/', query: { machine: one.tag } }),
      })),
  ]
})
const hits = computed(() => {
  const words = text.value.trim().toLowerCase().split(/\s+/)
  return [...finder.here, ...machines.value, ...sums.value]
    .filter(one => words.every(word => `${one.name} ${one.kind}`.toLowerCase().includes(word)))
    .slice(0, 12)
})
function pick(hit: Hit | undefined) {
  if (!hit) return
  open.value = false
  void hit.go()
}
</script>

<template>
  <el-dialog v-model="open" title="Find" width="560" append-to-body>
    <form @submit.prevent="pick(hits[0])">
      <label class="sr" for="find">Machine, job, step, part, reading or sum</label>
      <input
        id="find"
        ref="field"
        v-model="text"
        class="field"
        type="search"
        autocomplete="off"
        placeholder="machine, job, step, part, reading, sum"
      />
    </form>
    <ul class="hits">
      <li v-for="hit in hits" :key="hit.key">
        <button @click="pick(hit)">
          <span>{{ hit.name }}</span>
          <span class="soft">{{ hit.kind }}</span>
        </button>
      </li>
      <li v-if="!hits.length" class="soft none">Nothing fits. Try a tag or a part's name.</li>
    </ul>
  </el-dialog>
</template>

<style scoped>
.hits {
  margin-top: 10px;
}
.hits li {
  border-top: 1px solid var(--line);
}
.hits button {
  width: 100%;
  min-height: 48px;
  border: 0;
  background: none;
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  cursor: pointer;
  text-align: left;
}
.none {
  padding: 12px 0;
}
</style>
