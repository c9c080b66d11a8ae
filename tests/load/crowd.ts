import { Agent, request } from 'node:http'
import { setTimeout } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import type { OpenJob, YardArea } from '../../shared/answers.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { signIn, type SignedIn } from '../api/server.ts'
import { percentile, type Say } from './say.ts'

/** Where somebody writes a line into a job. */
export const note = (text: string) => {
  const id = uuid()
  return { id, act: id, kind: 'note.written' as const, payload: { text }, madeAt: new Date().toISOString() }
}

/** Connections that stay open: what is measured is the server, and little of the client. */
const agent = new Agent({ keepAlive: true, maxSockets: 400 })

/** One request, its answer read to the end: what it was and how long it took, ms. Throws when it is refused. */
export const asked = (by: SignedIn, path: string, body?: object): Promise<{ ms: number; answer: string }> =>
  new Promise((resolve, reject) => {
    const from = performance.now()
    const text = body && JSON.stringify(body)
    const headers = { 'cookie': by.cookie, 'origin': by.url, 'content-type': 'application/json' }
    const sent = request(
      by.url + path,
      {
        agent,
        method: text ? 'POST' : 'GET',
        headers: text ? { ...headers, 'content-length': Buffer.byteLength(text) } : headers,
      },
      answer => {
        const parts: Buffer[] = []
        answer.on('data', part => parts.push(part as Buffer))
        answer.once('end', () => {
          const ms = performance.now() - from
          if (answer.statusCode === 200) resolve({ ms, answer: Buffer.concat(parts).toString() })
          else reject(new Error(`${path}: ${answer.statusCode} ${Buffer.concat(parts).toString()}`))
        })
      },
    )
    sent.once('error', reject)
    sent.end(text)
  })

/** Asks again and again until told to stop; how long each answer took, ms. */
export async function askedUntil(by: SignedIn, path: (last: string) => string, pauseMs: number, isOver: () => boolean) {
  const times: number[] = []
  let last = ''
  while (!isOver()) {
    const { ms, answer } = await asked(by, path(last))
    times.push(ms)
    last = answer
    await setTimeout(pauseMs)
  }
  return times
}

/** Writes notes into a job one after the other until told to stop; how long each took, ms. */
export async function writtenUntil(by: SignedIn, job: string, isOver: () => boolean): Promise<number[]> {
  const times: number[] = []
  while (!isOver()) times.push((await asked(by, `/api/jobs/${job}/entries`, note('crowd'))).ms)
  return times
}

export const openJobsOf = async (by: SignedIn) => (await (await by.get('/api/jobs')).json()) as OpenJob[]

/** So many open jobs; more are opened on machines that have none. */
export async function jobsToWorkOn(url: string, by: SignedIn, count: number): Promise<OpenJob[]> {
  const planner = await signIn(url, PEOPLE.find(one => one.role === 'planner')!.name)
  const areas = (await (await by.get('/api/yard')).json()) as YardArea[]
  const free = areas.flatMap(one => one.machines).filter(one => !one.openJob)
  const missing = count - (await openJobsOf(by)).length
  for (const { tag } of free.slice(0, Math.max(0, missing)))
    await planner.post('/api/jobs', { equipment: tag, complaint: 'Under load' })
  return (await openJobsOf(by)).slice(0, count)
}

/** Between one question and the next of somebody who reads, ms. */
const PAUSE_MS = 100

/**
 * Fifty clients over thirteen jobs: appends a second, and how long everybody else waits meanwhile. The first seconds of a
 * server just started, when it has yet to read every job and the engine to compile, are not counted.
 */
export async function crowd(url: string, say: Say, clients = 50, ms = 8000, warmMs = 3000): Promise<void> {
  const fitter = await signIn(url, PEOPLE[0]!.name)
  const jobs = await jobsToWorkOn(url, fitter, 13)
  const { id, tag, entries } = jobs[0]!
  let seq = entries
  const reads: [string, (last: string) => string][] = [
    ...['/api/health', '/api/yard', '/api/jobs', `/api/machines/${tag}`].map((path): [string, () => string] => [
      path,
      () => path,
    ]),
    [
      'what is new in a job',
      last => {
        seq = last ? ((JSON.parse(last) as { seq: number }[]).at(-1)?.seq ?? seq) : seq
        return `/api/jobs/${id}/entries?after=${seq}`
      },
    ],
  ]
  const together = async (forMs: number) => {
    const until = performance.now() + forMs
    const isOver = () => performance.now() > until
    return Promise.all([
      Promise.all(Array.from({ length: clients }, (_, i) => writtenUntil(fitter, jobs[i % jobs.length]!.id, isOver))),
      Promise.all(reads.map(([, path]) => askedUntil(fitter, path, PAUSE_MS, isOver))),
    ])
  }
  await together(warmMs)
  const [written, read] = await together(ms)
  const appends = written.flat()
  say(
    `${clients} clients over ${jobs.length} jobs, appends a second`,
    `${((appends.length / ms) * 1000).toFixed(0)}`,
    'goal 250',
  )
  say('  an append meanwhile, 95 of 100', `${percentile(appends, 0.95).toFixed(0)} ms`)
  reads.forEach(([name], i) => {
    say(`  ${name} meanwhile, 95 of 100`, `${percentile(read[i]!, 0.95).toFixed(0)} ms`, 'goal 50 ms')
  })
}
