<script setup lang="ts">
import type { KnownDevice } from '~~/shared/answers'

/** The devices that somebody has signed in on: a lost one is taken away here, and a new one let in. */
const props = defineProps<{ person: { id: string; name: string } }>()
defineEmits<{ unlock: []; admit: [] }>()
const devices = shallowRef<KnownDevice[] | null>(null)
const asking = ref<string | null>(null)
const why = ref<string | null>(null)
const path = `/api/people/${props.person.id}/devices`

async function tell(act: () => Promise<KnownDevice[]>) {
  why.value = null
  try {
    devices.value = await act()
  } catch (error) {
    why.value = sayWhy(error)
  }
  asking.value = null
}
onMounted(() => tell(() => $fetch<KnownDevice[]>(path)))
const take = (id: string) => tell(() => $fetch<KnownDevice[]>(`${path}/${id}`, { method: 'DELETE' }))

/** What a browser says it runs on and is, in two words. */
function aboutWords(about: string): string {
  const system = /\(([^;)]+)/.exec(about)?.[1] ?? ''
  const browser = [...about.matchAll(/(Firefox|Edg|Chrome|Safari)\//g)].at(0)?.[1] ?? ''
  return (
    [system === 'X11' ? 'Linux' : system, browser === 'Edg' ? 'Edge' : browser].filter(Boolean).join(', ') || 'a device'
  )
}
</script>

<template>
  <div class="devices">
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <p v-else-if="devices === null" class="soft">Looking…</p>
    <p v-else-if="!devices.length" class="soft">{{ person.name }} has not signed in on any device yet.</p>
    <ul v-else>
      <li v-for="one in devices" :key="one.id">
        <span>
          <strong>{{ aboutWords(one.about) }}</strong>
          <small class="soft">first {{ siteTime(one.knownAt) }}, last {{ siteTime(one.usedAt) }}</small>
        </span>
        <template v-if="asking === one.id">
          <span>{{ person.name }} is signed out there.</span>
          <el-button type="danger" @click="take(one.id)">Take it away</el-button>
          <el-button @click="asking = null">Cancel</el-button>
        </template>
        <el-button v-else @click="asking = one.id">Lost</el-button>
      </li>
    </ul>
    <p class="acts">
      <el-button @click="$emit('unlock')">Unlock after wrong PINs</el-button>
      <el-button @click="$emit('admit')">Code for a new device</el-button>
    </p>
  </div>
</template>

<style scoped>
.devices {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  border-top: 1px solid var(--line);
  padding: 8px 0 2px;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 5px 0;
}
li > span:first-child {
  flex: 1;
}
small {
  display: block;
  font-size: 15px;
}
</style>
