<script setup lang="ts">
import { partName, partUnder, type InHand } from '~~/core/job'

/**
 * Which one is in the hand for a place: by the number on its tag, chosen, typed or scanned. None is chosen beforehand and the
 * right one is not marked; the wrong one is named at once, with the way out.
 */
const props = defineProps<{ place: string; candidates: InHand[]; part?: string; swapped: boolean }>()
const emit = defineEmits<{ pick: [part: string | undefined]; swap: [] }>()
const job = useJob()
const text = ref('')
const why = ref<string | null>(null)
const label = computed(() => props.candidates.find(one => one.part === props.part)?.label ?? '')
const isWrong = computed(() => props.part !== undefined && props.part !== props.place)
/** What a part has worn to goes with it: a new one has worn to nothing. */
const ifSwapped = computed(() =>
  props.candidates.some(one => one.part === props.part && one.isNew)
    ? undefined
    : job.plan.parts.get(props.place)!.part.ifSwapped,
)
const name = (ref: string) => partName(job.plan, ref)
/** Inside a sentence; what its places are called stays as it is. */
const named = (ref: string) => `${name(ref)[0]!.toLowerCase()}${name(ref).slice(1)}`

function read() {
  const typed = text.value.trim()
  if (!typed) return
  const under = partUnder(job.plan, job.state, typed)
  const known = props.candidates.find(one => one.part === under || one.label.toLowerCase() === typed.toLowerCase())
  if (known) {
    why.value = null
    text.value = ''
    emit('pick', known.part)
  } else
    why.value = under
      ? `${typed} hangs on ${name(under)}. That does not go here.`
      : `Nothing in this job lies under ${typed}. Read the tag again.`
}
</script>

<template>
  <div class="hand">
    <div class="row">
      <span class="ask">Which one is in your hand?</span>
      <el-radio-group
        :model-value="part ? label : ''"
        :aria-label="`In hand for ${name(place)}`"
        @change="emit('pick', candidates.find(one => one.label === $event)?.part)"
      >
        <el-radio-button v-for="one in candidates" :key="one.part" :value="one.label">
          {{ one.label }}
        </el-radio-button>
      </el-radio-group>
      <form @submit.prevent="read">
        <el-input
          v-model="text"
          class="figures scan"
          :aria-label="`Tag in hand for ${name(place)}, typed or scanned`"
          placeholder="or scan"
          maxlength="24"
          autocomplete="off"
        />
      </form>
    </div>
    <p v-if="why" class="why" role="alert">{{ why }}</p>
    <div v-if="isWrong" class="wrong" role="alert">
      <VerdictMark verdict="Out" :word="false" />
      <span class="says">
        {{ label }} is the {{ named(part!) }}. This is the place of the {{ named(place) }}.
        {{ ifSwapped ? `${ifSwapped}.` : '' }}
        {{ swapped ? 'It goes in here on purpose, and stays owed until a lead lets it pass.' : '' }}
      </span>
      <el-button size="small" @click="emit('pick', undefined)">Put it down, take the other</el-button>
      <el-button v-if="!swapped" size="small" type="danger" @click="emit('swap')">Fit it here on purpose</el-button>
    </div>
  </div>
</template>

<style scoped>
.hand {
  display: grid;
  gap: 6px;
  padding: 2px 0 6px;
}
.row {
  display: flex;
  gap: 6px 10px;
  align-items: center;
  flex-wrap: wrap;
}
.scan {
  width: 118px;
}
.wrong {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  border-left: 5px solid var(--out);
  background: var(--out-wash);
  padding: 6px 10px;
}
.wrong .says {
  flex: 1 1 calc(100% - 40px);
}
</style>
