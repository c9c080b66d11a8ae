import { readdirSync } from 'node:fs'
import { request } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ROLES, type Role } from '../../core/job/index.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { disconnect } from '../../server/db/client.ts'
import { fillDatabase, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

/** Every route there is, and who may come in by it. A route that is not here fails. */
const WRITERS: Role[] = ['fitter', 'lead', 'planner', 'stores']
const TABLE: Record<string, 'open' | readonly Role[]> = {
  'GET /api/health': 'open',
  'HEAD /api/health': 'open',
  'GET /api/sign-in': 'open',
  'POST /api/sign-in': 'open',
  'POST /api/sign-in/code': 'open',
  'POST /api/sign-out': 'open',
  'POST /api/pin': ROLES,
  'GET /api/signers': ROLES,
  'GET /api/waits': ROLES,
  'GET /api/yard': ROLES,
  'GET /api/site': ROLES,
  'PATCH /api/site': ['lead'],
  'GET /api/people': ['lead'],
  'POST /api/people': ['lead'],
  'PATCH /api/people/[id]': ['lead'],
  'GET /api/people/[id]/devices': ['lead'],
  'DELETE /api/people/[id]/devices/[device]': ['lead'],
  'GET /api/machines/[tag]': ROLES,
  'PATCH /api/machines/[tag]': ['fitter', 'lead', 'planner'],
  'POST /api/jobs/[id]/children': ['fitter', 'lead', 'planner'],
  'POST /api/machines/[tag]/services': ['fitter', 'lead', 'planner'],
  'PATCH /api/machines/[tag]/services/[id]': ['fitter', 'lead', 'planner'],
  'GET /api/sheets/[id]/[version]': ROLES,
  'GET /api/jobs': ROLES,
  'POST /api/jobs': ['fitter', 'lead', 'planner'],
  'GET /api/jobs/[id]': ROLES,
  'PUT /api/jobs/[id]/photos/[sha256]': WRITERS,
  'GET /api/photos/[sha256]': ROLES,
  'GET /api/jobs/[id]/entries': ROLES,
  'POST /api/jobs/[id]/entries': WRITERS,
  'GET /api/jobs/[id]/stream': ROLES,
  'GET /api/jobs/[id]/worked': ROLES,
  'GET /api/jobs/[id]/record.pdf': ROLES,
  'GET /api/jobs/[id]/failure.pdf': ROLES,
  'POST /api/labels': ['fitter', 'lead'],
  'GET /api/sums': ROLES,
  'POST /api/sums/[name]': ROLES,
}
/** What is not a route is not there, for whoever may ask. */
const ELSEWHERE = 'GET /api/no-such-thing'

const NOBODY = '0198aaaa-0000-7000-8000-000000000000'
const addressOf = (path: string) =>
  path
    .replace('people/[id]', `people/${NOBODY}`)
    .replace('sheets/[id]/[version]', 'sheets/m14-axially-split-pump/1')
    .replace('[sha256]', 'a'.repeat(64))
    .replace('[id]', NOBODY)
    .replace('[device]', NOBODY)
    .replace('[tag]', 'P-214A')
    .replace('[name]', 'clock')

/** Other ways of writing the same address. */
const WRITINGS: Record<string, (path: string) => string> = {
  'as it is': path => path,
  'a letter as its number': path => path.replace('/api/', '/%61pi/'),
  'every letter as its number': path =>
    path.replace(/[a-z]/g, letter => `%${letter.charCodeAt(0).toString(16).toUpperCase()}`),
  'a slash more': path => path.replace('/api/', '//api/'),
  'a slash behind': path => `${path}/`,
  'by way of another folder': path => path.replace('/api/', '/api/x/../'),
  'a point between': path => path.replace('/api/', '/api/./'),
  'in capitals': path => path.replace('/api/', '/API/'),
  'with a question': path => `${path}?x=/api/health`,
  'with a mark of another system': path => path.replace('/api/', '/api\\\\'),
}

let server: RunningServer
const people = new Map<Role, SignedIn>()
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  for (const role of ROLES) people.set(role, await signIn(server.url, PEOPLE.find(one => one.role === role)!.name))
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

/** A request as it is written: nothing sets the address right on the way. */
const ask = (method: string, path: string, headers: Record<string, string> = {}) =>
  new Promise<{ status: number; body: string }>((resolve, reject) => {
    const body = method === 'GET' || method === 'HEAD' ? '' : '{}'
    const { hostname, port } = new URL(server.url)
    const sent = request(
      {
        hostname,
        port,
        method,
        path,
        headers: {
          ...(body ? { 'content-type': 'application/json', 'content-length': String(body.length) } : {}),
          ...headers,
        },
      },
      answer => {
        let text = ''
        answer.on('data', (chunk: Buffer) => {
          text += chunk.toString()
          // A stream goes on; its first words are enough.
          if (answer.headers['content-type']?.includes('event-stream')) sent.destroy()
        })
        answer.once('close', () => resolve({ status: answer.statusCode!, body: text }))
      },
    )
    sent.once('error', reject)
    sent.end(body)
  })

const routes = Object.entries(TABLE).map(([route, door]) => {
  const [method, path] = route.split(' ') as [string, string]
  return { route, method, path: addressOf(path), door }
})
const isGuarded = (door: (typeof routes)[number]['door']) => door !== 'open'
const KEPT_IN = /"equipment"|"readings"|"entries"|pinHash|PDF-|"machines"|"backupsKept"|"hoursRun"/

describe('the table of routes', () => {
  it('has every route there is, and no other', () => {
    const files = readdirSync('server/api', { recursive: true, withFileTypes: true })
      .filter(file => file.isFile())
      .map(file => `${file.parentPath}/${file.name}`.replace('server', ''))
    const found = files
      .filter(file => !file.includes('[...'))
      .map(file => {
        const [, path, method] = /^(.*)\.(get|head|post|patch|put|delete)\.ts$/.exec(file)!
        return `${method!.toUpperCase()} ${path!.replace(/\/index$/, '')}`
      })
    expect(found.sort()).toEqual(Object.keys(TABLE).sort())
    expect(files.filter(file => file.includes('[...'))).toEqual(['/api/[...path].ts'])
  })
})

describe('without a session', () => {
  for (const [writing, write] of Object.entries(WRITINGS))
    it(`nothing is told, the address written ${writing}`, async () => {
      for (const { route, method, path, door } of routes.filter(one => isGuarded(one.door))) {
        const { status, body } = await ask(method, write(path), { origin: server.url })
        expect(body, `${route} ${writing}`).not.toMatch(KEPT_IN)
        // Written as no route is, the address is a page's or nobody's; as the route's own, it is refused.
        if (status === 200) expect(body, `${route} ${writing}`).toMatch(/^<!DOCTYPE html>/i)
        else expect([400, 401, 403, 404, 405], `${route} ${writing} ${door}`).toContain(status)
      }
    })
  it('every guarded route says 401 under its own address', async () => {
    for (const { route, method, path } of routes.filter(one => isGuarded(one.door)))
      expect((await ask(method, path, { origin: server.url })).status, route).toBe(401)
    expect((await ask('GET', ELSEWHERE.split(' ')[1]!)).status).toBe(401)
  })
  it('health and the names are open, and tell no secret', async () => {
    expect((await ask('GET', '/api/health')).status).toBe(200)
    expect((await ask('GET', '/api/sign-in')).body).not.toMatch(/hash|"pin"/i)
  })
})

describe.each(ROLES)('as %s', role => {
  it('the table says where one comes in', async () => {
    const me = people.get(role)!
    for (const { route, method, path, door } of routes.filter(one => isGuarded(one.door))) {
      const { status } = await ask(method, path, { cookie: me.cookie, origin: server.url })
      if (door.includes(role)) expect([200, 400, 404], route).toContain(status)
      else expect(status, route).toBe(403)
    }
    expect((await ask('GET', '/api/no-such-thing', { cookie: me.cookie })).status).toBe(404)
  })
  it('another way of writing the address opens no other door', async () => {
    const me = people.get(role)!
    for (const [writing, write] of Object.entries(WRITINGS))
      for (const { route, method, path, door } of routes.filter(
        one => isGuarded(one.door) && !one.door.includes(role),
      )) {
        const { status, body } = await ask(method, write(path), { cookie: me.cookie, origin: server.url })
        expect(body, `${route} ${writing} ${door}`).not.toMatch(KEPT_IN)
        if (status === 200) expect(body, `${route} ${writing}`).toMatch(/^<!DOCTYPE html>/i)
        else expect([400, 403, 404, 405], `${route} ${writing}`).toContain(status)
      }
  })
  it('a write from another page, or from nowhere, is none', async () => {
    const me = people.get(role)!
    for (const { route, method, path } of routes.filter(one => !['GET', 'HEAD'].includes(one.method)))
      for (const origin of ['http://elsewhere.example', 'null', server.url.replace('http:', 'https:'), ''])
        expect(
          (await ask(method, path, { cookie: me.cookie, ...(origin ? { origin } : {}) })).status,
          `${route} from ${origin}`,
        ).toBe(403)
  })
})

describe('other methods', () => {
  it.each(['PUT', 'DELETE', 'PATCH', 'TRACE'])('%s opens nothing', async method => {
    for (const { route, path } of routes.filter(one => one.method === 'GET')) {
      if (TABLE[`${method} ${route.split(' ')[1]}`]) continue
      const { status, body } = await ask(method, path, { origin: server.url })
      // What no route answers is the page's address, which holds nothing.
      if (status === 200) expect(body, `${method} ${path}`).toMatch(/^<!DOCTYPE html>/i)
      else expect([400, 401, 403, 404, 405, 411, 501], `${method} ${path}`).toContain(status)
      expect(body).not.toMatch(KEPT_IN)
    }
  })
  it('a write that does not say how long it is is refused before it is read', async () => {
    const me = people.get('fitter')!
    const { status } = await ask('POST', '/%61pi/jobs', {
      'cookie': me.cookie,
      'origin': server.url,
      'transfer-encoding': 'chunked',
      'content-length': '',
    }).catch(() => ({ status: 411 }))
    expect([400, 411]).toContain(status)
  })
  it('a name that somebody pointed here is not ours', async () => {
    const me = people.get('fitter')!
    for (const path of ['/', '/api/yard', '/api/health'])
      expect((await ask('GET', path, { host: 'needler.elsewhere.example', cookie: me.cookie })).status, path).toBe(403)
  })
})
