<script setup lang="ts">
import { OPENERS } from '~~/core/job/ledger/roles'
import type { FormInstance } from 'element-plus'
import type { MachineAnswer } from '~~/shared/answers'

/** What the meters of a machine show, its hours first: what is next follows from them. */
const props = defineProps<{ machine: MachineAnswer; counters: string[] }>()
const emit = defineEmits<{ read: [machine: MachineAnswer] }>()
const session = useSessionStore()
const isOpen = ref(false)
const { hoursRun, uses } = props.machine.equipment
const given = reactive({
  hoursRun: hoursRun as number | undefined,
  uses: Object.fromEntries(props.counters.map(of => [of, uses[of]])),
})
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.hoursSchema, { hoursRun: 'The hours' })
const why = ref<string | null>(null)
const may = computed(() => session.person !== null && OPENERS.includes(session.person.role))
const readWords = computed(() => {
  const { hoursRead } = props.machine
  return hoursRead ? `Read ${siteDay(hoursRead.at)} ${hoursRead.by ? `by ${hoursRead.by}` : 'in the shell'}.` : ''
})
async function keep() {
  why.value = null
  if (!(await form.value!.validate().catch(() => false))) return
  try {
    const path = `/api/machines/${encodeURIComponent(props.machine.equipment.tag)}`
    const counted = countsRead(given.uses)
    const body = { hoursRun: given.hoursRun, ...(Object.keys(counted).length ? { uses: counted } : {}) }
    emit('read', await $fetch<MachineAnswer>(path, { method: 'PATCH', body }))
    isOpen.value = false
  } catch (error) {
    why.value = sayWhy(error)
  }
}
</script>

<template>
  <p v-if="!isOpen" class="hours">
    <span class="soft">{{ readWords }}</span>
    <el-button v-if="may" size="small" data-test="hours" @click="isOpen = true">{{
      counters.length ? 'Key in the meters' : 'Key in the hours'
    }}</el-button>
  </p>
  <el-form v-else ref="form" :model="given" label-position="top" @submit.prevent="keep">
    <MeterFields
      v-model:hours="given.hoursRun"
      v-model:uses="given.uses"
      :counters="counters"
      :rules="rules.hoursRun"
    />
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <div class="acts">
      <el-button type="primary" native-type="submit">Keep them</el-button>
      <el-button @click="isOpen = false">Cancel</el-button>
    </div>
  </el-form>
</template>

<style scoped>
.el-form {
  display: grid;
  gap: 8px;
}
.hours {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
