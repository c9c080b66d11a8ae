<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import type { SignedInPerson } from '~~/shared/answers'

const emit = defineEmits<{ done: [] }>()
const session = useSessionStore()
const chosen = ref<string | null>(session.meant)
const given = reactive({ pin: '', admission: '' })
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.signInSchema, { pin: 'A PIN', admission: 'The code' })
const why = ref<string | null>(null)
const asking = ref(false)
/** They have come in with a PIN that somebody else knows: they choose their own. */
const isGiven = ref(false)
/** A lead may let them in on a device that is new to them. */
const asksAdmission = ref(false)
const code = ref('')
const entry = useTemplateRef<{ focus: () => void; select: () => void }>('entry')

onMounted(async () => {
  session.meant = null
  await session.lookAtDoor().catch(error => {
    why.value = sayWhy(error)
  })
  if (chosen.value) entry.value?.focus()
})

watch(chosen, () => {
  given.pin = ''
  given.admission = ''
  asksAdmission.value = false
  why.value = null
  form.value?.clearValidate()
  void nextTick(() => entry.value?.focus())
})

async function enter() {
  if (!chosen.value || asking.value) return
  why.value = null
  if (!(await form.value!.validate().catch(() => false))) return
  asking.value = true
  const answer = await session.signIn(chosen.value, given.pin, given.admission.trim())
  asking.value = false
  if (answer.who) {
    if (answer.who.pinIsOwn) emit('done')
    else isGiven.value = true
    return
  }
  why.value = answer.why
  asksAdmission.value ||= answer.admits
  void nextTick(() => entry.value?.select())
}
async function giveCode() {
  why.value = await session.giveCode(code.value.trim())
  if (!why.value) code.value = ''
}
function kept(who: SignedInPerson) {
  session.cameIn(who)
  emit('done')
}

const chosenName = computed(() => session.door?.people.find(one => one.id === chosen.value)?.name)
function stand() {
  const who = session.door?.people.find(one => one.id === chosen.value)
  if (!who) return
  session.standIn({ id: who.id, name: who.name, role: who.role })
  emit('done')
}
async function leave() {
  try {
    await session.signOut()
  } catch (error) {
    why.value = sayWhy(error)
  }
}
</script>

<template>
  <OwnPinForm v-if="isGiven || session.choosing" :given="isGiven ? given.pin : undefined" @done="kept" />
  <form v-else-if="session.door?.asksCode" class="pad" @submit.prevent="giveCode">
    <p>This device is new here. Give the code of the site once; a lead knows it.</p>
    <label class="label" for="code">Code of the site</label>
    <el-input id="code" v-model="code" autocomplete="off" maxlength="60" />
    <el-button type="primary" native-type="submit">Go on</el-button>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
  </form>
  <el-form v-else ref="form" :model="given" class="pad" label-position="top" @submit.prevent="enter">
    <NameChoice v-model="chosen" :people="session.door?.people ?? []" />
    <template v-if="chosen && !session.reached">
      <p>
        Not connected, so no PIN can be asked for. What {{ chosenName }} does waits on this device, marked unverified,
        until they sign in or a lead vouches for it. Signatures have to wait for the network.
      </p>
      <el-button type="primary" @click="stand">{{ chosenName }} stands here</el-button>
    </template>
    <template v-else-if="chosen">
      <el-form-item
        v-if="asksAdmission"
        prop="admission"
        :rules="rules.admission"
        label="Code from a lead, for a device that is new to you"
      >
        <el-input v-model="given.admission" class="figures" autocomplete="off" maxlength="20" placeholder="K7RX 4M2P" />
      </el-form-item>
      <PinKeys
        ref="entry"
        v-model="given.pin"
        prop="pin"
        label="PIN"
        verb="Sign in"
        :rules="rules.pin"
        :length="asksAdmission ? undefined : session.door?.site.pinLength"
        :disabled="asking"
        @whole="enter"
      />
    </template>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <div v-if="session.person && session.reached" class="more">
      <el-button text @click="session.choosing = true">Change my PIN</el-button>
      <el-button text @click="leave">Sign out of this device</el-button>
    </div>
  </el-form>
</template>

<style scoped>
.pad {
  display: grid;
  gap: 12px;
}
.more {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
}
</style>
