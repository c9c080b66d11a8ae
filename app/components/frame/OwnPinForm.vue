<script setup lang="ts">
import type { SignedInPerson } from '~~/shared/answers'
import { sentenceOf } from '~~/core/refusal'
import { pinFault } from '~~/shared/pins'

/** Somebody chooses the PIN that only they know. */
const props = defineProps<{
  /** The one they have, where it was given just now; asked for otherwise. */
  given?: string
}>()
const emit = defineEmits<{ done: [who: SignedInPerson] }>()
const session = useSessionStore()
const typed = reactive({ pin: props.given ?? '', next: '' })
const first = ref<string | null>(null)
const isAsking = ref(false)
const why = ref<string | null>(null)
const length = computed(() => session.door?.site.pinLength ?? 6)
const STAGES = { pin: 'The PIN you have', next: 'A new PIN, which only you know', again: 'The same once more' }
const stage = ref<keyof typeof STAGES>(props.given ? 'next' : 'pin')
const pad = useTemplateRef<{ focus: () => void }>('pad')
const value = computed({
  get: () => (stage.value === 'pin' ? typed.pin : typed.next),
  set: text => {
    if (stage.value === 'pin') typed.pin = text
    else typed.next = text
  },
})
onMounted(() => {
  void nextTick(() => pad.value?.focus())
  if (!session.door) void session.lookAtDoor().catch(() => {})
})

function to(next: keyof typeof STAGES, reason: string | null = null) {
  stage.value = next
  why.value = reason
  if (next !== 'again') first.value = null
  typed.next = ''
  void nextTick(() => pad.value?.focus())
}
async function go() {
  if (isAsking.value) return
  why.value = null
  if (stage.value === 'pin') return typed.pin ? to('next') : undefined
  if (first.value === null) {
    const fault = pinFault(typed.next, length.value, typed.pin)
    if (fault) return to('next', sentenceOf(fault))
    first.value = typed.next
    return to('again')
  }
  if (first.value !== typed.next) return to('next', 'The two were not the same. Choose it again.')
  isAsking.value = true
  try {
    const who = await $fetch<SignedInPerson>('/api/pin', { method: 'POST', body: { ...typed } })
    emit('done', who)
  } catch (error) {
    to(props.given ? 'next' : 'pin', sayWhy(error))
  } finally {
    isAsking.value = false
  }
}
</script>

<template>
  <el-form :model="{ pin: value }" class="own" label-position="top" data-test="own-pin" @submit.prevent="go">
    <p v-if="given">
      The PIN you were given opens only this: choose one of your own, of
      {{ length === 8 ? 8 : `${length} to 8` }} figures. Nobody else is ever told it, and it is what you sign with.
    </p>
    <PinKeys
      ref="pad"
      v-model="value"
      prop="pin"
      :label="STAGES[stage]"
      :verb="stage === 'again' ? 'Keep it' : 'Next'"
      :disabled="isAsking"
    />
    <p v-if="why" class="why" role="alert">{{ why }}</p>
  </el-form>
</template>

<style scoped>
.own {
  display: grid;
  gap: 12px;
}
</style>
