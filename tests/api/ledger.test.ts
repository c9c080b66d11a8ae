import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { sql } from 'drizzle-orm'
import { database, disconnect } from '../../server/db/client.ts'
import { rebuildProjections } from '../../server/db/rebuild.ts'
import { reading, START_TRIED } from '../pump.ts'
import { codeOf, fillDatabase, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

let server: RunningServer
let second: RunningServer
let fitter: SignedIn
let other: SignedIn
let lead: SignedIn
let stores: SignedIn
let planner: SignedIn
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  second = await startServer()
  fitter = await signIn(server.url, 'R. Okell')
  other = await signIn(second.url, 'T. Brisco')
  lead = await signIn(server.url, 'O. Hallam')
  stores = await signIn(server.url, 'P. Moorcott')
  planner = await signIn(server.url, 'I. Vahl')
})
afterAll(async () => {
  await server?.stop()
  await second?.stop()
  await disconnect()
})

const entry = (kind: string, payload: unknown, more: object = {}) => {
  const id = uuid()
  return { id, kind, payload, act: id, madeAt: new Date().toISOString(), ...more }
}
const post = (job: string, body: unknown, who = fitter) => who.post(`/api/jobs/${job}/entries`, body)
const entriesOf = async (job: string) =>
  (await (await fitter.get(`/api/jobs/${job}/entries`)).json()) as {
    id: string
    kind: string
    madeBy: string
    seq: number
    madeAt: string
    receivedAt: string
  }[]

/** A job of its own on a machine, cancelled afterwards so that the next test finds the machine free. */
async function onJob(act: (job: string) => Promise<void>, tag = 'P-214A') {
  const opened = await planner.post('/api/jobs', { equipment: tag, complaint: 'Test' })
  expect(opened.status).toBe(200)
  const { id } = (await opened.json()) as { id: string }
  try {
    await act(id)
  } finally {
    expect((await lead.signs(id, entry('job.cancelled', { why: 'Only a test' }))).status).toBe(200)
  }
}

describe('who may what', () => {
  it.each([
    ['stores signs no record', 'job.signed', { cured: 'yes' }, () => stores],
    ['stores confirms no step', 'step.done', { step: 'isolate' }, () => stores],
    ['a planner decides no part', 'part.decided', { parts: ['hub'], choice: 'reuse' }, () => planner],
    ['a fitter cancels no job', 'job.cancelled', { why: 'x' }, () => fitter],
  ])('%s', (_, kind, payload, who) =>
    onJob(async job => {
      const answer = await post(job, entry(kind, payload), who())
      expect(answer.status).toBe(403)
      expect(await codeOf(answer)).toBe('claim.role')
      expect(await entriesOf(job)).toHaveLength(1)
    }),
  )
  it('a fitter signs no hold', () =>
    onJob(async job => {
      const answer = await fitter.signs(job, entry('hold.signed', { step: 'decide', basis: [] }))
      expect(answer.status).toBe(422)
      expect(await codeOf(answer)).toBe('signer.lead')
    }))
  it('nobody signs on a paper that does not stand by their name, or as the only lead where there is another', () =>
    onJob(async job => {
      const on = { by: 'certified', of: 'lifting gear' }
      const signed = await lead.signs(job, entry('hold.signed', { step: 'decide', basis: [], on }))
      expect(signed.status).toBe(403)
      expect(await codeOf(signed)).toBe('claim.paper')
      const { id } = (await (await lead.post('/api/people', { name: 'Another lead', role: 'lead' })).json()).person
      const of = { kind: 'hold', step: 'decide' }
      const alone = await lead.signs(job, entry('concession.given', { of, why: 'x', onlyLead: true }))
      expect(await codeOf(alone)).toBe('claim.anotherLead')
      await lead.patch(`/api/people/${id}`, { active: false })
      const now = await lead.signs(job, entry('concession.given', { of, why: 'x', onlyLead: true }))
      expect(now.status).toBe(200)
    }))
  it('a signature among many entries waits for the gate like one alone', () =>
    onJob(async job => {
      const answer = await lead.signs(job, [
        entry('note.written', { text: 'a' }),
        entry('job.signed', { cured: 'yes' }),
      ])
      expect(answer.status).toBe(422)
      expect(await codeOf(answer)).toBe('job.gateShut')
      expect(await entriesOf(job)).toHaveLength(1)
    }))
  it('a machine is free again once its job is cancelled, and the record says why', async () => {
    let cancelled = ''
    await onJob(async job => {
      cancelled = job
      expect((await fitter.post('/api/jobs', { equipment: 'P-214A', complaint: 'planned' })).status).toBe(409)
    })
    const open = (await (await fitter.get('/api/jobs')).json()) as { id: string }[]
    expect(open.some(one => one.id === cancelled)).toBe(false)
    expect((await post(cancelled, entry('note.written', { text: 'x' }))).status).toBe(422)
    expect((await post(cancelled, entry('addendum.written', { text: 'x' }))).status).toBe(200)
    await onJob(async () => {})
  })
})

describe('corrections', () => {
  it('a note stays a note, and belongs to who puts it otherwise', () =>
    onJob(async job => {
      const note = entry('note.written', { text: 'grit at the drain' })
      await post(job, note)
      const fix = (payload: object, who = fitter) =>
        who.signs(job, entry('entry.corrected', { target: note.id, why: 'slip', replacement: payload }))
      expect((await fix({ step: 'rotor-out' })).status).toBe(422)
      expect((await fix({ kind: 'step.done', payload: { step: 'rotor-out' } })).status).toBe(422)
      const theirs = await fix({ text: 'no grit' }, other)
      expect(theirs.status).toBe(422)
      expect(await codeOf(theirs)).toBe('entry.notYours')
      expect((await fix({ text: 'no grit' }, lead)).status).toBe(200)
    }))
})

describe('one number, one act', () => {
  it('sent again by somebody else, it is taken', () =>
    onJob(async job => {
      const one = entry('note.written', { text: 'x' })
      expect((await post(job, one)).status).toBe(200)
      expect((await post(job, one)).status).toBe(200)
      expect((await post(job, { ...one, id: one.id.toUpperCase() })).status).toBe(400)
      expect((await post(job, one, other)).status).toBe(409)
      expect(await entriesOf(job)).toHaveLength(2)
    }))
  it('sent to two jobs at once, one has it and the other says so', () =>
    onJob(first =>
      onJob(async next => {
        for (let i = 0; i < 8; i++) {
          const one = entry('note.written', { text: 'x' })
          const answers = await Promise.all([post(first, one), post(next, one, other)])
          expect(answers.map(answer => answer.status).sort()).toEqual([200, 409])
        }
        const lengths = [(await entriesOf(first)).length, (await entriesOf(next)).length]
        expect(lengths[0]! + lengths[1]!).toBe(2 + 8)
      }, 'P-440'),
    ))
  it('sent at once by the same hand, it is there once', () =>
    onJob(async job => {
      const one = entry('note.written', { text: 'x' })
      const answers = await Promise.all(Array.from({ length: 6 }, () => post(job, one)))
      expect(answers.map(answer => answer.status)).toEqual(Array.from({ length: 6 }, () => 200))
      expect(await entriesOf(job)).toHaveLength(2)
    }))
})

describe('whose act it is', () => {
  const note = (more: object) => entry('note.written', { text: 'Dowel is tight' }, more)
  it('what another did is not taken for an act of whoever is signed in', () =>
    onJob(async job => {
      const answer = await post(job, note({ by: other.id }))
      expect(answer.status).toBe(409)
      expect(await codeOf(answer)).toBe('claim.another')
      expect((await post(job, note({ by: fitter.id }))).status).toBe(200)
    }))
  it('a lead vouches for it, and both stand in the ledger', () =>
    onJob(async job => {
      const one = note({ by: other.id, vouched: true })
      expect((await post(job, one, fitter)).status).toBe(403)
      expect((await post(job, one, lead)).status).toBe(200)
      expect((await post(job, one, lead)).status).toBe(200)
      expect((await entriesOf(job)).at(-1)).toMatchObject({ madeBy: other.id, role: 'fitter', vouchedBy: lead.id })
    }))
  it('the one vouched for may do what their own role may, no more', () =>
    onJob(async job => {
      const renewed = { part: 'gland-packing', from: 'kit', batch: '1' }
      const answer = await post(job, entry('part.lifted', renewed, { by: planner.id, vouched: true }), lead)
      expect([400, 403]).toContain(answer.status)
    }))
  it('nobody vouches for a signature', () =>
    onJob(async job => {
      const sign = entry('job.cancelled', { why: 'x' }, { by: other.id, vouched: true })
      const answer = await post(job, sign, lead)
      expect(answer.status).toBe(403)
      expect(await codeOf(answer)).toBe('claim.ownPin')
    }))
  it('nobody vouches for what rests on a paper, not even who holds it', () =>
    onJob(async job => {
      const on = { by: 'competent', of: 'lifting gear', until: '2027-09-30' }
      const done = (more: object = {}) => entry('step.done', { step: 'isolate', on }, more)
      const vouched = await post(job, done({ by: other.id, vouched: true }), lead)
      expect([vouched.status, await codeOf(vouched)]).toEqual([403, 'claim.ownPin'])
      const others = await post(job, done())
      expect([others.status, await codeOf(others)]).toEqual([403, 'claim.paper'])
      for (const wrong of ['me', { by: 'king', of: 'x' }, { ...on, more: 1 }])
        expect((await post(job, entry('step.done', { step: 'isolate', on: wrong }))).status).toBe(400)
    }))
  it('what was not found anywhere came from nowhere', () =>
    onJob(async job => {
      const said = (step: string, word = 'metal') => post(job, entry('origin.said', { step, word, from: 'A pin' }))
      expect(await codeOf(await said('drain'))).toBe('origin.notFound')
      expect((await said('__proto__')).status).toBe(422)
      expect((await said('drain', 'm'.repeat(400))).status).toBe(400)
    }))
  it('what does not wait is not begun, and only a lead cuts short what does', () =>
    onJob(async job => {
      const begun = (step: unknown) => post(job, entry('wait.begun', { step }))
      expect(await codeOf(await begun('isolate'))).toBe('wait.none')
      expect((await begun('__proto__')).status).toBe(422)
      expect((await begun({ step: 'leak-test' })).status).toBe(400)
      expect(await codeOf(await begun('leak-test'))).toBe('step.hindered')
      const ended = (more: object) => post(job, entry('wait.ended', { step: 'leak-test', ...more }))
      expect(await codeOf(await ended({}))).toBe('wait.notBegun')
      expect((await ended({ why: ' ' })).status).toBe(400)
      expect((await ended({ why: 'No time', until: '2020-01-01' })).status).toBe(400)
    }))
  it('somebody who was never here is named as that', () =>
    onJob(async job => {
      expect((await post(job, note({ by: uuid(), vouched: true }), lead)).status).toBe(422)
    }))
  it('a page left open while another signed in writes nothing in their name', async () => {
    const opened = { equipment: 'P-440', complaint: 'Test' }
    const answer = await planner.post('/api/jobs', opened, { 'x-needler-person': fitter.id })
    expect(answer.status).toBe(409)
    expect(await codeOf(answer)).toBe('admission.otherPerson')
  })
})

describe('time', () => {
  it('is kept as given, with the arrival beside it', () =>
    onJob(async job => {
      await post(job, entry('note.written', { text: 'x' }, { madeAt: '2026-05-01T10:00:00.000Z' }))
      const last = (await entriesOf(job)).at(-1)!
      expect(last.madeAt).toBe('2026-05-01T10:00:00.000Z')
      expect(Date.parse(last.receivedAt)).toBeGreaterThan(Date.parse('2026-06-01'))
    }))
  it('late, a step counts where the parts allow it, and a lead concedes what it went past', () =>
    onJob(async job => {
      const late = { madeAt: new Date(Date.now() - 3_600_000).toISOString() }
      expect((await post(job, entry('step.done', { step: 'isolate' }))).status).toBe(422)
      expect((await post(job, entry('step.done', { step: 'isolate' }, late))).status).toBe(200)
      expect((await post(job, entry('step.done', { step: 'pipe-off' }, late))).status).toBe(422)
      const [, step] = await entriesOf(job)
      const of = { kind: 'late', entry: step!.id, nth: 0 }
      expect((await post(job, entry('concession.given', { of, why: 'Seen' }), fitter)).status).toBe(403)
      expect((await lead.signs(job, entry('concession.given', { of, why: 'Seen' }))).status).toBe(200)
    }))
})

describe('two tablets', () => {
  it('a press meant for a step that is settled meanwhile lifts nothing under a wrong name', () =>
    onJob(async job => {
      const read = (step: string) => entry('caution.read', { step, caution: 0 })
      const tried = START_TRIED.map(([kind, payload]) => entry(kind, payload))
      await post(job, [read('isolate'), entry('step.done', { step: 'isolate' }), ...tried])
      const press = () => [
        entry('part.lifted', { parts: ['guard'], step: 'guard-off' }),
        entry('step.done', { step: 'guard-off' }),
      ]
      const answers = await Promise.all([post(job, press()), post(job, press(), other)])
      expect(answers.map(one => one.status).sort()).toEqual([200, 422])
      // Two may work two steps.
      // Who does it reads its caution.
      await post(job, read('drain'), other)
      expect((await post(job, entry('step.done', { step: 'drain', note: 'clear juice' }), other)).status).toBe(200)
      const lifted = (await entriesOf(job)).filter(one => one.kind === 'part.lifted')
      expect(lifted).toHaveLength(1)
      // So that the machine is whole again, whoever was first.
      const done = (await entriesOf(job)).find(one => one.seq === lifted[0]!.seq + 1)!
      for (const one of [done, lifted[0]!])
        expect((await lead.signs(job, entry('entry.corrected', { target: one.id, why: 'test' }))).status).toBe(200)
    }))
})

describe('numbers for tags and bags', () => {
  const take = async (who: SignedIn, count: unknown) => {
    const answer = await who.post('/api/labels', { count })
    return { status: answer.status, numbers: ((await answer.json()) as { numbers?: number[] }).numbers ?? [] }
  }
  it('are given once, however many devices ask at the same time, and follow the demo’s own', async () => {
    const given = await Promise.all(Array.from({ length: 20 }, (_, i) => take(i % 2 ? other : fitter, 7)))
    const numbers = given.flatMap(one => one.numbers)
    expect(new Set(numbers).size).toBe(140)
    const used = await database().execute<{ tag: string }>(
      sql`select payload->>'tag' as tag from entry where kind = 'part.tagged'`,
    )
    const highest = Math.max(...used.map(one => Number(one.tag.slice(1))))
    expect(Math.min(...numbers)).toBeGreaterThan(highest)
  })
  it('are not given by the thousand, nor to who only looks', async () => {
    expect((await take(fitter, 51)).status).toBe(400)
    expect((await take(fitter, 'many')).status).toBe(400)
    expect((await take(stores, 1)).status).toBe(403)
  })
})

describe('rebuild', () => {
  it('is safe while entries come in', () =>
    onJob(async job => {
      const notes = Array.from({ length: 30 }, (_, i) =>
        post(job, entry('note.written', { text: `n${i}` }), i % 2 ? other : fitter),
      )
      const [rebuilt, ...answers] = await Promise.all([rebuildProjections(database()), ...notes])
      expect(rebuilt.jobs).toBeGreaterThan(5)
      expect(answers.every(one => one.status === 200)).toBe(true)
      expect((await entriesOf(job)).map(one => one.seq)).toEqual(Array.from({ length: 31 }, (_, i) => i + 1))
    }))
})

describe('two processes at one job', () => {
  const tables = async (job: string) => {
    const rows = async (what: string) =>
      [...(await database().execute(sql.raw(what)))].map(row => JSON.stringify(row)).toSorted()
    return {
      readings: await rows(`select * from reading where job_id = '${job}'`),
      fitted: await rows(`select * from fitted_part where job_id = '${job}'`),
      movements: await rows(`select * from stock_movement where job_id = '${job}'`),
      machine: await rows(`select * from equipment_state where equipment_tag = 'P-214A'`),
      row: await rows(`select last_seq, signed_at, cancelled_at from job where id = '${job}'`),
    }
  }
  const gap = (text: string) => reading('hub-gap', 'asFound', [[text]])

  it('see what the other wrote, and leave the tables as a rebuild makes them', () =>
    onJob(async job => {
      const kept = async (body: unknown, who: SignedIn) => expect((await who.signs(job, body)).status).toBe(200)
      const caution = entry('caution.read', { step: 'isolate', caution: 0 })
      await kept(caution, fitter)
      await kept(entry('step.done', { step: 'isolate' }), fitter)
      for (const [kind, payload] of START_TRIED) await kept(entry(kind, payload), fitter)
      await kept(entry('note.written', { text: 'seen by the other' }), other)
      const lifted = entry('part.lifted', { parts: ['guard'], step: 'guard-off' })
      const done = entry('step.done', { step: 'guard-off' })
      await kept(lifted, other)
      await kept(done, fitter)
      const read = entry('reading.taken', gap('37.9'))
      await kept(read, fitter)
      for (let i = 0; i < 6; i++) await kept(entry('note.written', { text: String(i) }), i % 2 ? fitter : other)
      expect((await tables(job)).readings).toHaveLength(4)
      // Corrected, taken back, and taken again by the other process.
      const again = entry('entry.corrected', { target: read.id, why: 'misread', replacement: gap('38.2') })
      await kept(again, fitter)
      expect((await tables(job)).readings.join()).toContain('38.2')
      await kept(entry('entry.corrected', { target: again.id, why: 'no' }), fitter)
      await kept(entry('note.written', { text: 'between' }), other)
      await kept(entry('entry.corrected', { target: read.id, why: 'not read at all' }), fitter)
      expect((await tables(job)).readings).toHaveLength(3)
      const last = entry('reading.taken', gap('38.0'))
      await kept(last, other)
      const before = await tables(job)
      await rebuildProjections(database(), 'P-214A')
      expect(await tables(job)).toEqual(before)
      expect((await entriesOf(job)).map(one => one.seq)).toEqual(Array.from({ length: 21 }, (_, i) => i + 1))
      // So that the machine is whole again.
      for (const { id } of [last, done, lifted])
        await kept(entry('entry.corrected', { target: id, why: 'Only a test' }), lead)
    }))
})
