import { askAhead } from '~/device/answers'

declare module '#app' {
  interface PageMeta {
    /** What the page asks the server for first. */
    asks?: readonly string[]
  }
}

/** At the start, `from` is `to`. */
let isFirst = true

/** Every page but the sign-in wants somebody signed in, or standing here while the server cannot be asked. */
export default defineNuxtRouteMiddleware(async (to, from) => {
  const session = useSessionStore()
  // A plate opened in the yard changes the address, not the page.
  if (isFirst || to.matched.at(-1) !== from.matched.at(-1)) askAhead(session.signedIn ? (to.meta.asks ?? []) : [])
  isFirst = false
  await session.start()
  if (to.path === '/sign-in') return session.isIn ? navigateTo('/') : undefined
  if (!session.isIn) return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
})
