import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { extractText } from 'unpdf'
import { v7 as uuid } from 'uuid'
import { database, disconnect } from '../../server/db/client.ts'
import { addKey } from '../../server/db/keys.ts'
import { fillDatabase, pumpOfOwn, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

/** Records and long sums: nobody keeps them from the others, and a long record is whole. */

let server: RunningServer
let fitter: SignedIn
let other: SignedIn
let job: string
/** One that takes a second. */
let short: string
/** As long as a note may be, each with its number. */
const NOTES = 500
const noteText = (i: number) => `note${i}. ${'the bore is worn at its lower half; '.repeat(60)}`.slice(0, 1990)
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  fitter = await signIn(server.url, 'R. Okell')
  other = await signIn(server.url, 'T. Brisco')
  job = (
    (await (await fitter.post('/api/jobs', { equipment: await pumpOfOwn('P-902'), complaint: 'Long' })).json()) as {
      id: string
    }
  ).id
  const machine = (await (await fitter.get('/api/machines/P-214B')).json()) as { past: { id: string }[] }
  short = machine.past[0]!.id
  for (let from = 0; from < NOTES; from += 100) {
    const notes = Array.from({ length: 100 }, (_, i) => {
      const id = uuid()
      return {
        id,
        act: id,
        kind: 'note.written',
        payload: { text: noteText(from + i) },
        madeAt: new Date().toISOString(),
      }
    })
    expect((await fitter.post(`/api/jobs/${job}/entries`, notes)).status).toBe(200)
  }
}, 120_000)
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

const recordOf = (who: SignedIn, of: string, part = 1, signal?: AbortSignal) =>
  who.get(`/api/jobs/${of}/record.pdf?part=${part}`, { signal })

describe('a long record', () => {
  it('comes in parts that hold all of it, named by their number', async () => {
    const first = await recordOf(fitter, job)
    const parts = Number(first.headers.get('x-needler-parts'))
    expect(parts).toBeGreaterThan(2)
    expect(first.headers.get('content-disposition')).toContain(`-part-1-of-${parts}.pdf`)
    const found = new Set<number>()
    for (let part = 1; part <= parts; part++) {
      const bytes = part === 1 ? await first.arrayBuffer() : await (await recordOf(fitter, job, part)).arrayBuffer()
      const { text } = await extractText(new Uint8Array(bytes), { mergePages: true })
      expect(text).toContain(`part ${part} of ${parts}`)
      for (const [, n] of text.matchAll(/note(\d+)\./g)) found.add(Number(n))
      // A connection that the server let go of meanwhile is noticed before the next is asked for.
      await new Promise(resolve => setTimeout(resolve, 100))
    }
    expect(found.size).toBe(NOTES)
    const beyond = await recordOf(fitter, job, parts + 1)
    expect(beyond.status).toBe(404)
    expect(await beyond.text()).toMatch(/has \d+ parts/)
  }, 180_000)
})

describe('one person', () => {
  it('who asks for many records and hangs up keeps nobody else from theirs', async () => {
    const left = Array.from({ length: 30 }, () => {
      const stop = new AbortController()
      const asked = recordOf(fitter, short, 1, stop.signal).catch(() => null)
      setTimeout(() => stop.abort(), 5 + Math.random() * 120)
      return asked
    })
    await new Promise(resolve => setTimeout(resolve, 150))
    const from = Date.now()
    expect((await recordOf(other, short)).status).toBe(200)
    // Thirty of these would take half a minute and more; theirs waits for one at most.
    expect(Date.now() - from).toBeLessThan(15_000)
    await Promise.allSettled(left)
  })
  it('has so many waiting, and is told so; others come in between', async () => {
    const mine = Array.from({ length: 10 }, () => recordOf(fitter, short))
    await new Promise(resolve => setTimeout(resolve, 200))
    const order: string[] = []
    const theirs = recordOf(other, short).then(answer => {
      order.push('theirs')
      return answer
    })
    const all = await Promise.all(mine.map(one => one.then(answer => (order.push(`mine ${answer.status}`), answer))))
    expect((await theirs).status).toBe(200)
    expect(all.filter(one => one.status === 429).length).toBeGreaterThan(0)
    const done = order.filter(one => one !== 'mine 429')
    expect(done.indexOf('theirs')).toBeLessThan(done.length - 2)
  }, 180_000)
})

it('a key is no second caller by the case of its header, and stands in clear in no table', async () => {
  const key = (await addKey(database(), `case ${uuid()}`))!
  const ask = (authorization: string) =>
    fetch(`${server.url}/api/sums/clock`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', authorization },
      body: '{"hour":3}',
    })
  for (const word of ['Bearer', 'bearer', 'BEARER', 'Bearer ']) expect((await ask(`${word} ${key}`)).status).toBe(200)
  const rows = await database().execute<{ key: string; points: number }>('select key, points from request_limit')
  expect(rows.filter(row => row.key.includes(key))).toEqual([])
  expect(rows.filter(row => row.points === 4)).toHaveLength(1)
})
