<script setup lang="ts">
import {
  allSaid,
  codeOf,
  codesFor,
  findingText,
  judgedFinding,
  lookedText,
  partName,
  standingLook,
  type Finding,
  type Looked,
  type Noted,
} from '~~/core/job'
import { PROPOSED_WORDS } from '~~/core/looks'

/** Looking at a part: what is found on it, by code, grade and place; or that it is clean. Without a look of the sheet, what is seen in passing. */
const props = defineProps<{ part: string; look?: string }>()
const job = useJob()
const bench = useBench()
const may = useMay()
const asked = computed(() => (props.look === undefined ? undefined : job.plan.looks.get(props.look)))
const one = computed(() => job.plan.parts.get(props.part)!)
const heldFrom = computed(
  () => job.plan.sheet.assemblies.find(assembly => assembly.id === one.value.part.assembly)!.seenFrom,
)
const offered = computed(() => codesFor(job.plan, props.part, props.look))
/** What was found so far and not kept yet outlives a reload. */
const draft = useLocalStorage<Finding[]>(`needler-look-${job.id}-${props.part}-${props.look ?? ''}`, [])
const picking = ref(props.look === undefined || draft.value.length === 0)
const why = ref<string | null>(null)
const reason = ref('')
const correcting = ref(false)
/** One of the codes is chosen, and more is to be said of it. */
const choosing = ref(false)
const resting = useRest(() => [props.part, props.look].join())
/** What stands of this look; what was seen of the part before it was another is history. */
const kept = computed(() => (props.look === undefined ? undefined : standingLook(job.state, props.look, props.part)))
const said = computed(() => (kept.value ? allSaid<Looked>(kept.value) : []))
const isOpen = computed(() => !job.isClosed && (!kept.value || correcting.value || said.value.length > 1))
const at = computed(() => ({ part: props.part, look: props.look, seenFrom: heldFrom.value }))
const lines = computed(() =>
  (isOpen.value ? draft.value : (kept.value?.findings ?? [])).map(finding => ({
    finding,
    text: findingText(job.plan, at.value, finding),
    tells: codeOf(job.plan, at.value, finding).tells,
    ...judgedFinding(job.plan, at.value, finding),
  })),
)
/** What an overhaul before saw on the same part. */
const last = computed(() =>
  job.about.seenLast
    .filter(seen => seen.part === props.part && (props.look === undefined || seen.look === props.look))
    .map(seen => ({ ...seen, text: lookedText(job.plan, { ...seen, look: seen.look || undefined }) })),
)

/** What a photograph of a finding is on; which one it shows is known by its code. */
const onFinding = ({ code }: Finding): Noted =>
  props.look === undefined
    ? { what: 'part', id: props.part, finding: code }
    : { what: 'look', id: props.look, part: props.part, finding: code }
const { isSettled } = useSettled()

function found(finding: Finding) {
  draft.value = [...draft.value, finding]
  picking.value = false
  choosing.value = false
}
const remove = (i: number) => {
  draft.value = draft.value.filter((_, n) => n !== i)
}
const { correct: put } = useSign()
async function keep(findings: Finding[]) {
  if (resting.value) return
  const isPlaced = findings.some(each => each.deg !== undefined)
  const payload = {
    part: props.part,
    ...(props.look === undefined ? {} : { look: props.look }),
    findings,
    ...(isPlaced ? { seenFrom: heldFrom.value } : {}),
  }
  if (correcting.value) {
    if (!reason.value.trim()) {
      why.value = 'Say why it is corrected.'
      return
    }
    const answer = await put('Who corrects the look?', {
      kind: 'entry.corrected',
      payload: { target: kept.value!.entry, why: reason.value.trim(), replacement: payload },
    })
    why.value = answer.why
    if (!answer.isSigned) return
  } else why.value = job.act({ kind: 'part.looked', payload })
  if (why.value) return
  leave()
  bench.look(null)
}
function correct() {
  draft.value = [...kept.value!.findings]
  picking.value = false
  correcting.value = true
}
/** What stands is no draft of another look. */
function leave() {
  draft.value = []
  correcting.value = false
  reason.value = ''
  why.value = null
}
onBeforeUnmount(() => correcting.value && leave())
</script>

<template>
  <PadFrame :why="why">
    <template #title>{{ asked ? `${partName(job.plan, part)}: look at it` : partName(job.plan, part) }}</template>
    <p v-if="asked?.how && !choosing" class="soft">{{ asked.title }}. {{ asked.how }}.</p>
    <p v-for="seen in choosing ? [] : last" :key="seen.look" class="soft" data-test="seen-last">
      Last time (job {{ seen.job }}, {{ siteDay(seen.seenAt) }}): {{ inSentence(seen.text) }}.
    </p>
    <UnseenNote
      v-if="said.length > 1"
      :said="said.map(each => ({ by: each.by, words: lookedText(job.plan, each) }))"
      follows="Look again: what is said now stands."
    />
    <p v-if="kept && !isOpen && !kept.findings.length" class="clean">
      <VerdictMark verdict="Holds" /> Clean, nothing found
    </p>
    <p v-if="asked && !kept && job.isClosed">Nobody looked at it.</p>
    <ul v-if="lines.length" class="rows lines" aria-label="What is found">
      <li v-for="(line, i) in lines" :key="i">
        <VerdictMark :verdict="line.verdict" :word="false" />
        <span
          ><strong>{{ line.text }}</strong
          ><small class="soft">{{ line.tells }}. {{ PROPOSED_WORDS[line.proposes] }}.</small></span
        >
        <LazyPhotoTake
          v-if="isSettled && !job.isClosed && may('photo.added')"
          :on="onFinding(line.finding)"
          :label="`Photograph: ${line.text}`"
        />
        <el-button v-if="isOpen" text :aria-label="`Take out: ${line.text}`" @click="remove(i)">✕</el-button>
      </li>
    </ul>
    <template v-if="isOpen && may('part.looked')">
      <el-button
        v-if="!draft.length && asked && !choosing"
        type="primary"
        class="go"
        data-test="clean"
        :disabled="resting"
        @click="keep([])"
      >
        Clean, nothing found
      </el-button>
      <FindingPick
        v-if="picking"
        :part="part"
        :held-from="heldFrom"
        :set="offered.set"
        :codes="offered.codes"
        :look="asked"
        :can-leave="draft.length > 0"
        @found="found"
        @choosing="isChosen => (choosing = isChosen)"
        @leave="picking = false"
      />
      <template v-else>
        <div v-if="correcting">
          <label class="label" for="look-reason">Why is it corrected?</label>
          <el-input id="look-reason" v-model="reason" maxlength="400" />
        </div>
        <div class="pad-acts">
          <el-button
            v-if="draft.length"
            type="primary"
            class="go"
            data-test="keep-look"
            :disabled="resting"
            @click="keep(draft)"
          >
            {{ correcting ? 'Keep as correction' : 'Keep what is found' }}
          </el-button>
          <el-button data-test="more" @click="picking = true">{{
            draft.length ? 'And something else' : 'Something is found'
          }}</el-button>
          <el-button v-if="correcting" @click="leave">Cancel</el-button>
        </div>
      </template>
      <div v-if="asked?.lost && !kept" class="pad-acts">
        <EvidenceLost :lost="{ look: asked.id, part }" :by="asked.lost" />
      </div>
    </template>
    <div v-else-if="kept && !job.isClosed" class="pad-acts">
      <el-button data-test="correct" @click="correct">Correct it</el-button>
      <el-button data-test="seen-more" @click="bench.look({ to: 'look', part })">Something else is seen</el-button>
    </div>
  </PadFrame>
</template>

<style scoped>
.lines {
  flex: none !important;
  min-height: 0 !important;
}
.lines li {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 5px 0;
}
.lines li > span:nth-child(2) {
  flex: 1;
}
.lines small {
  display: block;
  font-size: 15px;
}
.clean {
  font-size: 22px;
}
</style>
