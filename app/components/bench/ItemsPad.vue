<script setup lang="ts">
/** What is put in for the time being that no sheet knows of: counted in, and out before anything is shut over it. */
const job = useJob()
const may = useMay()
const what = ref('')
const n = ref(1)
const out = ref<Record<string, number>>({})
const why = ref<string | null>(null)
const USUAL = ['rag', 'plug', 'wedge', 'tape', 'lamp', 'guide stud']
const inside = computed(() => [...job.state.items].map(([name, one]) => ({ name, ...one })))
function place() {
  why.value = what.value.trim()
    ? job.act({ kind: 'item.placed', payload: { what: what.value.trim(), n: n.value } })
    : 'Say what is put in.'
  if (why.value) return
  what.value = ''
  n.value = 1
}
function remove(name: string) {
  const count = out.value[name]
  why.value = count
    ? job.act({ kind: 'item.removed', payload: { what: name, n: count } })
    : `Count them: how many ${name} come out?`
  if (!why.value) out.value = { ...out.value, [name]: 0 }
}
</script>

<template>
  <PadFrame title="Left in the machine" :why="why">
    <ul tabindex="0" aria-label="Still in">
      <li v-for="one in inside" :key="one.name">
        <span
          ><strong>{{ one.n }} × {{ one.name }}</strong>
          <span class="soft"> since {{ siteClock(one.at) }}, {{ job.names.get(one.by) }}</span>
        </span>
        <el-input-number
          :model-value="out[one.name] ?? 0"
          :min="0"
          :max="99"
          :aria-label="`How many ${one.name} come out`"
          @change="count => (out = { ...out, [one.name]: Number(count) })"
        />
        <el-button :disabled="!may('item.removed')" @click="remove(one.name)">Out</el-button>
      </li>
      <li v-if="!inside.length" class="soft">Nothing of your own is in the machine.</li>
    </ul>
    <form class="put" @submit.prevent="place">
      <el-input v-model="what" maxlength="80" placeholder="rag in the suction…" aria-label="What is put in" />
      <el-input-number v-model="n" :min="1" :max="99" value-on-clear="min" aria-label="How many go in" />
      <el-button type="primary" native-type="submit" data-test="item-in" :disabled="!may('item.placed')">In</el-button>
      <span class="usual">
        <el-button v-for="one in USUAL" :key="one" size="small" @click="what = one">{{ one }}</el-button>
      </span>
    </form>
  </PadFrame>
</template>

<style scoped>
li,
.put {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  padding: 6px 0;
}
li > :first-child,
.put > :first-child {
  flex: 1;
  min-width: 150px;
}
.usual {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  flex-basis: 100%;
}
</style>
