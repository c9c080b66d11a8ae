<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import type { SiteSettings } from '~~/shared/answers'

/** What the site says of itself: its name, its PINs, a code for devices that are new, and nightly backups. */
const props = defineProps<{ site: SiteSettings }>()
const emit = defineEmits<{ change: [change: Record<string, unknown>] }>()
const { name, pinLength, backupsKept } = props.site
const given = reactive({ name, pinLength, backupsKept, code: '' })
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.siteSchema, {
  name: 'Name of the site',
  pinLength: 'Figures of a new PIN',
  backupsKept: 'Nightly backups kept',
  code: 'Code asked of new devices',
})
// No code typed means none is changed; too short a one is refused.
const codeRules = computed(() => (given.code.trim() ? rules.code : []))
async function save() {
  if (!(await form.value!.validate().catch(() => false))) return
  const { code, ...rest } = given
  emit('change', { ...rest, name: rest.name.trim(), ...(code.trim() ? { code: code.trim() } : {}) })
  given.code = ''
}
</script>

<template>
  <el-form ref="form" :model="given" class="card" label-width="230" label-position="left" @submit.prevent="save">
    <el-form-item prop="name" :rules="rules.name" label="Name of the site">
      <el-input v-model="given.name" maxlength="60" />
    </el-form-item>
    <el-form-item prop="pinLength" :rules="rules.pinLength" label="Figures of a new PIN">
      <el-input-number v-model="given.pinLength" :min="4" :max="8" aria-label="Figures of a new PIN" />
    </el-form-item>
    <el-form-item prop="backupsKept" :rules="rules.backupsKept" label="Nightly backups kept">
      <el-input-number v-model="given.backupsKept" :min="0" :max="60" aria-label="Nightly backups kept" />
      <small class="soft">{{
        given.backupsKept ? 'made between 2 and 5, each read back; only while ./needler serve runs' : 'none are made'
      }}</small>
    </el-form-item>
    <el-form-item prop="code" :rules="codeRules" label="Code asked of new devices">
      <el-input
        v-model="given.code"
        maxlength="60"
        autocomplete="off"
        :placeholder="site.asksCode ? 'one is set; type to change it' : 'none is asked'"
      />
    </el-form-item>
    <div class="acts">
      <el-button type="primary" native-type="submit">Save</el-button>
      <el-button v-if="site.asksCode" @click="emit('change', { code: null })">Ask for no code</el-button>
    </div>
  </el-form>
</template>

<style scoped>
.el-form.card {
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
