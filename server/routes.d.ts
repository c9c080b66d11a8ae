/** Every route there is, as `nuxt.config.ts` reads them from their files. */
declare module '#needler/routes' {
  const routes: { path: string; method: string }[]
  export default routes
}
