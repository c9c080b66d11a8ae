<script setup lang="ts">
import type { Competence } from '~~/core/job/ledger/competence'
import { ROLES, type Role } from '~~/core/job/ledger/roles'
import type { PersonRow } from '~~/shared/answers'

/** One person as a lead sees them: their role, and what may be done about their name. */
defineProps<{ person: PersonRow; isSelf: boolean }>()
const emit = defineEmits<{
  change: [
    change: { role?: Role; pin?: 'new'; active?: boolean; open?: true; admit?: true; competences?: Competence[] },
  ]
}>()
const shown = ref<'papers' | 'devices' | null>(null)
const show = (what: 'papers' | 'devices') => {
  shown.value = shown.value === what ? null : what
}
const asking = ref<'pin' | 'out' | null>(null)
function settle() {
  emit('change', asking.value === 'pin' ? { pin: 'new' } : { active: false })
  asking.value = null
}
</script>

<template>
  <li class="card" :class="{ gone: !person.active }">
    <strong>{{ person.name }}</strong>
    <span v-if="!person.active" class="soft">{{ person.role }}, taken out</span>
    <el-select
      v-else
      :model-value="person.role"
      :aria-label="`Role of ${person.name}`"
      :disabled="isSelf"
      @update:model-value="(role: Role) => $emit('change', { role })"
    >
      <el-option v-for="role in ROLES" :key="role" :value="role" :label="role" />
    </el-select>
    <span class="acts">
      <el-button v-if="!person.active" @click="$emit('change', { active: true })">Restore</el-button>
      <template v-else-if="asking">
        <span>{{ asking === 'pin' ? 'The old PIN ends now.' : 'The name stays on what it signed.' }}</span>
        <el-button type="danger" @click="settle">
          {{ asking === 'pin' ? 'Make a new PIN' : 'Remove' }}
        </el-button>
        <el-button @click="asking = null">Cancel</el-button>
      </template>
      <template v-else>
        <el-button :aria-expanded="shown === 'papers'" @click="show('papers')">
          Papers{{ person.competences.length ? ` (${person.competences.length})` : '' }}
        </el-button>
        <el-button :aria-expanded="shown === 'devices'" @click="show('devices')">Devices</el-button>
        <el-button @click="asking = 'pin'">New PIN</el-button>
        <el-button v-if="!isSelf" @click="asking = 'out'">Remove</el-button>
      </template>
    </span>
    <PapersForm
      v-if="shown === 'papers' && person.active"
      :name="person.name"
      :papers="person.competences"
      @change="competences => $emit('change', { competences })"
    />
    <DeviceList
      v-if="shown === 'devices' && person.active"
      :person="person"
      @unlock="$emit('change', { open: true })"
      @admit="$emit('change', { admit: true })"
    />
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 1fr 150px 440px;
  gap: 14px;
  align-items: center;
  padding: 8px 14px;
  min-height: 62px;
}
strong {
  font: 600 20px var(--heads);
}
.gone strong {
  color: var(--soft);
}
.acts {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
  justify-content: flex-start;
}
@media (max-width: 860px) {
  li {
    grid-template-columns: 1fr 150px;
  }
  .acts {
    grid-column: 1 / -1;
    justify-content: flex-start;
  }
}
</style>
