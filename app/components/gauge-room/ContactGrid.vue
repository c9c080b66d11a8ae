<script setup lang="ts">
import { CONTACT_COLUMNS } from '~~/core/sleeves'

/**
 * The bearing half laid flat: touch a square for full, half, none, and draw over others to make them the same. Made by hand:
 * a square is where the blue is.
 */
const props = defineProps<{
  squares: string[]
  /** What lies at the first row and at the last. */
  ends?: { left: string; right: string }
}>()
const emit = defineEmits<{ change: [squares: string[]] }>()
const NEXT: Record<string, string> = { 0: '1', 1: '0.5', 0.5: '0' }
const WORD: Record<string, string> = { 0: 'empty', 0.5: 'half', 1: 'full' }
const all = computed(() => Array.from({ length: 24 }, (_, i) => props.squares[i] ?? '0'))
/** What is painted while the finger is down, and the squares so far. */
let painting: { as: string; squares: string[] } | null = null

const paint = (i: number) => {
  if (!painting || painting.squares[i] === painting.as) return
  painting.squares = painting.squares.with(i, painting.as)
  emit('change', painting.squares)
}
/** The square under a finger; undefined beside them. */
function under({ clientX, clientY }: PointerEvent): number | undefined {
  const at = document.elementFromPoint(clientX, clientY)?.closest<HTMLElement>('[data-square]')?.dataset.square
  return at === undefined ? undefined : Number(at)
}
function begin(event: PointerEvent) {
  const i = under(event)
  if (i === undefined) return
  painting = { as: NEXT[all.value[i]!] ?? '0', squares: all.value }
  paint(i)
}
function goOn(event: PointerEvent) {
  const i = painting ? under(event) : undefined
  if (i !== undefined) paint(i)
}
function end() {
  painting = null
}
/** By keyboard; what a finger presses has been painted already. */
function press(i: number, { detail }: MouseEvent) {
  if (!detail) emit('change', all.value.with(i, NEXT[all.value[i]!] ?? '0'))
}
</script>

<template>
  <div
    class="grid"
    role="group"
    aria-label="Contact by blue"
    @pointerdown="begin"
    @pointermove="goOn"
    @pointerup="end"
    @pointercancel="end"
    @pointerleave="end"
  >
    <p class="soft">
      <span>left horn</span>
      <span>{{ ends ? `crown, ${ends.left}` : 'crown' }}</span>
      <span>right horn</span>
    </p>
    <button
      v-for="(one, i) in all"
      :key="i"
      type="button"
      :class="`s${one.replace('.', '')}`"
      :data-square="i"
      :aria-label="`Row ${Math.floor(i / CONTACT_COLUMNS) + 1}, square ${(i % CONTACT_COLUMNS) + 1}: ${WORD[one]}`"
      @click="press(i, $event)"
    />
    <p v-if="ends" class="soft last">{{ ends.right }}</p>
  </div>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 3px;
  background: var(--metal);
  border: 1px solid var(--outline);
  padding: 4px;
  border-radius: 4px;
  touch-action: none;
}
p {
  grid-column: 1 / -1;
  display: flex;
  justify-content: space-between;
  font-size: 14px;
  color: var(--ink);
}
.last {
  justify-content: center;
}
button {
  min-height: 46px;
  border: 1px solid var(--hatch);
  border-radius: 2px;
  background: var(--chalk);
  cursor: pointer;
}
.s1 {
  background: var(--blue-ink);
}
.s05 {
  background: linear-gradient(135deg, var(--blue-ink) 0 50%, var(--chalk) 50%);
}
</style>
