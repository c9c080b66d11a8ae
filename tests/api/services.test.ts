import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { MachineAnswer, YardArea } from '../../shared/answers.ts'
import { addMachine } from '../../server/db/fleet.ts'
import { database, disconnect } from '../../server/db/client.ts'
import { shelve } from '../../server/db/sheets.ts'
import { sheetNamed } from '../sheets.ts'
import { codeOf, fillDatabase, pumpOfOwn, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

let server: RunningServer
let fitter: SignedIn
let other: SignedIn
let lead: SignedIn
const [PUMP, HOIST] = ['P-SERV', 'H-SERV']
beforeAll(async () => {
  await fillDatabase()
  await pumpOfOwn(PUMP)
  await shelve(database(), sheetNamed('lever-hoist'))
  await addMachine(database(), {
    ...{ tag: HOIST, name: 'Hoist of the tests', areaId: 'beet', line: 'tests', sheetId: 'lever-hoist' },
    ...{ variants: {}, hoursRun: 10, hoursPerWeek: 0 },
  })
  server = await startServer()
  fitter = await signIn(server.url, 'R. Okell')
  other = await signIn(server.url, 'T. Brisco')
  lead = await signIn(server.url, 'O. Hallam')
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

const DAY_MS = 24 * 3_600_000
const daysAgo = (days: number) => new Date(Date.now() - days * DAY_MS).toISOString()
const told = (more: object) => ({ id: uuid(), service: 'oil', doneAt: daysAgo(0), hoursRun: 200, ...more })
const write = (who: SignedIn, tag: string, more: object) => who.post(`/api/machines/${tag}/services`, told(more))
const machine = async (tag: string) => (await (await fitter.get(`/api/machines/${tag}`)).json()) as MachineAnswer
const stands = async (tag: string) => {
  const areas = (await (await fitter.get('/api/yard')).json()) as YardArea[]
  return areas.flatMap(one => one.machines).find(one => one.tag === tag)!.services
}

describe('a service between overhauls', () => {
  it('is on record with who, when and what the meters showed, and moves what is next', async () => {
    expect((await stands(PUMP))[0]).toMatchObject({ id: 'oil', last: null, next: null })
    const answer = await write(fitter, PUMP, { doneAt: daysAgo(70), hoursRun: 150, note: 'Clear' })
    expect(answer.status).toBe(200)
    const { serviced, equipment } = await machine(PUMP)
    expect(serviced[0]).toMatchObject({ name: 'Oil of both bearing housings changed', hours: 150, note: 'Clear' })
    expect([serviced[0]!.by.name, equipment.hoursRun]).toEqual(['R. Okell', 150])
    const [oil] = await stands(PUMP)
    expect(oil!.last).toMatchObject({ hours: 150, withOverhaul: false })
    // Six months from ten weeks ago: sixteen weeks, or one less in a short half-year.
    expect(oil!.next!.decidedBy).toBe('calendar')
    expect([15, 16, 17]).toContain(oil!.next!.weeks)
  })
  it('sent twice is one', async () => {
    const sent = told({ hoursRun: 160 })
    for (const time of [1, 2])
      expect((await fitter.post(`/api/machines/${PUMP}/services`, sent)).status, `${time}`).toBe(200)
    expect((await machine(PUMP)).serviced.filter(one => one.id === sent.id)).toHaveLength(1)
  })
  it('is just now by the server’s clock where no day is said', async () => {
    const sent = { id: uuid(), service: 'oil', hoursRun: 165 }
    expect((await fitter.post(`/api/machines/${PUMP}/services`, sent)).status).toBe(200)
    const [row] = (await machine(PUMP)).serviced.filter(one => one.id === sent.id)
    expect(Date.now() - Date.parse(row!.doneAt)).toBeLessThan(60_000)
    await fitter.patch(`/api/machines/${PUMP}/services/${sent.id}`, { withdrawn: true })
  })
  it('under the number of another is refused', async () => {
    const sent = told({ hoursRun: 166 })
    await fitter.post(`/api/machines/${PUMP}/services`, sent)
    const theirs = await other.post(`/api/machines/${PUMP}/services`, sent)
    expect([theirs.status, await codeOf(theirs)]).toEqual([422, 'service.taken'])
    await fitter.patch(`/api/machines/${PUMP}/services/${sent.id}`, { withdrawn: true })
  })
  it('is refused in words where it cannot be', async () => {
    const cases: [object, number, string | null][] = [
      [{ service: 'moon' }, 422, 'service.unknown'],
      [{ doneAt: new Date(Date.now() + DAY_MS).toISOString() }, 422, 'service.ahead'],
      [{ hoursRun: 20 }, 422, 'service.less'],
      [{ hoursRun: 1.5 }, 400, null],
      [{ doneAt: 'yesterday' }, 400, null],
      [{ uses: { lifts: -1 } }, 400, null],
      [{ note: 'x'.repeat(401) }, 400, null],
    ]
    for (const [more, status, code] of cases) {
      const answer = await write(fitter, PUMP, more)
      expect([answer.status, code && (await codeOf(answer))], JSON.stringify(more)).toEqual([status, code])
    }
    expect((await write(fitter, 'P-999', {})).status).toBe(422)
  })
  it('may be written down days late, with what the meter showed then', async () => {
    expect((await write(fitter, PUMP, { doneAt: daysAgo(71), hoursRun: 140 })).status).toBe(200)
    // The meter does not go back for it.
    expect((await machine(PUMP)).equipment.hoursRun).toBeGreaterThanOrEqual(160)
  })
  it('that was a mistake is withdrawn by who wrote it or a lead, and counts for nothing', async () => {
    const sent = told({ hoursRun: 5000 })
    await fitter.post(`/api/machines/${PUMP}/services`, sent)
    const path = `/api/machines/${PUMP}/services/${sent.id}`
    const refused = await other.patch(path, { withdrawn: true })
    expect([refused.status, await codeOf(refused)]).toEqual([422, 'service.other'])
    expect((await fitter.patch(path, { withdrawn: false })).status).toBe(400)
    expect((await lead.patch(path, { withdrawn: true })).status).toBe(200)
    expect((await fitter.patch(path, { withdrawn: true })).status).toBe(200)
    const { serviced } = await machine(PUMP)
    expect(serviced.find(one => one.id === sent.id)!.withdrawnBy).toBe('O. Hallam')
    expect((await stands(PUMP))[0]!.last!.hours).toBe(160)
    expect((await fitter.patch(`/api/machines/${PUMP}/services/${uuid()}`, { withdrawn: true })).status).toBe(422)
    // The hours it brought are read again.
    expect((await fitter.patch(`/api/machines/${PUMP}`, { hoursRun: 170 })).status).toBe(200)
  })
})

describe('a service that wants a paper and counts use', () => {
  it('is written down by who holds it', async () => {
    const refused = await write(fitter, HOIST, { service: 'examined' })
    expect([refused.status, await codeOf(refused)]).toEqual([422, 'service.doer'])
    expect((await write(lead, HOIST, { service: 'examined', doneAt: daysAgo(70), uses: { lifts: 100 } })).status).toBe(
      200,
    )
  })
  it('is due by use where it is used much', async () => {
    expect((await fitter.patch(`/api/machines/${HOIST}`, { hoursRun: 200, uses: { lifts: 500 } })).status).toBe(200)
    // Four hundred in ten weeks: the last hundred are through in two and a half.
    const [examined] = await stands(HOIST)
    expect(examined!.next!.decidedBy).toBe('uses')
    expect([2, 3]).toContain(examined!.next!.weeks)
    const less = await fitter.patch(`/api/machines/${HOIST}`, { hoursRun: 200, uses: { lifts: 99 } })
    expect([less.status, await codeOf(less)]).toEqual([422, 'service.less'])
  })
})
