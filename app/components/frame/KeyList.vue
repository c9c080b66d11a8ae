<script setup lang="ts">
const open = defineModel<boolean>({ required: true })
const KEYS = [
  ['/', 'find anything'],
  ['g y', 'yard'],
  ['g b', 'bench'],
  ['g r', 'gauge room'],
  ['n', 'next step'],
  ['Enter', 'confirm the step in view'],
  ['r', 'next reading owed'],
  ['m', 'next mark owed'],
  ['t', 'next tag or bag owed'],
  ['p', 'take a photograph'],
  ['u', 'undo (writes a correction)'],
  ['i', 'millimetres or inches'],
  ['?', 'this list'],
]
</script>

<template>
  <el-dialog v-model="open" title="Keys" width="420" append-to-body>
    <dl>
      <template v-for="[key, what] in KEYS" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </el-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 90px 1fr;
  gap: 8px 12px;
}
kbd {
  font-size: 16px;
  padding: 2px 8px;
}
</style>
