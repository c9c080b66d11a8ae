import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { eq, sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { Technician } from '../../demo/technician.ts'
import { extend, type AnyEntry, type EntryKind } from '../../core/job/index.ts'
import { sentenceOf } from '../../core/refusal.ts'
import { append, SIGNED, type Arrival } from '../../server/db/append.ts'
import { digestOf } from '../../server/db/canonical.ts'
import { childTag, openChild } from '../../server/db/children.ts'
import { database, disconnect, ledgerDatabase } from '../../server/db/client.ts'
import { addMachine } from '../../server/db/fleet.ts'
import { openJob } from '../../server/db/jobs.ts'
import { entriesAfter } from '../../server/db/ledger.ts'
import { signersHere } from '../../server/db/people.ts'
import { rebuildProjections } from '../../server/db/rebuild.ts'
import { job } from '../../server/db/schema.ts'
import { planOf, shelve } from '../../server/db/sheets.ts'
import type { SignedInPerson } from '../../shared/answers.ts'
import { findingsOf, sheetNamed } from '../sheets.ts'
import { codeOf, fillDatabase, owner, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

/** A seal unit on a bench of its own: opened, signed and given up, and what its pump's ledger says of it. */

let server: RunningServer
let fitter: SignedIn
let okell: SignedInPerson
let hallam: SignedInPerson
beforeAll(async () => {
  await fillDatabase()
  for (const name of ['cartridge-seal-pump', 'dual-seal']) await shelve(database(), sheetNamed(name))
  server = await startServer()
  fitter = await signIn(server.url, 'R. Okell')
  const people = await signersHere(database())
  okell = people.find(one => one.name === 'R. Okell')!
  hallam = people.find(one => one.name === 'O. Hallam')!
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

const ARRIVED: Arrival = { at: one => one.madeAt, signed: true }
const now = () => new Date().toISOString()
const ledger = (id: string) => entriesAfter(database(), id, 0)
const last = async (id: string) => (await ledger(id)).at(-1)!

/** Works a job up to a step, or to its end, and sends what was done. */
async function work(id: string, until?: string, end?: (worker: Technician) => void) {
  const [row] = await database().select().from(job).where(eq(job.id, id))
  const findings = {
    ...findingsOf({}),
    fitter: okell.id,
    lead: hallam.id,
    held: { fitter: okell.competences, lead: hallam.competences },
  }
  const worker = new Technician(await planOf(database(), row!), findings, { id: () => uuid(), now })
  const first = await ledger(id)
  worker.folded = extend(worker.opened, worker.folded, first)
  worker.workUntil(until)
  end?.(worker)
  const { entries } = worker.folded
  for (let from = first.length, to = from; from < entries.length; from = to) {
    while (to < entries.length && entries[to]!.madeBy === entries[from]!.madeBy) to++
    const by = entries[from]!.madeBy === hallam.id ? hallam : okell
    const sent = entries
      .slice(from, to)
      .map(({ id: number, kind, payload, act, madeAt }) => ({ id: number, kind, payload, act, madeAt }))
    const answer = await append(ledgerDatabase(), id, by, sent, ARRIVED)
    if (!answer.kept) throw new Error(sentenceOf(answer.refusal))
  }
}
let pumps = 0
/** A pump of its own whose seal unit is off. */
async function pumpAtDecide() {
  const tag = `P-CH${++pumps}`
  await addMachine(database(), {
    ...{ tag, name: 'Pump of the tests', areaId: 'beet', line: 'tests', sheetId: 'cartridge-seal-pump' },
    ...{ variants: {}, hoursRun: 100, hoursPerWeek: 10 },
  })
  const opened = await openJob(ledgerDatabase(), tag, { complaint: 'Seal weeps' }, okell, now())
  if (!opened.ok) throw new Error(sentenceOf(opened.refusal))
  await work(opened.id, 'decide')
  return { id: opened.id, tag }
}
const open = (id: string, part = 'unit') => fitter.post(`/api/jobs/${id}/children`, { part })
const opened = async (id: string) => ((await (await open(id)).json()) as { id: string }).id
const entry = (kind: EntryKind, payload: object) => {
  const id = uuid()
  return { id, act: id, kind, payload, madeAt: now() }
}

describe('a job of its own for a sub-assembly', () => {
  it('is opened with its machine in the yard, and both ledgers say so', async () => {
    const { id, tag } = await pumpAtDecide()
    const answer = await open(id)
    expect(answer.status).toBe(200)
    const child = (await answer.json()) as { id: string; number: number }
    const [row] = await database().select().from(job).where(eq(job.id, child.id))
    expect([row!.equipmentTag, row!.sheetId, row!.complaint]).toEqual([`${tag}.unit`, 'dual-seal', 'Seal weeps'])
    const [first] = (await ledger(child.id)) as AnyEntry[]
    expect(first!.payload).toMatchObject({ parent: { job: id, part: 'unit', equipment: tag } })
    expect(await last(id)).toMatchObject({
      kind: 'child.opened',
      payload: { part: 'unit', job: child.id, number: child.number, equipment: `${tag}.unit` },
    })
    // Once more is one too many, and nothing is left of the attempt.
    const again = await open(id)
    expect([again.status, await codeOf(again)]).toEqual([409, 'opening.isOpen'])
    expect((await last(id)).payload).toMatchObject({ job: child.id })
  })
  it('comes back with the digest of its ledger as it is signed', async () => {
    const { id } = await pumpAtDecide()
    const child = await opened(id)
    await work(child, undefined, one => one.sign('yes', 'Springs had set'))
    const back = await last(id)
    expect(back).toMatchObject({ kind: 'child.returned', madeBy: hallam.id, payload: { job: child, cured: 'yes' } })
    const entries = await ledger(child)
    const { digest } = back.payload as { digest: string }
    expect(digest).toBe(digestOf(entries, entries.at(-1)!.seq!))
    // What it was set and proved to goes with it.
    expect((back.payload as unknown as { left: object[] }).left).toContainEqual({
      ...{ what: 'Springs lined up, outboard', verdict: 'Holds', value: '18.6 mm' },
    })
    // Another word anywhere in it, and it is another ledger.
    const altered = entries.map(one => (one.seq === 3 ? ({ ...one, payload: { step: 'x' } } as AnyEntry) : one))
    expect(digestOf(altered, entries.at(-1)!.seq!)).not.toBe(digest)
    await work(id, undefined, one => one.sign('yes'))
    expect((await last(id)).kind).toBe('job.signed')
  })
  it('whose ledger was written in since is found by a rebuild', async () => {
    const { id } = await pumpAtDecide()
    const child = await opened(id)
    await work(child, undefined, one => one.sign('yes'))
    const [row] = await database().select().from(job).where(eq(job.id, child))
    // Past what the database refuses to everybody else.
    const own = owner()
    const write = (from: string, to: string) =>
      own.db.transaction(async tx => {
        await tx.execute(sql`set local session_replication_role = replica`)
        await tx.execute(
          sql`update entry set payload = replace(payload::text, ${from}, ${to})::jsonb where job_id = ${child} and kind = 'job.signed'`,
        )
      })
    const [pump] = row!.equipmentTag.split('.')
    await write('yes', 'no')
    expect((await rebuildProjections(database(), pump)).altered).toEqual([row!.number])
    await write('no', 'yes')
    expect((await rebuildProjections(database(), pump)).altered).toEqual([])
    await own.end()
  })
  it('given up, leaves it to a lead what becomes of the part', async () => {
    const { id } = await pumpAtDecide()
    const child = await opened(id)
    const answer = await append(
      ledgerDatabase(),
      child,
      hallam,
      [entry('job.cancelled', { why: 'Wrong seal' })],
      SIGNED,
    )
    expect(answer.kept).toBe(true)
    expect(await last(id)).toMatchObject({ kind: 'child.cancelled', payload: { job: child, why: 'Wrong seal' } })
    const told = await fitter.post(`/api/jobs/${id}/entries`, entry('child.none', { part: 'unit', why: 'Sound' }))
    expect([told.status, await codeOf(told)]).toEqual([422, 'child.leadSays'])
    expect((await open(id)).status).toBe(200)
  })
  it('is refused in words', async () => {
    const { id } = await pumpAtDecide()
    const cases: [string, string, number, string | null][] = [
      [id, 'guard', 422, 'child.noBench'],
      [id, 'moon', 422, 'sheet.unknown'],
      [uuid(), 'unit', 404, 'child.noJob'],
      ['no-id', 'unit', 400, null],
    ]
    for (const [where, part, status, code] of cases) {
      const answer = await open(where, part)
      expect([part, answer.status, code && (await codeOf(answer))]).toEqual([part, status, code])
    }
  })
  it('is told of by nobody but the server', async () => {
    const { id } = await pumpAtDecide()
    const child = await opened(id)
    for (const [kind, payload] of [
      ['child.opened', { part: 'unit', job: child, number: 9, equipment: 'P-9' }],
      ['child.returned', { part: 'unit', job: child, digest: 'ab', cured: 'yes' }],
      ['child.cancelled', { part: 'unit', job: child, why: 'x' }],
    ] as [EntryKind, object][]) {
      const answer = await append(ledgerDatabase(), id, hallam, [entry(kind, payload)], SIGNED)
      expect([kind, answer.kept, !answer.kept && answer.refusal.code]).toEqual([kind, false, 'sent.ownOnly'])
    }
  })
  it('goes by no machine of another sheet that has its tag', async () => {
    const { id, tag } = await pumpAtDecide()
    await addMachine(database(), {
      ...{ tag: childTag(tag, 'unit'), name: 'In the way', areaId: 'beet', line: '', hoursRun: 0, hoursPerWeek: 0 },
      ...{ variants: {}, sheetId: 'cartridge-seal-pump' },
    })
    const answer = await open(id)
    expect([answer.status, await codeOf(answer)]).toEqual([409, 'child.other'])
  })
  it('has a tag of its own, however long its machine’s is', () => {
    expect(childTag('P-1', 'seal@de')).toBe('P-1.seal.de')
    expect(childTag('P'.repeat(40), 'unit')).toBe(`${'P'.repeat(35)}.unit`)
  })
  it('once more goes by the machine it had the first time', async () => {
    const { id, tag } = await pumpAtDecide()
    const child = await opened(id)
    await work(child, undefined, one => one.sign('yes'))
    await work(id, undefined, one => one.sign('yes'))
    const next = await openJob(ledgerDatabase(), tag, { complaint: 'Weeps again' }, okell, now())
    if (!next.ok) throw new Error(sentenceOf(next.refusal))
    await work(next.id, 'decide')
    const second = await openChild(ledgerDatabase(), next.id, 'unit', okell, now())
    expect(second.ok).toBe(true)
    const rows = await database()
      .select()
      .from(job)
      .where(eq(job.equipmentTag, childTag(tag, 'unit')))
    expect(rows).toHaveLength(2)
  })
})
