<script setup lang="ts">
import type { SiteSettings } from '~~/shared/answers'

/** What the site says of itself: its name, its PINs, a code for devices that are new, and nightly backups. */
const props = defineProps<{ site: SiteSettings }>()
const emit = defineEmits<{ change: [change: Record<string, unknown>] }>()
const name = ref(props.site.name)
const pinLength = ref(props.site.pinLength)
const backupsKept = ref(props.site.backupsKept)
const code = ref('')
function save() {
  emit('change', {
    name: name.value.trim(),
    pinLength: pinLength.value,
    backupsKept: backupsKept.value,
    ...(code.value.trim() ? { code: code.value.trim() } : {}),
  })
  code.value = ''
}
</script>

<template>
  <form class="card" @submit.prevent="save">
    <el-form-item label-width="230" label-position="left" label="Name of the site">
      <el-input v-model="name" maxlength="60" />
    </el-form-item>
    <el-form-item label-width="230" label-position="left" label="Figures of a new PIN">
      <el-input-number v-model="pinLength" :min="4" :max="8" aria-label="Figures of a new PIN" />
    </el-form-item>
    <el-form-item label-width="230" label-position="left" label="Nightly backups kept">
      <el-input-number v-model="backupsKept" :min="0" :max="60" aria-label="Nightly backups kept" />
      <small class="soft">{{
        backupsKept ? 'made between 2 and 5, each read back; only while ./needler serve runs' : 'none are made'
      }}</small>
    </el-form-item>
    <el-form-item label-width="230" label-position="left" label="Code asked of new devices">
      <el-input
        v-model="code"
        maxlength="60"
        autocomplete="off"
        :placeholder="site.asksCode ? 'one is set; type to change it' : 'none is asked'"
      />
    </el-form-item>
    <div class="acts">
      <el-button type="primary" native-type="submit">Save</el-button>
      <el-button v-if="site.asksCode" @click="emit('change', { code: null })">Ask for no code</el-button>
    </div>
  </form>
</template>

<style scoped>
form {
  padding: 14px 16px;
  display: grid;
  gap: 4px;
}
small {
  margin-left: 14px;
  font-size: 15px;
  line-height: 1.3;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
