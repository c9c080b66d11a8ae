/** Every page but the sign-in wants somebody signed in. */
export default defineNuxtRouteMiddleware(async to => {
  const { loggedIn, ready, fetch } = useUserSession()
  if (!ready.value) await fetch()
  if (to.path === '/sign-in') return loggedIn.value ? navigateTo('/') : undefined
  if (!loggedIn.value) return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
})
