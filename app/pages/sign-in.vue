<script setup lang="ts">
definePageMeta({ layout: false })
const route = useRoute()
const go = () =>
  navigateTo(
    typeof route.query.to === 'string' && route.query.to.startsWith('/') && !route.query.to.startsWith('//')
      ? route.query.to
      : '/',
  )
</script>

<template>
  <main class="door">
    <section class="card">
      <h1>
        <svg width="34" height="34" viewBox="0 0 26 26" aria-hidden="true">
          <circle cx="13" cy="13" r="11" fill="none" stroke="#b5832a" stroke-width="2" />
          <path d="M13 13 20 6" stroke="currentColor" stroke-width="2.4" stroke-linecap="round" />
          <circle cx="13" cy="13" r="2" fill="currentColor" /></svg
        >Needler
      </h1>
      <p class="soft">Choose your name, then give your PIN.</p>
      <SignInPad @done="go" />
    </section>
  </main>
</template>

<style scoped>
.door {
  min-height: 100vh;
  display: grid;
  place-items: center;
  padding: 16px;
  background: var(--blue);
}
section {
  width: min(460px, 100%);
  padding: 26px;
  display: grid;
  gap: 14px;
}
h1 {
  font-size: 38px;
  display: flex;
  gap: 12px;
  align-items: center;
  color: var(--blue-ink);
}
</style>
