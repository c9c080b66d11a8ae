<script setup lang="ts">
import { OPENERS } from '~~/core/job/ledger/roles'
import type { MachineAnswer, ServiceRow } from '~~/shared/answers'

/** What was done to a machine: its overhauls and the services between, the newest first. */
const props = defineProps<{ machine: MachineAnswer }>()
const emit = defineEmits<{ change: [machine: MachineAnswer] }>()
const session = useSessionStore()
const why = ref<string | null>(null)
const rows = computed(() =>
  [
    ...props.machine.past.map(job => ({ at: job.signedAt, id: job.id, job, service: null })),
    ...props.machine.serviced.map(service => ({ at: service.doneAt, id: service.id, job: null, service })),
  ].toSorted((a, b) => b.at.localeCompare(a.at)),
)
const mayWithdraw = ({ by, withdrawnBy }: ServiceRow) =>
  withdrawnBy === null &&
  session.person !== null &&
  (session.person.role === 'lead' || (OPENERS.includes(session.person.role) && session.person.id === by.id))
const aboutService = ({ by, hours, uses, note, withdrawnBy }: ServiceRow) =>
  [
    by.name,
    `at ${thousands(hours)} h`,
    ...Object.entries(uses).map(([of, shown]) => `${thousands(shown)} ${of}`),
    ...(note ? [note] : []),
    ...(withdrawnBy === null ? [] : [`withdrawn by ${withdrawnBy}`]),
  ].join(', ')

async function withdraw({ id }: ServiceRow) {
  why.value = null
  try {
    const path = `/api/machines/${encodeURIComponent(props.machine.equipment.tag)}/services/${id}`
    emit('change', await $fetch<MachineAnswer>(path, { method: 'PATCH', body: { withdrawn: true } }))
  } catch (error) {
    why.value = sayWhy(error)
  }
}
</script>

<template>
  <div>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <ul class="rows">
      <li v-for="one in rows" :key="one.id">
        <template v-if="one.job">
          <NuxtLink :to="`/bench/${one.job.id}/record`">Job {{ one.job.number }}, {{ siteDay(one.at) }}</NuxtLink>
          <span class="soft">{{ one.job.complaint }}</span>
        </template>
        <template v-else-if="one.service">
          <span>
            <span :class="{ gone: one.service.withdrawnBy !== null }"
              >{{ one.service.name }}, {{ siteDay(one.at) }}</span
            ><small class="soft">{{ aboutService(one.service) }}</small>
          </span>
          <el-popconfirm
            v-if="mayWithdraw(one.service)"
            title="It stays on record and counts for nothing. Withdraw it?"
            confirm-button-text="Withdraw"
            cancel-button-text="Keep"
            width="260"
            @confirm="withdraw(one.service)"
          >
            <template #reference><el-button size="small">Withdraw</el-button></template>
          </el-popconfirm>
        </template>
      </li>
      <li v-if="!rows.length">No overhaul is on record.</li>
    </ul>
  </div>
</template>

<style scoped>
li {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  align-items: center;
  padding: 9px 0;
  border-top: 1px solid var(--line);
  font-size: 16px;
  min-height: 44px;
}
li > :first-child {
  flex: 1;
}
.gone {
  text-decoration: line-through;
}
small {
  display: block;
  font-size: 15px;
}
</style>
