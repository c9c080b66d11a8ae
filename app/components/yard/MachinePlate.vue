<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { OPENERS } from '~~/core/job/ledger/roles'
import { showLimits } from '~~/core/job/measuring/show'
import { factsOf } from '~~/core/job/parts/facts'
import { placeName } from '~~/core/job/ledger/words'
import { atOf } from '~~/core/sums/cells'
import { planFor, type ShelfSheet } from '~~/core/sheet'
import { countersOf } from '~~/core/wear/services'
import { decidedWords } from '~/say/due'
import type { MachineAnswer, OpenedJob, YardMachine } from '~~/shared/answers'
import { askOrKept } from '~/device/answers'
import { askSheet } from '~/device/sheets'

const props = defineProps<{ tag: string; machine?: YardMachine }>()
const emit = defineEmits<{ close: []; hours: [] }>()
const session = useSessionStore()
const { text, system } = useDisplay()
/** The check whose past is shown. */
const trend = ref<string | null>(null)
const turn = (id: string) => {
  trend.value = trend.value === id ? null : id
}
const found = shallowRef<MachineAnswer | null>(null)
const sheet = shallowRef<ShelfSheet | null>(null)
const why = ref<string | null>(null)
const page = ref<'state' | 'build' | 'past'>('state')
const complaint = useLocalStorage(`needler-complaint-${props.tag}`, '')
const opening = ref(false)

onMounted(async () => {
  try {
    const { value } = await askOrKept<MachineAnswer>(`/api/machines/${encodeURIComponent(props.tag)}`)
    sheet.value = (await askSheet(value.sheet)).sheet
    found.value = value
  } catch (error) {
    why.value = sayWhy(error)
  }
})

/** Meters were read or a service written down: the yard says anew what is next. */
function read(now: MachineAnswer) {
  found.value = now
  emit('hours')
}

const plan = computed(() => found.value && sheet.value && planFor(sheet.value, found.value.equipment.variants))
/** How every check stands, worst first. */
const standing = computed(() =>
  (found.value?.standing ?? []).flatMap(one => {
    const check = plan.value?.checks.get(one.checkId)
    const { place: station, column: plane } = one.cell ? atOf(one.cell) : {}
    return check ? [{ ...one, check, place: placeName({ station, plane: check.planes && plane }) }] : []
  }),
)
/** A check over the overhauls, oldest first. */
const over = (id: string) =>
  (found.value?.readings ?? []).filter(one => one.checkId === id).toSorted((a, b) => a.takenAt.localeCompare(b.takenAt))
/** What it says of itself: its serial, a setting. */
const facts = computed(() =>
  (found.value?.kept ?? []).flatMap(one => {
    const fact = plan.value && factsOf(plan.value).find(each => each.fact.id === one.fact)?.fact
    return fact ? [{ ...one, name: fact.name }] : []
  }),
)
/** What sits in every place and since when. */
const build = computed(() =>
  [...(plan.value?.parts.values() ?? [])].map(place => ({
    ...place,
    renewed: found.value?.fitted.find(one => one.partRef === place.ref && one.asNew),
    seen: found.value?.fitted.find(one => one.partRef === place.ref),
  })),
)

/** Signs that its sheet knows: what may be behind them is looked at first, and each is answered at the end. */
const known = computed(() => plan.value?.sheet.complaints ?? [])
/** What is often reported of any machine, where its sheet knows no signs of it. */
const reported = computed(() => ['planned', ...(known.value.length ? [] : ['noise', 'vibration'])])
const signs = ref<string[]>([])
const form = useTemplateRef<FormInstance>('form')
/** What is asked is in sight whole, the button that opens it too. */
async function begin() {
  opening.value = true
  await nextTick()
  ;(form.value?.$el as HTMLElement | undefined)?.scrollIntoView({ block: 'nearest' })
}
// What was reported is asked again at the end: whether it is cured.
const rules = useRules(all => all.openingSchema, { complaint: 'What was reported' })
async function open() {
  // A sign says it, too.
  if (!complaint.value.trim())
    complaint.value = known.value.flatMap(one => (signs.value.includes(one.id) ? one.say : [])).join(', ')
  await nextTick()
  if (!(await form.value!.validate().catch(() => false))) return
  try {
    const { id } = await $fetch<OpenedJob>('/api/jobs', {
      method: 'POST',
      body: {
        equipment: props.tag,
        complaint: complaint.value,
        ...(signs.value.length ? { signs: signs.value } : {}),
      },
    })
    complaint.value = ''
    signs.value = []
    await navigateTo(`/bench/${id}`)
  } catch (error) {
    why.value = sayWhy(error)
  }
}
</script>

<template>
  <aside class="plate" :aria-label="`Machine ${tag}`">
    <div class="title">
      <h2 class="figures">{{ tag }}</h2>
      <el-button text aria-label="Close" @click="$emit('close')">✕</el-button>
    </div>
    <MachineThumb v-if="plan" :plan="plan" />
    <p v-if="machine">
      {{ machine.name }}<template v-if="machine.line">, {{ machine.line }}</template
      >. {{ thousands(machine.hoursRun) }}&nbsp;h run<template v-if="machine.hoursSince !== null"
        >, {{ thousands(machine.hoursSince) }}&nbsp;h since the overhaul of
        {{ siteDay(machine.lastOverhaulAt!) }}</template
      >.
    </p>
    <dl v-if="facts.length" class="facts" aria-label="What it says of itself">
      <div v-for="one in facts" :key="one.fact">
        <dt class="soft">{{ one.name }}</dt>
        <dd class="figures">{{ one.text }}</dd>
      </div>
    </dl>
    <p v-if="machine" class="next">
      <template v-if="machine.next">
        <strong>Next overhaul {{ weeksWords(machine.next.weeks) }}.</strong>{{ ' '
        }}<span class="soft">{{ decidedWords(machine.next) }}</span>
      </template>
      <strong v-else>Never overhauled here.</strong>
    </p>
    <HoursField v-if="found" :machine="found" :counters="plan ? countersOf(plan.sheet.service) : []" @read="read" />
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <NuxtLink v-if="machine?.openJob" class="btn now" :to="`/bench/${machine.openJob.id}`"
      >Continue job {{ machine.openJob.number }}</NuxtLink
    >
    <template v-else-if="session.person && OPENERS.includes(session.person.role)">
      <el-button v-if="!opening" type="primary" @click="begin">Open a job</el-button>
      <el-form v-else ref="form" :model="{ complaint }" class="open" label-position="top" @submit.prevent="open">
        <el-form-item prop="complaint" :rules="rules.complaint" label="What was reported?">
          <el-input
            v-model="complaint"
            type="textarea"
            :rows="2"
            maxlength="400"
            placeholder="Planned, or what was noticed…"
          />
        </el-form-item>
        <div class="words">
          <el-button
            v-for="one in reported"
            :key="one"
            size="small"
            @click="complaint = [complaint, one].filter(Boolean).join(', ')"
          >
            {{ one }}
          </el-button>
        </div>
        <template v-if="known.length">
          <p class="label">
            What does it do? What may be behind it is looked at first, and each is answered at the end.
          </p>
          <el-checkbox-group v-model="signs" class="words" aria-label="What does it do?">
            <el-checkbox-button v-for="one in known" :key="one.id" :value="one.id">{{ one.say }}</el-checkbox-button>
          </el-checkbox-group>
        </template>
        <el-button type="primary" native-type="submit">Open the job</el-button>
      </el-form>
    </template>
    <ServiceList
      v-if="machine && found && plan"
      :service="plan.sheet.service"
      :stands="machine.services"
      :machine="found"
      @written="read"
    />
    <el-tabs v-model="page" stretch>
      <el-tab-pane name="state" label="State" />
      <el-tab-pane name="build" label="Build" />
      <el-tab-pane name="past" label="Past" />
    </el-tabs>
    <ul v-if="page === 'state'" class="rows">
      <li v-for="one in standing" :key="one.checkId" class="check">
        <el-button class="opens" :aria-expanded="trend === one.checkId" @click="turn(one.checkId)">
          <span class="what"
            >{{ one.check.title }}<template v-if="one.place">, {{ one.place }}</template
            ><small class="soft">{{ showLimits(one.check, system) }}</small>
          </span>
          <span :class="one.check.choices ? 'said' : 'figures'">{{ text(one.value, one.check) }}</span>
          <VerdictMark :verdict="one.verdict" />
        </el-button>
        <LazyTrendChart
          v-if="trend === one.checkId && !one.check.choices"
          :check="one.check"
          :readings="over(one.checkId)"
        />
      </li>
      <li v-if="found && !standing.length">Nothing has been measured on it yet.</li>
    </ul>
    <ul v-else-if="page === 'build'" class="rows">
      <li v-for="one in build" :key="one.ref">
        <span>{{ one.name }}</span>
        <span class="soft">{{
          one.renewed
            ? `new, ${siteDay(one.renewed.fittedAt)}`
            : one.seen
              ? `seen ${siteDay(one.seen.fittedAt)}`
              : 'as it came'
        }}</span>
      </li>
    </ul>
    <PastList v-else-if="found" :machine="found" @change="read" />
  </aside>
</template>

<style scoped>
.plate {
  grid-column: 2;
  grid-row: 2 / 4;
  background: var(--chalk);
  border-left: 1px solid var(--line);
  padding: 14px 18px;
  min-width: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}
.title {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h2 {
  font-size: 26px;
  font-weight: 500;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.facts div {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.open {
  display: grid;
  gap: 8px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.rows .check {
  display: block;
  padding: 0;
}
.what small {
  display: block;
  font-size: 15px;
}
.check .what {
  flex: 1;
  min-width: 0;
  white-space: normal;
  text-align: left;
}
.rows .check .what small {
  text-align: left;
}
.rows li {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  align-items: center;
  padding: 9px 0;
  border-top: 1px solid var(--line);
  font-size: 16px;
  min-height: 44px;
}
.rows li > :first-child {
  flex: 1;
}
.rows .figures {
  white-space: nowrap;
}
.rows .soft {
  text-align: right;
}
.said {
  max-width: 45%;
  text-align: right;
  white-space: normal;
}
@media (max-width: 1000px) {
  .plate {
    padding: 0;
    border: 0;
  }
}
</style>
