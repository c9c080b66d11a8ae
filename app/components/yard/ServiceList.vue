<script setup lang="ts">
import { competenceFor, qualified, signerWords } from '~~/core/job/ledger/competence'
import { OPENERS } from '~~/core/job/ledger/roles'
import type { Service } from '~~/core/sheet'
import type { MachineAnswer, YardMachine } from '~~/shared/answers'

/** What is done to a machine between overhauls: when last, when next, and where it is written down. */
const props = defineProps<{ service: Service; stands: YardMachine['services']; machine: MachineAnswer }>()
const emit = defineEmits<{ written: [machine: MachineAnswer] }>()
const session = useSessionStore()
/** The one that is being written down. */
const open = ref<string | null>(null)
const written = (now: MachineAnswer) => {
  open.value = null
  emit('written', now)
}

const rows = computed(() =>
  props.stands.map(one => {
    const { doer, uses } = props.service.also?.find(({ id }) => id === one.id) ?? {}
    const { person } = session
    const now = new Date().toISOString()
    const isDoer =
      person !== null &&
      (!doer || qualified(doer, person.role, competenceFor(doer, person.competences ?? [], now), now) === 'yes')
    return {
      ...one,
      counters: uses ? [uses.of] : [],
      doer: doer ? signerWords(doer) : null,
      may: isDoer && OPENERS.includes(person.role),
    }
  }),
)
const lastWords = ({ last }: YardMachine['services'][number]) =>
  last
    ? `last ${siteDay(last.at)}${last.withOverhaul ? ', with the overhaul' : ''}${last.hours === null ? '' : `, at ${thousands(last.hours)} h`}`
    : 'not on record yet'
</script>

<template>
  <section v-if="rows.length" class="services" aria-label="Between overhauls">
    <h3>Between overhauls</h3>
    <ul>
      <li v-for="one in rows" :key="one.id">
        <div class="row">
          <span class="what"
            >{{ one.name }}<small class="soft">{{ lastWords(one) }}</small>
            <small v-if="one.doer && !one.may" class="soft">By {{ one.doer }}.</small>
          </span>
          <strong v-if="one.next" :class="{ due: one.next.weeks <= 0 }">{{ weeksWords(one.next.weeks) }}</strong>
          <el-button
            v-if="one.may"
            size="small"
            :aria-label="`${one.name}: write it down`"
            :aria-expanded="open === one.id"
            @click="open = open === one.id ? null : one.id"
            >Done</el-button
          >
        </div>
        <ServiceForm
          v-if="open === one.id"
          :machine="machine"
          :service="one"
          :counters="one.counters"
          @written="written"
          @close="open = null"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 18px;
  font-weight: 600;
}
li {
  border-top: 1px solid var(--line);
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 48px;
  padding: 6px 0;
}
.what {
  flex: 1;
  min-width: 0;
}
small {
  display: block;
  font-size: 15px;
}
strong {
  font-weight: 600;
  white-space: nowrap;
}
</style>
