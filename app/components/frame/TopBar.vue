<script setup lang="ts">
import { Moon, QuestionFilled, Search, Sunny, Timer } from '@element-plus/icons-vue'

defineEmits<{ find: []; help: [] }>()
const session = useSessionStore()
const waits = useWaitsStore()
const { system, dark, toggleSystem } = useDisplay()
const PLACES = computed(() => [
  { to: '/', name: 'Yard', starts: /^\/($|machines)/ },
  { to: '/bench', name: 'Bench', starts: /^\/bench/ },
  { to: '/gauge-room', name: 'Gauge room', starts: /^\/gauge-room/ },
  ...(session.isLead ? [{ to: '/people', name: 'People', starts: /^\/people/ }] : []),
])
const route = useRoute()
/** A newer version waits until it is asked for: nobody loses a half-typed figure to it. */
const { $pwa } = useNuxtApp()
</script>

<template>
  <header class="bar no-print">
    <NuxtLink to="/" class="mark" aria-label="Needler, to the yard">
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
        <circle cx="13" cy="13" r="11" fill="none" stroke="#e0b75f" stroke-width="2" />
        <path d="M13 13 20 6" stroke="#fff" stroke-width="2.4" stroke-linecap="round" />
        <circle cx="13" cy="13" r="2" fill="#fff" />
      </svg>
      <span class="wide">Needler</span>
    </NuxtLink>
    <nav aria-label="Places">
      <NuxtLink
        v-for="place in PLACES"
        :key="place.to"
        :to="place.to"
        :class="{ on: place.starts.test(route.path) }"
        :aria-current="place.starts.test(route.path) ? 'page' : undefined"
        >{{ place.name }}</NuxtLink
      >
    </nav>
    <div class="right">
      <el-button v-if="$pwa?.needRefresh" class="chip newer" @click="$pwa.updateServiceWorker(true)">
        Change to the newer version
      </el-button>
      <el-button
        v-if="waits.running.length"
        class="chip waits"
        :class="{ over: waits.over.length }"
        data-test="waiting"
        :aria-label="`${counted(waits.running.length, 'wait')}, ${waits.over.length} over; show them`"
        @click="navigateTo('/bench')"
      >
        <el-icon>
          <Timer />
        </el-icon>
        <span class="figures">{{ waits.over.length || waits.running.length }}</span>
        <span v-if="waits.over.length" class="wide">over</span>
      </el-button>
      <el-button class="chip" @click="$emit('find')">
        <el-icon>
          <Search />
        </el-icon>
        <span class="wide">Find</span> <kbd>/</kbd>
      </el-button>
      <el-button
        class="chip"
        :aria-label="`Lengths in ${system === 'mm' ? 'millimetres' : 'inches'}; change`"
        data-test="lengths"
        @click="toggleSystem"
      >
        {{ system === 'mm' ? 'mm' : 'inch' }} <kbd class="wide">i</kbd>
      </el-button>
      <el-button class="chip" :aria-label="dark ? 'Light bench' : 'Dark bench'" data-test="theme" @click="dark = !dark">
        <el-icon>
          <Sunny v-if="dark" />
          <Moon v-else />
        </el-icon>
      </el-button>
      <el-button class="chip" aria-label="Keys" @click="$emit('help')">
        <el-icon>
          <QuestionFilled />
        </el-icon>
      </el-button>
      <el-button class="chip who" data-test="who" @click="session.changing = true">
        <span
          >{{ session.person?.name }}<template v-if="!session.verified"> · no PIN<i class="wide"> given</i></template
          ><i v-else class="wide"> · {{ session.person?.role }}</i></span
        >
      </el-button>
    </div>
  </header>
</template>

<style scoped>
.bar {
  min-height: 50px;
  background: var(--blue);
  color: var(--on-blue);
  display: flex;
  align-items: center;
  gap: 8px 20px;
  padding: 0 16px;
}
.mark {
  font: 600 23px var(--heads);
  letter-spacing: 0.02em;
  display: flex;
  align-items: center;
  gap: 9px;
  text-decoration: none;
  min-height: 48px;
}
nav {
  display: flex;
  align-self: stretch;
  gap: 4px;
}
nav a {
  font: 500 19px var(--heads);
  color: var(--on-blue-soft);
  text-decoration: none;
  padding: 0 12px;
  display: flex;
  align-items: center;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
}
nav a.on {
  color: var(--on-blue);
  border-bottom-color: #e0b75f;
}
.right {
  margin-left: auto;
  display: flex;
  gap: 8px;
  align-items: center;
}
.right .chip {
  min-height: 44px;
  min-width: 44px;
  color: var(--on-blue);
  box-shadow: inset 0 0 0 1px #6f88b4;
  padding: 0 11px;
  font: 500 16px var(--words);
  white-space: nowrap;
}
.right .chip:hover {
  background: #2c4b80;
}
/* The bar is blue by day and by night, and so is what stands on it. */
.right .waits.over {
  background: #1b6e5a;
}
.right .who {
  background: #2c4b80;
}
.who i {
  font-style: normal;
}
@media (max-width: 900px) {
  .wide,
  .chip kbd {
    display: none;
  }
  .bar {
    gap: 8px 10px;
  }
  nav a {
    padding: 0 8px;
    white-space: nowrap;
  }
  .right {
    gap: 6px;
  }
  .right .chip {
    padding: 0 8px;
  }
}
</style>
