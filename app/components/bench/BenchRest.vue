<script setup lang="ts">
/** After a rest the bench shows whose it is: one touch on one's own name goes on, another's name asks for the PIN. */
const REST_MS = 10 * 60_000
const session = useSessionStore()
const signing = useSigningStore()
const { idle, reset } = useIdle(REST_MS)
const isResting = ref(false)
watch(idle, isIdle => {
  if (!isIdle || !session.person || isResting.value) return
  // What was asked meanwhile is left: one question at a time.
  signing.end(false)
  session.changing = false
  isResting.value = true
  session.lookAtDoor().catch(() => {})
})
const others = computed(() => (session.door?.people ?? []).filter(one => one.id !== session.person?.id))
function goOn() {
  isResting.value = false
  reset()
}
function another(id: string) {
  session.meant = id
  session.changing = true
  goOn()
}
</script>

<template>
  <el-dialog
    v-model="isResting"
    title="Whose bench is this?"
    width="460"
    align-center
    append-to-body
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <div v-if="session.person" class="rest" data-test="rest">
      <p>Nothing was touched here for a while. What is done next stands under this name:</p>
      <el-button type="primary" class="mine" @click="goOn">I am {{ session.person.name }}: go on</el-button>
      <p v-if="others.length" class="soft">Somebody else, with their PIN:</p>
      <NameChoice :model-value="null" :people="others" @update:model-value="id => id && another(id)" />
    </div>
  </el-dialog>
</template>

<style scoped>
.rest {
  display: grid;
  gap: 12px;
}
.mine {
  min-height: 64px;
  font-size: 21px;
}
</style>
