<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import type { SignedInPerson } from '~~/shared/answers'
import type { ToSign } from '~/stores/signing'

/** Who signs, and their PIN: the second pair of eyes signs on this device, which stays whose it is. */
const props = defineProps<{ what: ToSign }>()
const emit = defineEmits<{ end: [isSigned: boolean] }>()
const session = useSessionStore()
const signers = shallowRef<SignedInPerson[]>([])
const chosen = ref<string | null>(null)
const given = reactive({ pin: '' })
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.signInSchema, { pin: 'A PIN' })
const why = ref<string | null>(null)
const asking = ref(false)
const pad = useTemplateRef<{ focus: () => void; select: () => void }>('pad')
const may = computed(() => signers.value.filter(one => props.what.refuses(one) === null))
const who = computed(() => may.value.find(one => one.id === chosen.value) ?? null)
/** Where nobody may: what stands in the way of those who would be the right ones, or of whoever is here. */
const nearest = computed(() => {
  const right = signers.value.find(one => props.what.isFor(one))
  return (right && props.what.refuses(right)) ?? notI.value ?? 'Nobody here may sign this.'
})
/** Why whoever is here does not sign it themselves. */
const notI = computed(() => {
  const me = signers.value.find(one => one.id === session.person?.id)
  return me ? props.what.refuses(me) : null
})

onMounted(async () => {
  try {
    ;[signers.value] = await Promise.all([
      $fetch<SignedInPerson[]>('/api/signers'),
      session.door ? null : session.lookAtDoor().catch(() => {}),
    ])
    if (may.value.some(one => one.id === session.person?.id)) chosen.value = session.person!.id
    else if (may.value.length === 1) chosen.value = may.value[0]!.id
  } catch (error) {
    why.value = sayWhy(error)
  }
})
watch(chosen, () => {
  given.pin = ''
  why.value = null
  void nextTick(() => pad.value?.focus())
})

async function sign() {
  if (!who.value || asking.value) return
  why.value = null
  if (!(await form.value!.validate().catch(() => false))) return
  asking.value = true
  why.value = await props.what.sign(who.value, given.pin)
  asking.value = false
  given.pin = ''
  if (!why.value) emit('end', true)
  else void nextTick(() => pad.value?.focus())
}
</script>

<template>
  <el-form ref="form" :model="given" class="signer" label-position="top" data-test="signer" @submit.prevent="sign">
    <SignedFor v-if="what.list" :list="what.list" />
    <p v-if="notI && may.length" class="soft">{{ notI }}</p>
    <NameChoice v-model="chosen" :people="may" />
    <p v-if="signers.length && !may.length" class="why" role="alert">{{ nearest }}</p>
    <PinKeys
      v-if="who"
      ref="pad"
      v-model="given.pin"
      prop="pin"
      :label="`PIN of ${who.name}`"
      verb="Sign"
      :rules="rules.pin"
      :length="session.door?.site.pinLength"
      :disabled="asking"
      @whole="sign"
    />
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <el-button text @click="$emit('end', false)">Leave it unsigned</el-button>
  </el-form>
</template>

<style scoped>
.signer {
  display: grid;
  gap: 12px;
}
</style>
