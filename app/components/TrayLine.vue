<script setup lang="ts">
defineEmits<{ undo: [] }>()
const job = useJobStore()
const bench = useBenchStore()
const tray = computed(() => job.view!.tray)
const gate = computed(() => job.view!.gate)
const sent = computed(() =>
  job.waiting.length
    ? job.reached
      ? 'sending'
      : `${job.waiting.length} waiting`
    : job.reached
      ? 'all sent'
      : 'not connected',
)
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
      <button class="btn" @click="$emit('undo')">Undo <kbd>u</kbd></button>
      <button class="btn" @click="bench.look({ to: 'ledger' })">Ledger</button>
      <NuxtLink class="btn" :to="`/bench/${job.about!.job.id}/record`">Record</NuxtLink>
      <button class="btn gate" :class="{ open: gate.open }" data-test="gate" @click="bench.look({ to: 'gate' })">
        {{
          job.state.signed
            ? 'Signed'
            : gate.open
              ? gate.guards === 'cover'
                ? 'Gate open: close the case'
                : 'Gate open: sign'
              : `Gate shut: ${counted(gate.reasons.length, 'reason')}`
        }}
      </button>
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
.btn {
  color: var(--on-tray);
  box-shadow: inset 0 0 0 1px #6d7b77;
  min-height: 46px;
  padding: 0 14px;
  font-size: 17px;
}
.gate {
  color: var(--tray-brass);
  background: #3a4643;
}
.gate.open {
  background: var(--brass);
  color: var(--on-brass);
}
</style>
