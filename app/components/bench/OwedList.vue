<script setup lang="ts">
import type { Obligation, Settle } from '~~/core/job'
import type { Step } from '~~/core/sheet'

/** What is owed before this step, before this station ends, before the cover goes on. */
const props = defineProps<{ owed: Obligation[]; step: Step | null }>()
defineEmits<{ settle: [to: Settle] }>()
const groups = computed(() => {
  const { step } = props
  const mine = props.owed.filter(one => one.kind !== 'step' && one.kind !== 'joint')
  const here = mine.filter(one => step && one.step === step.id)
  const station = mine.filter(one => !here.includes(one) && one.station === step?.station)
  const cover = mine.filter(one => !here.includes(one) && !station.includes(one) && one.blocks === 'cover')
  const rest = mine.filter(one => one.blocks === 'hand-back' && !here.includes(one) && !station.includes(one))
  return [
    ['before this step', here],
    ['before this station ends', station],
    ['before the cover may go on', cover],
    ['before hand-back', rest],
  ].filter(([, list]) => list!.length) as [string, typeof mine][]
})
</script>

<template>
  <section class="card owed" aria-label="Owed">
    <h2>Owed</h2>
    <div class="scroll" tabindex="0" role="group" aria-label="What is owed">
      <template v-for="[title, list] in groups" :key="title">
        <h3 class="soft">{{ title }}</h3>
        <ul>
          <li v-for="one in list" :key="one.key">
            <button @click="$emit('settle', one.settle)">
              <VerdictMark
                :verdict="one.kind === 'out' || one.kind === 'wrong way' || one.kind === 'wrong place' ? 'Out' : 'Open'"
                :word="false"
              />
              <span
                >{{ one.what
                }}<small class="soft">{{
                  one.perishable ? one.why : one.kind === 'out' ? 'Decide, or ask a lead' : one.why
                }}</small>
              </span>
            </button>
          </li>
        </ul>
      </template>
      <p v-if="!groups.length" class="soft">Nothing is owed.</p>
    </div>
  </section>
</template>

<style scoped>
.owed {
  padding: 12px 14px;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
h2 {
  font-size: 21px;
}
h3 {
  font: 500 15px var(--words);
  margin-top: 6px;
}
.scroll {
  overflow-y: auto;
  flex: 1 1 0;
  min-height: 260px;
}
li {
  border-top: 1px solid var(--line);
}
button {
  width: 100%;
  min-height: 48px;
  border: 0;
  background: none;
  text-align: left;
  display: flex;
  gap: 9px;
  align-items: flex-start;
  padding: 7px 0;
  cursor: pointer;
  line-height: 1.2;
}
button .verdict {
  padding-top: 1px;
}
small {
  display: block;
  font-size: 15px;
}
</style>
