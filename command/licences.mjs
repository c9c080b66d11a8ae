// Lists what ships, with its licence: every package that stands in the built server or was built into it and its pages.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8')).packages
/** What the application needs at run time, and what that needs; what only builds or tests it is left out. */
const seen = new Map()
function visit(name, from) {
  const places = [...from.split('/node_modules/').keys()].map(depth =>
    join(...from.split('/node_modules/').slice(0, from.split('/node_modules/').length - depth), 'node_modules', name),
  )
  const place = [...places, join('node_modules', name)].find(one => lock[one])
  if (!place || seen.has(place)) return
  seen.set(place, lock[place])
  const { dependencies, peerDependencies, optionalDependencies = {} } = lock[place]
  for (const one of Object.keys({ ...dependencies, ...peerDependencies })) visit(one, place)
  // What ships for this sort of machine, of what a package has for several.
  for (const one of Object.keys(optionalDependencies)) if (existsSync(join('node_modules', one))) visit(one, place)
}
/** They build the application, and of them only their own run-time part is in it. */
const BUILDS = new Set(['nuxt', '@vite-pwa/nuxt', '@element-plus/nuxt', '@vueuse/nuxt', '@pinia/nuxt'])
for (const name of Object.keys(lock[''].dependencies))
  if (BUILDS.has(name)) seen.set(join('node_modules', name), lock[join('node_modules', name)])
  else visit(name, '.')
for (const name of ['nitropack', 'workbox-build'])
  seen.set(join('node_modules', name), lock[join('node_modules', name)])

/** Where a package does not name its licence, the text beside it does. */
const byText = place => {
  const file = ['LICENSE', 'LICENSE.md', 'LICENCE'].map(one => join(place, one)).find(one => existsSync(one))
  return file && /MIT|Permission is hereby granted, free of charge/.test(readFileSync(file, 'utf8'))
    ? 'MIT'
    : 'none given'
}
const rows = [...seen]
  .map(([place, { version }]) => {
    const { name, license } = JSON.parse(readFileSync(join(place, 'package.json'), 'utf8'))
    return { name, version, licence: (typeof license === 'string' ? license : license?.type) || byText(place) }
  })
  .sort((a, b) => a.name.localeCompare(b.name) || a.version.localeCompare(b.version))
writeFileSync(
  'docs/licences.md',
  `# Licences of what ships

Made by \`node command/licences.mjs\` from the lock file: the packages of the server and the pages, and what they need.
PostgreSQL and Node are not shipped; they come from their own packages. Fonts: Barlow, Barlow Condensed, DM Mono and
Noto Sans (Greek and Cyrillic, for records), SIL Open Font License 1.1, their texts beside them (\`server/assets/fonts\`).

| package | version | licence |
|---|---|---|
${rows.map(one => `| ${one.name} | ${one.version} | ${one.licence} |`).join('\n')}
`,
)
console.log(`${rows.length} packages`)
