<script setup lang="ts">
// Every page, sign-in included, is light or dark as this device is.
useDisplay()
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
</template>
