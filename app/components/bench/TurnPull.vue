<script setup lang="ts">
import { sideOf, type PassWanted } from '~~/core/joints'

/** One pass by turn: what a bolt was turned after it was snug, as the mark on it shows. */
const props = defineProps<{
  wanted: PassWanted & { by: 'turn' }
  bolt: number
  resting: boolean
  /** Keeps a pull; false when it is refused, and then what was typed stays. */
  keep: (pull: { deg: number }) => boolean
}>()
const may = useMay()
const text = ref('')
const why = ref<string | null>(null)
const deg = computed(() => {
  const typed = Number(text.value.replace(',', '.').replace(/°$/, ''))
  return text.value.trim() && Number.isFinite(typed) ? typed : null
})
const verdict = computed(() =>
  deg.value === null
    ? ('Open' as const)
    : sideOf(props.wanted, { bolt: props.bolt, deg: deg.value }) === 'inside'
      ? ('Holds' as const)
      : ('Out' as const),
)
const field = useTemplateRef<{ focus: () => void }>('field')
function take() {
  if (deg.value === null || deg.value < 0 || deg.value > 1080) {
    why.value = `“${text.value}” is no turn. Type degrees as the mark shows, such as ${props.wanted.target}.`
    return
  }
  if (!props.keep({ deg: deg.value })) return
  text.value = ''
  void nextTick(() => field.value?.focus())
}
onMounted(() => void nextTick(() => field.value?.focus()))
watch(text, () => (why.value = null), { flush: 'sync' })
</script>

<template>
  <form @submit.prevent="take">
    <QuantityField
      ref="field"
      v-model="text"
      name="turn"
      :label="`Turn of bolt ${bolt}`"
      unit="°"
      placeholder="turned"
    />
    <el-button type="primary" data-test="turned" native-type="submit" :disabled="resting || !may('bolt.pulled')">
      Keep bolt {{ bolt }}
    </el-button>
  </form>
  <KeyPad v-model="text" :replace="why !== null" />
  <p v-if="why" class="why" role="alert">{{ why }}</p>
  <Teleport defer to="#below-bolt">
    <p class="soft">Mark bolt and part across, turn, read the mark.</p>
    <ReadingBand
      :limits="{ min: wanted.least, max: wanted.most, best: wanted.target, warningShare: 0 }"
      :value="deg"
      :verdict="verdict"
      :decimals="0"
    />
  </Teleport>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
}
</style>
