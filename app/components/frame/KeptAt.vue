<script setup lang="ts">
/** Says that what is shown is not fresh: how it was when the server last answered. */
defineProps<{ at: string | null }>()
</script>

<template>
  <el-tag v-if="at" type="warning" class="kept" disable-transitions>Not connected: as it was {{ siteTime(at) }}</el-tag>
</template>

<style scoped>
.el-tag.kept {
  margin-left: 12px;
  vertical-align: middle;
}
</style>
