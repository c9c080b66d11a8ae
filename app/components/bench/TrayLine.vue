<script setup lang="ts">
import type { Gate, Tray } from '~~/core/job'

/** Where everything that came off is, what waits to be sent, and the gate with why it is shut. */
const props = defineProps<{
  job: string
  tray: Tray
  gate: Gate
  /** How the job ended, once it has. */
  ended: 'Signed' | 'Cancelled' | null
  waiting: number
  reached: boolean
  /** Whether this device holds a copy to go on with without the network. */
  copy: 'keeping' | 'kept' | 'none'
  /** What waits does so for a PIN. */
  held: boolean
}>()
defineEmits<{ undo: []; ledger: []; gate: [] }>()
const COPIES = { keeping: 'sent; a copy is being kept here', kept: 'all sent', none: 'sent; not kept on this tablet' }
const sent = computed(() =>
  props.waiting
    ? props.reached
      ? props.held
        ? `${props.waiting} waiting for a PIN`
        : 'sending'
      : `${props.waiting} waiting`
    : props.reached
      ? COPIES[props.copy]
      : 'not connected',
)
const gateSays = computed(() => {
  const { open, guards, reasons } = props.gate
  if (props.ended) return props.ended
  if (!open) return `Gate shut: ${counted(reasons.length, 'reason')}`
  return guards === 'hand-back' ? 'Gate open: sign' : `Gate open: close the ${guards}`
})
</script>

<template>
  <footer class="tray" aria-label="Tray and gate">
    <span>
      <b class="figures">{{ tray.off.length }}</b>off</span
    >
    <span>
      <b class="figures">{{ tray.bags }}</b>{{ tray.bags === 1 ? 'bag' : 'bags' }}</span
    >
    <span>
      <b class="figures">{{ tray.sentOut }}</b>sent out</span
    >
    <span :class="{ lost: tray.notAccountedFor }">
      <b class="figures">{{ tray.notAccountedFor }}</b>not accounted for</span
    >
    <span class="sent" data-test="sent">{{ sent }}</span>
    <span class="acts">
      <el-button @click="$emit('undo')">Undo <kbd>u</kbd></el-button>
      <el-button @click="$emit('ledger')">Ledger</el-button>
      <NuxtLink class="btn" :to="`/bench/${job}/parts`">New parts</NuxtLink>
      <NuxtLink class="btn" :to="`/bench/${job}/record`">Record</NuxtLink>
      <el-button class="gate" :class="{ open: gate.open }" data-test="gate" @click="$emit('gate')">
        {{ gateSays }}
      </el-button>
    </span>
  </footer>
</template>

<style scoped>
.tray {
  position: sticky;
  bottom: 0;
  background: var(--tray);
  color: var(--on-tray);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 22px;
  padding: 5px 16px;
  font: 500 18px var(--heads);
  min-height: 56px;
  z-index: 2;
}
b {
  font-weight: 500;
  font-size: 20px;
  margin-right: 6px;
}
.sent {
  font: 400 15px var(--words);
  opacity: 0.85;
}
.lost {
  color: var(--tray-brass);
}
.acts {
  margin-left: auto;
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.acts .btn,
.acts .el-button {
  color: var(--on-tray);
  box-shadow: inset 0 0 0 1px #6d7b77;
  min-height: 46px;
  padding: 0 14px;
  font-size: 17px;
}
.acts .el-button:hover {
  background: #3a4643;
}
.acts .gate {
  color: var(--tray-brass);
  background: #3a4643;
}
.acts .gate.open {
  background: var(--brass);
  color: var(--on-brass);
}
</style>
