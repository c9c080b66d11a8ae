<script setup lang="ts">
import type { OpenJob, YardArea } from '~~/shared/answers'
import type { Hit } from '~/stores/finder'
import { askOrKept } from '~/device/answers'

const open = defineModel<boolean>({ required: true })
const text = ref('')
const finder = useFinderStore()
const machines = shallowRef<Hit[]>([])
const sums = shallowRef<Hit[]>([])
const field = useTemplateRef<{ focus: () => void; getData: (query: string) => unknown }>('field')

watch(
  open,
  async now => {
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
    const [areas, jobs] = await Promise.all([
      askOrKept<YardArea[]>('/api/yard').then(
        answer => answer.value,
        () => [],
      ),
      askOrKept<OpenJob[]>('/api/jobs').then(
        answer => answer.value,
        () => [],
      ),
    ])
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
  },
  { immediate: true },
)
/** What fits every word, twelve at most: arrow keys and Enter choose. */
function hitsOf(query: string): Hit[] {
  const words = query.trim().toLowerCase().split(/\s+/)
  return [...finder.here, ...machines.value, ...sums.value]
    .filter(one => words.every(word => `${one.name} ${one.kind}`.toLowerCase().includes(word)))
    .slice(0, 12)
}
const fitting = (query: string, show: (hits: Hit[]) => void) => show(hitsOf(query))
const isNone = computed(() => text.value.trim() !== '' && machines.value.length > 0 && !hitsOf(text.value).length)
// What came after the last key was typed is among what is offered, too.
watch([() => finder.here, machines, sums], () => {
  if (open.value && text.value) void field.value?.getData(text.value)
})
/** Gone to once the dialog is shut: only then may a field of the page take the keys. */
let picked: Hit | null = null
function pick(hit: Record<string, unknown>) {
  picked = hit as unknown as Hit
  open.value = false
}
function leave() {
  void picked?.go()
  picked = null
}
</script>

<template>
  <el-dialog v-model="open" title="Find" width="560" append-to-body @closed="leave">
    <el-autocomplete
      ref="field"
      v-model="text"
      class="find"
      :fetch-suggestions="fitting"
      value-key="name"
      highlight-first-item
      :debounce="50"
      :teleported="false"
      fit-input-width
      placeholder="machine, job, step, part, reading, sum"
      aria-label="Machine, job, step, part, reading or sum"
      @select="pick"
    >
      <template #default="{ item }">
        <span class="hit">
          <span>{{ item.name }}</span>
          <span class="soft">{{ item.kind }}</span>
        </span>
      </template>
    </el-autocomplete>
    <p v-if="isNone" class="soft none">
      Nothing under “{{ text.trim() }}”. Machines, jobs and sums are found everywhere; parts, steps and readings inside
      their job.
    </p>
    <p v-else class="soft none">Type a tag, a name or a number. Arrow keys and Enter choose.</p>
  </el-dialog>
</template>

<style scoped>
.find {
  width: 100%;
}
.hit {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
.none {
  padding-top: 12px;
  min-height: 300px;
}
</style>
