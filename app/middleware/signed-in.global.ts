/** Every page but the sign-in wants somebody signed in, or standing here while the server cannot be asked. */
export default defineNuxtRouteMiddleware(async to => {
  const session = useSessionStore()
  await session.start()
  if (to.path === '/sign-in') return session.isIn ? navigateTo('/') : undefined
  if (!session.isIn) return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
})
