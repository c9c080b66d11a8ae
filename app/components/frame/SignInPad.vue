<script setup lang="ts">
import type { FormInstance } from 'element-plus'

const emit = defineEmits<{ done: [] }>()
const session = useSessionStore()
const chosen = ref<string | null>(null)
const given = reactive({ pin: '', code: '' })
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.signInSchema, { pin: 'A PIN', code: 'Code of the site' })
const why = ref<string | null>(null)
const asking = ref(false)
const entry = useTemplateRef<{ focus: () => void; select: () => void }>('entry')

onMounted(() =>
  session.lookAtDoor().catch(error => {
    why.value = sayWhy(error)
  }),
)

function choose(id: string) {
  chosen.value = id
  given.pin = ''
  why.value = null
  form.value?.clearValidate()
  void nextTick(() => entry.value?.focus())
}

async function enter() {
  if (!chosen.value || asking.value) return
  why.value = null
  if (!(await form.value!.validate().catch(() => false))) return
  asking.value = true
  why.value = await session.signIn(chosen.value, given.pin, given.code.trim())
  asking.value = false
  if (!why.value) emit('done')
  else void nextTick(() => entry.value?.select())
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

/** A new PIN has the site's length; one given before that was changed may be shorter, and is entered by the button. */
const length = computed(() => session.door?.site.pinLength ?? 4)
const whole = () => given.pin.length === length.value && (!session.door?.asksCode || given.code.trim())
function press(key: string) {
  given.pin = key === '⌫' ? given.pin.slice(0, -1) : (given.pin + key).slice(0, 8)
  if (whole() && key !== '⌫') void enter()
}
</script>

<template>
  <el-form ref="form" :model="given" class="pad" label-position="top" @submit.prevent="enter">
    <ul class="names" aria-label="Your name">
      <li v-for="one in session.door?.people" :key="one.id">
        <el-button
          class="name"
          :class="{ on: one.id === chosen }"
          :aria-pressed="one.id === chosen"
          @click="choose(one.id)"
        >
          {{ one.name }} <small>{{ one.role }}</small>
        </el-button>
      </li>
    </ul>
    <template v-if="chosen && !session.reached">
      <p>
        Not connected, so no PIN can be asked for. What {{ chosenName }} does waits on this device, marked unverified,
        until they sign in or a lead vouches for it. Signatures have to wait for the network.
      </p>
      <el-button type="primary" @click="stand">{{ chosenName }} stands here</el-button>
    </template>
    <template v-else-if="chosen">
      <el-form-item
        v-if="session.door?.asksCode"
        prop="code"
        :rules="rules.code"
        label="Code of the site, since this device is new here"
      >
        <el-input v-model="given.code" autocomplete="off" maxlength="60" />
      </el-form-item>
      <el-form-item prop="pin" :rules="rules.pin" label="PIN">
        <el-input
          ref="entry"
          v-model="given.pin"
          class="figures pin"
          type="password"
          inputmode="numeric"
          autocomplete="off"
          maxlength="8"
          @input="whole() && enter()"
        />
      </el-form-item>
      <div class="keys" aria-label="PIN keypad">
        <el-button
          v-for="key in ['1', '2', '3', '4', '5', '6', '7', '8', '9', '⌫', '0']"
          :key="key"
          class="figures"
          :aria-label="key === '⌫' ? 'Take back' : key"
          @click="press(key)"
        >
          {{ key }}
        </el-button>
        <el-button type="primary" native-type="submit" :disabled="asking">Sign in</el-button>
      </div>
    </template>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <el-button v-if="session.person && session.reached" text @click="leave">Sign out of this device</el-button>
  </el-form>
</template>

<style scoped>
.pad {
  display: grid;
  gap: 12px;
}
.names {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.names .name {
  width: 100%;
  min-height: 56px;
}
.names .name > :deep(span) {
  flex-direction: column;
  gap: 1px;
}
.names .on {
  background: var(--blue-wash);
}
.names small {
  font: 400 15px var(--words);
}
.pin :deep(.el-input__inner) {
  font-size: 28px;
  letter-spacing: 0.3em;
  text-align: center;
}
.keys {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.keys .el-button {
  min-height: 54px;
  font-size: 22px;
}
.keys .el-button--primary {
  font-size: 19px;
}
</style>
