import { askAhead } from '~/device/answers'

declare module '#app' {
  interface PageMeta {
    /** What the page asks the server for first. */
    asks?: readonly string[]
  }
}

/** The page gone to last. A plate opened in the yard changes the address, not the page; at the start, `from` is `to`. */
let page: unknown

/** Every page but the sign-in wants somebody signed in, or standing here while the server cannot be asked. */
export default defineNuxtRouteMiddleware(async to => {
  const session = useSessionStore()
  if (page !== to.matched.at(-1)) askAhead(session.signedIn ? (to.meta.asks ?? []) : [])
  page = to.matched.at(-1)
  await session.start()
  if (to.path === '/sign-in') return session.isIn ? navigateTo('/') : undefined
  if (!session.isIn) return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
})
