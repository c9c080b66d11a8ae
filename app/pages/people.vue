<script setup lang="ts">
import { ROLES, type Role } from '~~/core/job/ledger/roles'
import type { FormInstance } from 'element-plus'
import type { NewPin, PersonRow, SiteSettings } from '~~/shared/answers'

const session = useSessionStore()
const people = shallowRef<PersonRow[] | null>(null)
const site = shallowRef<SiteSettings | null>(null)
const why = ref<string | null>(null)
const said = ref<string | null>(null)
const fresh = ref<{ name: string; role: Role }>({ name: '', role: 'fitter' })
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.newPersonSchema, { name: 'The name', role: 'The role' })

/** Does something and says what came of it; a PIN is shown once, here and now. */
async function tell(act: () => Promise<string | null>) {
  why.value = null
  said.value = null
  try {
    said.value = await act()
    people.value = await $fetch<PersonRow[]>('/api/people')
  } catch (error) {
    why.value = sayWhy(error)
  }
}
const pinWords = (name: string, pin: string) =>
  `The PIN of ${name} is ${pin}. It is shown only now, and opens only the choosing of their own.`

onMounted(() =>
  tell(async () => {
    site.value = await $fetch<SiteSettings>('/api/site')
    return null
  }),
)
async function add() {
  if (!(await form.value!.validate().catch(() => false))) return
  await tell(async () => {
    const { person, pin } = await $fetch<NewPin>('/api/people', { method: 'POST', body: fresh.value })
    fresh.value = { name: '', role: 'fitter' }
    return pinWords(person.name, pin)
  })
}
const change = (person: PersonRow, body: Record<string, unknown>) =>
  tell(async () => {
    const answer = await $fetch<{ pin: string | null; code: string | null }>(`/api/people/${person.id}`, {
      method: 'PATCH',
      body,
    })
    if (body.competences && person.id === session.person?.id) await session.ask()
    return answer.pin
      ? pinWords(person.name, answer.pin)
      : answer.code
        ? `${person.name} comes in on a device that is new to them with the code ${answer.code}, once, within a quarter of an hour.`
        : body.open
          ? `${person.name} is unlocked and may try again.`
          : `Changed: ${person.name}. It counts from the next press.`
  })
const changeSite = (body: Record<string, unknown>) =>
  tell(async () => {
    site.value = await $fetch<SiteSettings>('/api/site', { method: 'PATCH', body })
    return 'Saved.'
  })
</script>

<template>
  <div class="people">
    <h1>People</h1>
    <p v-if="!session.isLead" class="why" role="alert">A lead sees to people. Change who is here at the top right.</p>
    <template v-else>
      <el-alert v-if="said" :title="said" type="success" :closable="false" show-icon data-test="said" />
      <el-alert v-if="why" :title="why" type="error" :closable="false" show-icon role="alert" />
      <el-form ref="form" :model="fresh" class="card fresh" @submit.prevent="add">
        <el-form-item prop="name" :rules="rules.name">
          <el-input v-model="fresh.name" aria-label="Name of somebody new" maxlength="60" placeholder="A. Name" />
        </el-form-item>
        <el-form-item prop="role" :rules="rules.role">
          <el-select v-model="fresh.role" aria-label="Role of somebody new">
            <el-option v-for="role in ROLES" :key="role" :value="role" :label="role" />
          </el-select>
        </el-form-item>
        <el-button class="add" type="primary" native-type="submit">Add</el-button>
      </el-form>
      <p v-if="people === null && !why" class="soft">Looking who is here…</p>
      <ul>
        <PersonLine
          v-for="one in people ?? []"
          :key="one.id"
          :person="one"
          :is-self="one.id === session.person?.id"
          @change="body => change(one, body)"
        />
      </ul>
      <h2>Site</h2>
      <SiteForm v-if="site" :key="JSON.stringify(site)" :site="site" @change="changeSite" />
    </template>
  </div>
</template>

<style scoped>
.people {
  padding: 18px 16px;
  max-width: 1000px;
  width: 100%;
  display: grid;
  gap: 12px;
  align-content: start;
}
h1 {
  font-size: 28px;
}
h2 {
  font-size: 22px;
  margin-top: 10px;
}
.fresh {
  display: grid;
  grid-template-columns: 1fr 150px 440px;
  gap: 12px;
  padding: 10px 14px;
  align-items: center;
}
ul {
  display: grid;
  gap: 8px;
}
.add {
  justify-self: start;
}
@media (max-width: 860px) {
  .fresh {
    grid-template-columns: 1fr 150px auto;
  }
}
</style>
