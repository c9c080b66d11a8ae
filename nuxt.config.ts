export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  modules: ['@element-plus/nuxt', '@pinia/nuxt', '@vueuse/nuxt', 'nuxt-auth-utils', '@nuxt/eslint'],
})
