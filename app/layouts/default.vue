<script setup lang="ts">
const session = useSessionStore()
const signing = useSigningStore()
const { toggleSystem } = useDisplay()
const helping = ref(false)
const finding = ref(false)
// Fetched when somebody first asks for it, and there from then on.
const wasFinding = computed((before?: boolean) => before || finding.value)
const wasHelping = computed((before?: boolean) => before || helping.value)
const wasChanging = computed((before?: boolean) => before || session.changing)
const wasSigning = computed((before?: boolean) => before || signing.asked !== null)
// The network may go before somebody looks for something, or another is here.
useTimeoutFn(
  () =>
    void Promise.allSettled([
      import('~/components/frame/FindAnything.vue'),
      import('~/components/frame/AskDialog.vue'),
      import('~/components/frame/SignInPad.vue'),
      // What a page before this one left to be sent.
      import('~/stores/photos').then(({ usePhotosStore }) => usePhotosStore().start()),
      import('~/stores/unsent').then(({ useUnsentStore }) => useUnsentStore().flush()),
    ]),
  4000,
)

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
    <LazyAskDialog
      v-if="wasChanging"
      v-model="session.changing"
      :title="session.choosing ? 'Choose your own PIN' : 'Who is here?'"
      @closed="session.choosing = false"
    >
      <LazySignInPad v-if="session.changing" @done="session.changing = false" />
    </LazyAskDialog>
    <LazyAskDialog
      v-if="wasSigning"
      :model-value="signing.asked !== null"
      :title="signing.asked?.title"
      @update:model-value="signing.end(false)"
    >
      <LazySignerDialog v-if="signing.asked" :what="signing.asked" @end="signing.end" />
    </LazyAskDialog>
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
