<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { v7 as uuid } from 'uuid'
import type { MachineAnswer } from '~~/shared/answers'

/** A service between overhauls as it is written down: when, and what the meters showed. */
const props = defineProps<{ machine: MachineAnswer; service: { id: string; name: string }; counters: string[] }>()
const emit = defineEmits<{ written: [machine: MachineAnswer]; close: [] }>()
const id = uuid()
const today = new Date().toISOString().slice(0, 10)
const given = reactive({
  day: today,
  hoursRun: props.machine.equipment.hoursRun as number | undefined,
  uses: Object.fromEntries(props.counters.map(of => [of, props.machine.equipment.uses[of]])),
  note: '',
})
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.hoursSchema, { hoursRun: 'The hours' })
const why = ref<string | null>(null)
const isAhead = (day: Date) => day.getTime() > Date.now()

async function write() {
  why.value = null
  if (!(await form.value!.validate().catch(() => false))) return
  const { day, hoursRun, uses, note } = given
  const body = {
    ...{ id, service: props.service.id, hoursRun, note },
    // Just now is by the server's clock: that of a tablet may be wrong.
    ...(day === today ? {} : { doneAt: `${day}T12:00:00.000Z` }),
    uses: countsRead(uses),
  }
  try {
    const path = `/api/machines/${encodeURIComponent(props.machine.equipment.tag)}/services`
    emit('written', await $fetch<MachineAnswer>(path, { method: 'POST', body }))
  } catch (error) {
    why.value = sayWhy(error)
  }
}
</script>

<template>
  <el-form ref="form" :model="given" label-position="top" :aria-label="service.name" @submit.prevent="write">
    <div class="pair">
      <el-form-item label="Done on" required>
        <el-date-picker
          v-model="given.day"
          value-format="YYYY-MM-DD"
          format="D MMM YYYY"
          :clearable="false"
          :disabled-date="isAhead"
          aria-label="Done on"
        />
      </el-form-item>
      <MeterFields
        v-model:hours="given.hoursRun"
        v-model:uses="given.uses"
        :counters="counters"
        :rules="rules.hoursRun"
        if-read
      />
    </div>
    <el-form-item label="Anything seen">
      <el-input
        v-model="given.note"
        maxlength="400"
        aria-label="Anything seen"
        placeholder="Grade, batch, what it looked like…"
      />
    </el-form-item>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <div class="acts">
      <el-button type="primary" native-type="submit">Write it down</el-button>
      <el-button @click="emit('close')">Cancel</el-button>
    </div>
  </el-form>
</template>

<style scoped>
.el-form {
  display: grid;
  gap: 8px;
  padding: 8px 0 12px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px;
}
.pair :deep(.el-date-editor),
.pair :deep(.el-input-number) {
  width: 100%;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
