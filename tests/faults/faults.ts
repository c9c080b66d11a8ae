import { mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { spawnSync } from 'node:child_process'
import { setTimeout } from 'node:timers/promises'
import { sql } from 'drizzle-orm'
import { loadThornmere } from '../../demo/load.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { connectTo } from '../../server/db/client.ts'
import { migrateToNewest } from '../../server/db/migrate.ts'
import type { OpenJob } from '../../shared/answers.ts'
import { freePort, listenTo, signIn, startServer, type RunningServer, type SignedIn } from '../api/server.ts'
import { jobsToWorkOn, note } from '../load/crowd.ts'
import { percentile, say } from '../load/say.ts'
import { Cluster } from './cluster.ts'
import { wayTo } from './proxy.ts'
import { storm, whatIsThere, type Storm } from './storm.ts'

/**
 * Attacks a server and a database of its own, on this machine alone, and says what became of what they had acknowledged.
 * Bounded: some three minutes. Ends with 1 when anything was lost, doubled or late.
 */
const FOLDER = process.env.NEEDLER_FAULTS!
const BIN = process.env.NEEDLER_PG_BIN!
const CLIENTS = 16

let wrong = 0
/** A figure held against what is wanted. */
function held(what: string, value: number, unit: string, most: number): void {
  const isGood = value <= most
  if (!isGood) wrong++
  say(
    what,
    `${Number.isInteger(value) ? value : value.toFixed(0)}${unit}`,
    `${isGood ? 'at most' : '✕ wanted at most'} ${most}${unit}`,
  )
}

const disk = join(FOLDER, 'disk')
mkdirSync(disk, { recursive: true })
const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=400m', 'tmpfs', disk]).status === 0
const cluster = await Cluster.make(mounted ? join(disk, 'pg') : join(FOLDER, 'pg'), BIN)
let server: RunningServer | undefined
const port = await freePort()
process.env.NUXT_SESSION_PASSWORD ??= 'x'.repeat(40)
/** Errors that nobody in the server waited for. */
let unexpected = 0
const begin = async () => {
  server = await startServer({
    hears: text => (unexpected += text.match(/uncaughtException|unhandledRejection/g)?.length ?? 0),
    port,
    databaseUrl: cluster.url('faults', 'needler_app'),
    env: { NEEDLER_DATA: cluster.data, NEEDLER_LOG: 'silent' },
  })
  return server
}

async function prepare(): Promise<{ fitter: SignedIn; jobs: OpenJob[] }> {
  cluster.start()
  const first = connectTo(cluster.url('postgres'), 1)
  await first.sql.unsafe('create role needler_app login')
  await first.sql.unsafe('create database faults')
  await first.end()
  await migrateToNewest(cluster.url('faults'), 'needler_app')
  const { db, end } = connectTo(cluster.url('faults'), 2)
  await loadThornmere(db)
  await end()
  const { url } = await begin()
  const fitter = await signIn(url, PEOPLE[0]!.name)
  return { fitter, jobs: await jobsToWorkOn(url, fitter, 8) }
}

/** Ms until the storm gets a good answer again. */
async function recovered(of: Storm): Promise<number> {
  const from = performance.now()
  while (of.lastGood() < from) {
    if (performance.now() - from > 60_000) return Number.POSITIVE_INFINITY
    await setTimeout(20)
  }
  return performance.now() - from
}

/** How a refusal is said, and how long that takes. */
async function refusedHow(by: SignedIn, job: OpenJob): Promise<{ ms: number; status: number; why: string }> {
  const from = performance.now()
  const answer = await by.post(`/api/jobs/${job.id}/entries`, note('refused'))
  const body = (await answer.json().catch(() => ({}))) as { data?: { why?: string } }
  return { ms: performance.now() - from, status: answer.status, why: body.data?.why ?? '' }
}

function refused(what: string, how: { ms: number; status: number; why: string }, status: number, words: RegExp): void {
  held(`  refused in words within`, how.ms, ' ms', 3000)
  if (how.status !== status || !words.test(how.why)) {
    wrong++
    say(`  ✕ ${what}: said otherwise`, String(how.status), how.why)
  }
}

const { fitter, jobs } = await prepare()
const all = new Set<string>()
const end = async (one: Storm) => {
  await one.stop()
  for (const id of one.acknowledged) all.add(id)
  say(
    '  acknowledged',
    String(one.acknowledged.size),
    [...one.refusals].map(([why, times]) => `${times} × ${why}`).join(', '),
  )
}

async function serverKilled() {
  console.log('Server killed three times in a storm of appends')
  const writing = storm(fitter, jobs, CLIENTS)
  for (let i = 0; i < 3; i++) {
    await setTimeout(1500)
    await server!.stop('SIGKILL')
    const from = performance.now()
    await begin()
    held('  answers again after', performance.now() - from, ' ms', 10_000)
    await recovered(writing)
  }
  await setTimeout(500)
  await end(writing)
}

async function databaseKilled() {
  console.log('Database killed twice in a storm of appends')
  const writing = storm(fitter, jobs, CLIENTS)
  for (let i = 0; i < 2; i++) {
    await setTimeout(1500)
    cluster.kill()
    refused('database killed', await refusedHow(fitter, jobs[0]!), 503, /does not reach its database/)
    await setTimeout(1000)
    const from = performance.now()
    cluster.start()
    const up = performance.now() - from
    held('  the server goes on after it is up', await recovered(writing), ' ms', 3000)
    say('  the database itself took', `${up.toFixed(0)} ms`)
  }
  await setTimeout(500)
  await end(writing)
}

async function databaseFrozen() {
  console.log('Database stopped in its tracks for six seconds')
  const writing = storm(fitter, jobs, CLIENTS)
  await setTimeout(1000)
  cluster.freeze()
  refused('database frozen', await refusedHow(fitter, jobs[0]!), 503, /does not reach its database/)
  await setTimeout(3500)
  cluster.thaw()
  held('  goes on after', await recovered(writing), ' ms', 3000)
  await end(writing)
}

async function connectionsCut() {
  console.log('Every connection of the server to its database cut, ten times')
  const writing = storm(fitter, jobs, CLIENTS)
  const { sql: owner, end: leave } = connectTo(cluster.url('faults'), 1)
  let longest = 0
  for (let i = 0; i < 10; i++) {
    await setTimeout(300)
    await owner`select pg_terminate_backend(pid) from pg_stat_activity where usename = 'needler_app'`
    longest = Math.max(longest, await recovered(writing))
  }
  await leave()
  held('  goes on after, at the longest', longest, ' ms', 3000)
  await end(writing)
}

async function streamsCut() {
  console.log('Two hundred streams, all cut at once')
  const way = await wayTo(port)
  const by = {
    ...fitter,
    get: (path: string, more: RequestInit = {}) =>
      fetch(`http://127.0.0.1:${way.port}${path}`, { ...more, headers: { cookie: fitter.cookie } }),
  }
  const open = () => Promise.all(Array.from({ length: 200 }, (_, i) => listenTo(by, jobs[i % jobs.length]!.id)))
  const streams = await open()
  await Promise.all(streams.map(one => one.hears(/data: \{"seq":\d+/)))
  const { db, end: leave } = connectTo(cluster.url('faults'), 1)
  const [row] = await db.execute<{ n: number }>(sql`
    select count(*)::int as n from pg_stat_activity where usename = 'needler_app' and query ilike 'listen%'`)
  await leave()
  held('  connections that listen', row!.n, '', 1)
  way.shake()
  const written = await Promise.all(jobs.map(job => fitter.post(`/api/jobs/${job.id}/entries`, note('while cut'))))
  const seqs = await Promise.all(written.map(async one => ((await one.json()) as { lastSeq: number }).lastSeq))
  const from = performance.now()
  const again = await open()
  await Promise.all(again.map((one, i) => one.hears(new RegExp(`data: \\{"seq":${seqs[i % jobs.length]!}[,}]`))))
  held('  all of them know what they missed after', performance.now() - from, ' ms', 3000)
  again.forEach(one => one.stop())
  await way.close()
}

async function flooded() {
  console.log('Flood: 400 requests at once, among them bodies too large and no bodies at all')
  const times: number[] = []
  let isOver = false
  const health = (async () => {
    while (!isOver) {
      const from = performance.now()
      await (await fetch(`${fitter.url}/api/health`)).arrayBuffer()
      times.push(performance.now() - from)
      await setTimeout(50)
    }
  })()
  const large = 'x'.repeat(300 * 1024)
  const answers = await Promise.all(
    Array.from({ length: 400 }, async (_, i) => {
      const job = jobs[i % jobs.length]!.id
      const body = [note('flood'), large, '{', '[]', { id: 'x' }][i % 5]!
      return (await fitter.post(`/api/jobs/${job}/entries`, body).catch(() => null))?.status ?? 0
    }),
  )
  isOver = true
  await health
  const counts = new Map<number, number>()
  for (const one of answers) counts.set(one, (counts.get(one) ?? 0) + 1)
  say(
    '  answers',
    String(answers.length),
    [...counts].map(([status, times]) => `${times} × ${status || 'connection ended'}`).join(', '),
  )
  held('  answers that are the server’s own fault', answers.filter(one => one >= 500).length, '', 0)
  held('  health meanwhile, 95 of 100', percentile(times, 0.95), ' ms', 1000)
}

async function diskFilled() {
  if (!mounted) {
    console.log('A small disk: not tried, since this user may not mount one')
    return
  }
  console.log('The disk of the database filled up in a storm of appends')
  const writing = storm(fitter, jobs, 4)
  await setTimeout(500)
  const { bavail, bsize } = statfsSync(disk)
  const ballast = join(disk, 'ballast')
  writeFileSync(ballast, Buffer.alloc(bavail * bsize - 64 * 1024))
  // Until it notices: what it has reserved for its log is still there.
  const { sql: owner, end: leave } = connectTo(cluster.url('faults'), 1)
  await owner.unsafe(`create table filler as select repeat('x', 500) from generate_series(1, 200000)`).catch(() => {})
  await owner.unsafe(`select pg_switch_wal()`).catch(() => {})
  await leave().catch(() => {})
  const from = performance.now()
  let how = await refusedHow(fitter, jobs[0]!)
  while (how.status === 200 && performance.now() - from < 20_000) {
    await fitter.post(
      `/api/jobs/${jobs[0]!.id}/entries`,
      Array.from({ length: 50 }, () => note('x'.repeat(2000))),
    )
    how = await refusedHow(fitter, jobs[0]!)
  }
  refused('disk full', how, 507, /disk that holds the database, at .* is full/)
  say('  said', String(how.status), how.why)
  rmSync(ballast)
  const freed = performance.now()
  if (spawnSync(join(BIN, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(cluster.port)]).status !== 0) {
    await setTimeout(3000)
    if (spawnSync(join(BIN, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(cluster.port)]).status !== 0) {
      say('  the database had stopped itself', 'started')
      cluster.start()
    }
  }
  await recovered(writing)
  held('  goes on after room was made', performance.now() - freed, ' ms', 15_000)
  await end(writing)
}

async function stopped() {
  console.log('Told to stop with twenty pages open')
  const streams = await Promise.all(Array.from({ length: 20 }, (_, i) => listenTo(fitter, jobs[i % jobs.length]!.id)))
  await Promise.all(streams.map(one => one.hears(/data: \{"seq":\d+/)))
  const from = performance.now()
  await server!.stop('SIGTERM')
  held('  stopped after', performance.now() - from, ' ms', 3000)
  await begin()
}

try {
  const from = performance.now()
  for (const attack of [
    serverKilled,
    databaseKilled,
    databaseFrozen,
    connectionsCut,
    streamsCut,
    flooded,
    diskFilled,
    stopped,
  ])
    await attack()
  console.log('What is there in the end')
  const found = await whatIsThere(cluster.url('faults'), all)
  say('  acknowledged in all', String(found.acknowledged))
  held('  lost', found.lost, '', 0)
  held('  doubled', found.doubled, '', 0)
  held('  ledgers with gaps', found.gaps, '', 0)
  held('  errors the server did not expect', unexpected, '', 0)
  if (found.projections !== 'equal a rebuild') wrong++
  say('  projections', '', found.projections)
  say('took', `${((performance.now() - from) / 1000).toFixed(0)} s`)
} finally {
  await server?.stop('SIGKILL')
  cluster.stop()
  if (mounted) spawnSync('umount', ['-l', disk])
  rmSync(FOLDER, { recursive: true, force: true })
}
console.log(wrong ? `✕ ${wrong} not as wanted` : 'All as wanted')
process.exit(wrong ? 1 : 0)
