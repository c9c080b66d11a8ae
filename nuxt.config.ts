import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'

/** Worker threads of the server are a file of their own beside it: Nitro makes none. */
const buildWorkers = (folder: string) =>
  build({
    entryPoints: ['server/heavy/worker.ts'],
    outfile: join(folder, 'heavy.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    // It has a library of the machine's own beside it, and lies among the server's packages: the route that takes
    // photographs asks for it as well, and so it is put there.
    external: ['sharp'],
    // What is still written the old way asks for the system's own modules by require, and where it lies.
    banner: {
      js: "import { createRequire as requireOf } from 'node:module'; const require = requireOf(import.meta.url); const __dirname = import.meta.dirname;",
    },
  })

/** Every route there is, from the files that answer them: `jobs/[id]/stream.get.ts` is GET of `/api/jobs/[id]/stream`. */
const routeFiles = () =>
  readdirSync('server/api', { recursive: true, encoding: 'utf8' }).flatMap(file => {
    const [, path, method] = /^(.*?)(?:\/index|^index)?\.(get|head|post|patch|put|delete)\.ts$/.exec(file) ?? []
    return path === undefined || method === undefined ? [] : [{ path: `/api/${path}`, method: method.toUpperCase() }]
  })

/** Checked whole, used by a screen or not. */
const checkedRooms = ['core', 'command', 'demo', 'library', 'tests'].map(room => `../${room}/**/*.ts`)
const tsConfig = {
  compilerOptions: { allowImportingTsExtensions: true, noUncheckedIndexedAccess: true, resolveJsonModule: true },
}

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  modules: ['@element-plus/nuxt', '@pinia/nuxt', '@vueuse/nuxt', 'nuxt-auth-utils', '@nuxt/eslint', '@vite-pwa/nuxt'],
  // A bench tool behind a sign-in: the pages are drawn in the browser, so that they can go on without the server.
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  features: { inlineStyles: false },
  // A place is fetched when a hand goes to it, not because its name is in sight.
  // A newer version is the worker's to notice.
  experimental: {
    appManifest: false,
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  css: ['~/assets/fonts.css', '~/assets/look.css', '~/assets/kit.css', '~/assets/drawings.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  imports: { dirs: ['say'] },
  app: {
    head: {
      title: 'Needler',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/needle.svg' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  // The pages open again without the network. A newer version waits until it is asked for.
  pwa: {
    registerType: 'prompt',
    manifest: {
      name: 'Needler',
      short_name: 'Needler',
      description: 'The bench companion of an overhaul',
      theme_color: '#1f3a68',
      background_color: '#1f3a68',
      display: 'standalone',
      icons: [{ src: '/needle.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2,svg}'],
      additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//],
      // A photograph never changes: what was looked at once is there without the network, until somebody signs out.
      runtimeCaching: [
        {
          urlPattern: /\/api\/photos\/[0-9a-f]{64}\?size=/,
          handler: 'CacheFirst',
          options: {
            cacheName: 'photographs',
            expiration: { maxEntries: 400 },
            cacheableResponse: { statuses: [200] },
          },
        },
      ],
    },
    client: { periodicSyncForUpdates: 3600 },
  },
  elementPlus: { importStyle: 'css', themes: ['dark'] },
  runtimeConfig: {
    session: {
      name: 'needler',
      password: '',
      maxAge: 60 * 60 * 12,
      // Plain http serves the workshop's own network; NUXT_SESSION_COOKIE_SECURE=true goes with https.
      cookie: { httpOnly: true, sameSite: 'strict', secure: false, path: '/' },
    },
  },
  nitro: {
    preset: 'node-server',
    typescript: { tsConfig },
    virtual: { '#needler/routes': () => `export default ${JSON.stringify(routeFiles())}` },
  },
  typescript: {
    strict: true,
    tsConfig,
    sharedTsConfig: { ...tsConfig, include: checkedRooms },
    nodeTsConfig: tsConfig,
  },
  hooks: {
    'nitro:init': nitro => {
      nitro.hooks.hook('compiled', async () => void (await buildWorkers(nitro.options.output.serverDir)))
    },
    // The Gauge room is a house of its own: its page and its sums (which the finder takes only when it opens) come when
    // they are asked for, not with the first page.
    'build:manifest': manifest => {
      // A page that shares its modules with what it fetches later is named like a part of the entry, and is none.
      const isPage = (key: string) => key.startsWith('_') && manifest[key]?.isDynamicEntry === true
      const comesLater = (key: string) =>
        key.includes('gauge-room') || key.includes('core/sums/') || manifest[key]?.name === '_craft_' || isPage(key)
      for (const [key, item] of Object.entries(manifest))
        item.dynamicImports = key === 'layouts/default.vue' ? [] : item.dynamicImports?.filter(one => !comesLater(one))
    },
  },
  vite: {
    build: {
      chunkSizeWarningLimit: 900,
      // A list of every file that another asks for is longer than most of these files, and the worker of the pages has
      // them all on the device after the first visit: each asks for its own. Styles come before what they dress.
      modulePreload: { resolveDependencies: (_, files) => files.filter(file => file.endsWith('.css')) },
    },
    worker: { format: 'es' },
  },
})
