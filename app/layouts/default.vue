<script setup lang="ts">
const session = useSessionStore()
const signing = useSigningStore()
const { toggleSystem } = useDisplay()
const helping = ref(false)
const finding = ref(false)
// Fetched when somebody first asks for it, and there from then on.
const wasFinding = computed((before?: boolean) => before || finding.value)
const wasHelping = computed((before?: boolean) => before || helping.value)
// The network may go before somebody looks for something.
useTimeoutFn(() => void import('~/components/frame/FindAnything.vue').catch(() => {}), 4000)

useKeys({
  'g y': () => navigateTo('/'),
  'g b': () => navigateTo('/bench'),
  'g r': () => navigateTo('/gauge-room'),
  '/': () => {
    finding.value = true
  },
  'i': toggleSystem,
  '?': () => {
    helping.value = !helping.value
  },
})
</script>

<template>
  <div class="house">
    <TopBar v-if="session.person" @find="finding = true" @help="helping = true" />
    <main class="room">
      <slot />
    </main>
    <LazyFindAnything v-if="wasFinding" v-model="finding" />
    <LazyKeyList v-if="wasHelping" v-model="helping" />
    <!-- The second tap of a double one lands beside what the first has opened: it shuts nothing. -->
    <el-dialog
      v-model="session.changing"
      :title="session.choosing ? 'Choose your own PIN' : 'Who is here?'"
      width="440"
      align-center
      append-to-body
      :close-on-click-modal="false"
      @closed="session.choosing = false"
    >
      <LazySignInPad v-if="session.changing" @done="session.changing = false" />
    </el-dialog>
    <el-dialog
      :model-value="signing.asked !== null"
      :title="signing.asked?.title"
      width="440"
      align-center
      append-to-body
      :close-on-click-modal="false"
      @close="signing.end(false)"
    >
      <LazySignerDialog v-if="signing.asked" :what="signing.asked" @end="signing.end" />
    </el-dialog>
  </div>
</template>

<style scoped>
.house {
  min-height: 100vh;
  display: flex;
  flex-direction: column;
}
.room {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
</style>
