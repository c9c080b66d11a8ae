import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { sentenceOf } from '../../core/refusal.ts'
import { sql } from 'drizzle-orm'
import { connectTo, disconnect, database, type Transaction } from '../../server/db/client.ts'
import { peopleWhoSign } from '../../server/db/people.ts'
import { append } from '../../server/db/append.ts'
import type { OpenJob } from '../../shared/answers.ts'
import { wayTo, type Way } from '../faults/proxy.ts'
import { note } from '../load/crowd.ts'
import {
  codeOf,
  fillDatabase,
  freePort,
  listenTo,
  signIn,
  startServer,
  type RunningServer,
  type SignedIn,
} from './server.ts'

/** The database as the server sees it, over a way that can be cut and held up. */
let way: Way
let server: RunningServer
let fitter: SignedIn
let job: OpenJob

const post = (body: object) => fitter.post(`/api/jobs/${job.id}/entries`, body)

/** Ms until something is so. */
async function until(so: () => Promise<boolean>, withinMs = 10_000): Promise<number> {
  const from = Date.now()
  while (!(await so())) {
    if (Date.now() - from > withinMs) throw new Error(`not within ${withinMs} ms`)
    await new Promise(resolve => setTimeout(resolve, 50))
  }
  return Date.now() - from
}
const isWell = async () => (await fetch(`${server.url}/api/health`)).ok

beforeEach(async () => {
  way.mend()
  await until(isWell)
})
beforeAll(async () => {
  await fillDatabase()
  const direct = new URL(process.env.DATABASE_URL!)
  way = await wayTo(Number(direct.port))
  direct.port = String(way.port)
  server = await startServer({ databaseUrl: direct.href })
  fitter = await signIn(server.url, 'T. Brisco')
  job = ((await (await fitter.get('/api/jobs')).json()) as OpenJob[])[0]!
})
afterAll(async () => {
  await server.stop()
  await way.close()
  await disconnect()
})

describe('a database that goes and comes', () => {
  it.each(['cut', 'hold'] as const)('%s: 503 in words within 3 s, and well again by itself', async how => {
    const waiting = note('kept')
    expect((await post(note('before'))).status).toBe(200)
    way[how]()
    const from = Date.now()
    const answers = await Promise.all([post(waiting), fitter.get('/api/yard'), fetch(`${server.url}/api/health`)])
    expect(Date.now() - from).toBeLessThan(3000)
    expect(answers.map(one => one.status)).toEqual([503, 503, 503])
    for (const one of answers) expect(await codeOf(one)).toBe('database.away')
    // Asked without its words, health tells the truth, too.
    expect((await fetch(`${server.url}/api/health`, { method: 'HEAD' })).status).toBe(503)
    // By now it is known to be away, and nobody waits.
    const again = Date.now()
    expect((await post(waiting)).status).toBe(503)
    expect(Date.now() - again).toBeLessThan(500)
    way.mend()
    await until(isWell)
    expect((await post(waiting)).status).toBe(200)
    // Sent again, it is not there twice.
    expect((await post(waiting)).status).toBe(200)
    const ledger = (await (await fitter.get(`/api/jobs/${job.id}/entries?after=0`)).json()) as { id: string }[]
    expect(ledger.filter(one => one.id === waiting.id)).toHaveLength(1)
  })

  it('cut in the middle of a transaction: the transaction fails, and who asks next on that connection is answered', async () => {
    const over = new URL(process.env.DATABASE_URL!)
    over.port = String(way.port)
    const one = connectTo(over.href, 1)
    const cutOff = (nested: boolean) =>
      one.db.transaction(async outer => {
        const sleep = (tx: Transaction) => tx.execute(sql`select pg_sleep(20)`)
        await outer.execute(sql`select 1`)
        await (nested ? outer.transaction(sleep) : sleep(outer))
      })
    for (const nested of [false, true, false]) {
      await one.db.execute(sql`select 1`)
      setTimeout(way.shake, 200)
      await expect(cutOff(nested)).rejects.toThrow()
      expect(await one.db.execute(sql`select 2 as two`)).toEqual([{ two: 2 }])
    }
    await one.end()
  })

  it('the stream tells that it went and came, and what was written meanwhile by another process', async () => {
    const lead = {
      ...(await peopleWhoSign(database())).find(one => one.role === 'lead')!,
      competences: [],
      pinIsOwn: true,
    }
    const stream = await listenTo(fitter, job.id)
    await stream.hears(/data: \{"seq":\d+/)
    way.cut()
    await stream.hears('event: database\ndata: away')
    const answer = await append(database(), job.id, lead, [note('from another process')])
    if (!answer.kept) throw new Error(sentenceOf(answer.refusal))
    way.mend()
    await stream.hears('event: database\ndata: back')
    await stream.hears(`data: {"seq":${answer.lastSeq}}\n`)
    expect(stream.isOver()).toBe(false)
    stream.stop()
  })

  it('connections that are shaken off cost nothing that was acknowledged', async () => {
    const acknowledged: string[] = []
    for (let i = 0; i < 20; i++) {
      if (i % 5 === 3) way.shake()
      const one = note(`shaken ${i}`)
      for (let tries = 0; tries < 20; tries++)
        if ((await post(one)).ok) {
          acknowledged.push(one.id)
          break
        } else await until(isWell)
    }
    const ledger = (await (await fitter.get(`/api/jobs/${job.id}/entries?after=0`)).json()) as {
      id: string
      seq: number
    }[]
    const ids = ledger.map(one => one.id)
    expect(acknowledged).toHaveLength(20)
    for (const id of acknowledged) expect(ids.filter(one => one === id)).toHaveLength(1)
    expect(ledger.map(one => one.seq)).toEqual(ledger.map((_, i) => i + 1))
  })
})

describe('stopping', () => {
  it('takes less than three seconds with pages open, and their streams end', async () => {
    const port = await freePort()
    const other = await startServer({ port })
    const me = await signIn(other.url, 'T. Brisco')
    const streams = await Promise.all(Array.from({ length: 5 }, () => listenTo(me, job.id)))
    await Promise.all(streams.map(one => one.hears(/data: \{"seq":\d+/)))
    const from = Date.now()
    await other.stop('SIGTERM')
    expect(Date.now() - from).toBeLessThan(3000)
    await until(async () => streams.every(one => one.isOver()))
  })
})
