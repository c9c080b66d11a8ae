import { createHash, randomBytes } from 'node:crypto'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { eq } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { isKind } from '../../core/job/index.ts'
import { bareJpeg } from '../../shared/pictures.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { database, disconnect } from '../../server/db/client.ts'
import { entriesAfter } from '../../server/db/ledger.ts'
import { keptPhoto, pictureFile } from '../../server/db/schema.ts'
import type { JobAnswer } from '../../shared/answers.ts'
import { fillDatabase, pumpOfOwn, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

/** Photographs over the wire: the entry first, the file later by its number, and what is no photograph. */

const READER = PEOPLE.find(one => one.role === 'reader')!.name
let server: RunningServer
let fitter: SignedIn
let reader: SignedIn
let job: string
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  fitter = await signIn(server.url, 'R. Okell')
  reader = await signIn(server.url, READER)
  const opened = await fitter.post('/api/jobs', { equipment: await pumpOfOwn('P-931'), complaint: 'Leaks' })
  job = ((await opened.json()) as { id: string }).id
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

const sumOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex')
/** A picture that no other has. */
const picture = (width = 320, height = 240) =>
  sharp(randomBytes(width * height * 3), { raw: { width, height, channels: 3 } })
const clean = async () => bareJpeg(await picture().jpeg().toBuffer())!

async function name(sha256: string, on = job): Promise<Response> {
  const id = uuid()
  const payload = { photo: uuid(), sha256, width: 320, height: 240 }
  return fitter.post(`/api/jobs/${on}/entries`, {
    ...{ id, act: id, kind: 'photo.added', payload, madeAt: new Date().toISOString() },
  })
}
const send = (bytes: Uint8Array, { by = fitter, sum = sumOf(bytes), to = job } = {}) =>
  fetch(`${server.url}/api/jobs/${to}/photos/${sum}`, {
    method: 'PUT',
    headers: { 'cookie': by.cookie, 'origin': server.url, 'content-type': 'image/jpeg' },
    body: Buffer.from(bytes),
  })
const whyOf = async (answer: Response) => ((await answer.json()) as { data: { why: string } }).data.why
const fetched = async (sum: string, size = 'whole') => {
  const answer = await fitter.get(`/api/photos/${sum}?size=${size}`)
  return { answer, bytes: Buffer.from(await answer.arrayBuffer()) }
}
const arrivals = async (sum: string) =>
  (await entriesAfter(database(), job, 0)).filter(one => isKind(one, 'photo.arrived') && one.payload.sha256 === sum)

describe('a photograph', () => {
  it('is named first and sent later; then it is here, in its sizes, and the ledger says so once', async () => {
    const bytes = await clean()
    const sum = sumOf(bytes)
    expect((await fetched(sum)).answer.status).toBe(404)
    const early = await send(bytes)
    expect([early.status, await whyOf(early)]).toEqual([404, expect.stringContaining('entry goes first')])
    expect((await name(sum)).status).toBe(200)
    for (let n = 0; n < 3; n++) expect((await send(bytes)).status).toBe(200)
    expect(await arrivals(sum)).toHaveLength(1)
    const { answer, bytes: whole } = await fetched(sum)
    expect(Buffer.compare(whole, bytes)).toBe(0)
    expect(Object.fromEntries(answer.headers)).toMatchObject({
      'content-type': 'image/jpeg',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
      'cache-control': 'private, max-age=31536000, immutable',
    })
    for (const size of ['thumb', 'print'])
      expect((await sharp((await fetched(sum, size)).bytes).metadata()).format).toBe('jpeg')
  })
  it('is served without its place and owner, and upright, however it was sent', async () => {
    const told = await picture(300, 200)
      .withMetadata({ orientation: 6 })
      .withExif({ IFD0: { Artist: 'R. Okell' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer()
    const sum = sumOf(told)
    await name(sum)
    expect((await send(told)).status).toBe(200)
    for (const size of ['whole', 'print', 'thumb']) {
      const { bytes } = await fetched(sum, size)
      const { exif, width, height } = await sharp(bytes).metadata()
      expect([exif, width! < height!]).toEqual([undefined, true])
      expect(bytes.includes('Okell')).toBe(false)
    }
    const [row] = await database().select().from(pictureFile).where(eq(pictureFile.sha256, sum))
    expect(row!.keptSha256).toBe(sumOf(row!.whole))
  })
  it('of another job that is here already need only be named and sent', async () => {
    const bytes = await clean()
    const sum = sumOf(bytes)
    await name(sum)
    await send(bytes)
    const opened = await fitter.post('/api/jobs', { equipment: await pumpOfOwn('P-932'), complaint: 'Leaks' })
    const { id } = (await opened.json()) as { id: string }
    await name(sum, id)
    expect((await send(bytes, { to: id })).status).toBe(200)
    const { entries, photosLast } = (await (await fitter.get(`/api/jobs/${id}`)).json()) as JobAnswer
    expect(entries.map(one => one.kind)).toEqual(['job.opened', 'photo.added', 'photo.arrived'])
    expect(photosLast).toEqual([])
    expect(await database().select().from(keptPhoto).where(eq(keptPhoto.jobId, id))).toMatchObject([
      { sha256: sum, equipmentTag: 'P-932', on: null },
    ])
  })
  it('arrives still once its job is closed; nothing else does', async () => {
    const bytes = await clean()
    const opened = await fitter.post('/api/jobs', { equipment: await pumpOfOwn('P-933'), complaint: 'Leaks' })
    const { id } = (await opened.json()) as { id: string }
    await name(sumOf(bytes), id)
    const lead = await signIn(server.url, 'O. Hallam')
    const act = uuid()
    const cancelled = await lead.signs(id, [
      { id: act, act, kind: 'job.cancelled', payload: { why: 'Wrong' }, madeAt: new Date().toISOString() },
    ])
    expect(cancelled.status).toBe(200)
    expect((await send(bytes, { to: id })).status).toBe(200)
    expect((await entriesAfter(database(), id, 0)).at(-1)!.kind).toBe('photo.arrived')
    expect((await name(sumOf(await clean()), id)).status).toBe(422)
  })
  it('is sent by nobody who only reads, and read by nobody who is not signed in', async () => {
    const bytes = await clean()
    await name(sumOf(bytes))
    expect((await send(bytes, { by: reader })).status).toBe(403)
    await send(bytes)
    expect((await reader.get(`/api/photos/${sumOf(bytes)}`)).status).toBe(200)
    expect((await fetch(`${server.url}/api/photos/${sumOf(bytes)}`)).status).toBe(401)
  })
  it('says of itself that it arrived only by the server', async () => {
    const id = uuid()
    const answer = await fitter.post(`/api/jobs/${job}/entries`, {
      ...{ id, act: id, kind: 'photo.arrived', payload: { sha256: 'a'.repeat(64) } },
      madeAt: new Date().toISOString(),
    })
    expect(answer.status).toBe(403)
  })
})

/** A PNG whose head promises sixty million pixels. */
async function bomb(): Promise<Buffer> {
  const small = await picture(8, 8).png().toBuffer()
  small.writeUInt32BE(10_000, 16)
  small.writeUInt32BE(6_000, 20)
  return small
}

describe('what is no photograph', () => {
  const HOSTILE: [name: string, file: () => Promise<Buffer>, says: RegExp][] = [
    ['a bomb of 60 megapixels', bomb, /too many pixels/],
    ['an archive that is called a picture', async () => Buffer.from('PK\x03\x04\x14\x00\x08\x00'), /no photograph/],
    [
      'a drawing with a script in it',
      async () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
      /no photograph/,
    ],
    ['a page', async () => Buffer.from('<!doctype html><script>fetch("/api/people")</script>'), /no photograph/],
    ['a document', async () => Buffer.from('%PDF-1.7'), /no photograph/],
    ['an animation', async () => Buffer.from('GIF89a'), /no photograph/],
    ['one that breaks off', async () => (await picture().jpeg().toBuffer()).subarray(0, -400), /to its end/],
    ['one of its first bytes only', async () => Buffer.from([0xff, 0xd8, 0xff]), /to its end/],
    [
      'a picture of another kind than its first bytes say',
      async () => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), await picture(8, 8).png().toBuffer()]),
      /to its end/,
    ],
  ]
  it.each(HOSTILE)('%s is refused in words', async (_, file, says) => {
    const bytes = Buffer.concat([await file(), Buffer.alloc(0)])
    const sum = sumOf(bytes)
    await name(sum)
    const answer = await send(bytes)
    expect(answer.status).toBe(422)
    expect(await whyOf(answer)).toMatch(says)
    expect((await fetched(sum)).answer.status).toBe(404)
    expect(await arrivals(sum)).toEqual([])
  })
  it('a file that is not the one its number was made of is refused', async () => {
    const sum = sumOf(await clean())
    await name(sum)
    const answer = await send(await clean(), { sum })
    expect([answer.status, await whyOf(answer)]).toEqual([422, expect.stringContaining('not the one')])
  })
  it('more than 12 MB is refused before it is read', async () => {
    const answer = await send(Buffer.alloc(12 * 1024 * 1024 + 1)).catch(() => null)
    // The connection ends with the answer: which of the two is seen first is the network's.
    if (answer) expect([answer.status, await whyOf(answer)]).toEqual([413, expect.stringContaining('12 MB')])
    expect((await fitter.get(`/api/jobs/${job}`)).status).toBe(200)
  })
  it('a picture with a page behind its end is kept without it', async () => {
    const bytes = Buffer.concat([await picture().jpeg().toBuffer(), Buffer.from('<script>1</script>PK\x03\x04')])
    const sum = sumOf(bytes)
    await name(sum)
    expect((await send(bytes)).status).toBe(200)
    expect((await fetched(sum)).bytes.includes('script')).toBe(false)
  })
  it.each(['x', 'A'.repeat(64), '..%2f..%2fetc%2fpasswd', '0'.repeat(63)])('%s is no number of one', async sum => {
    expect((await fitter.get(`/api/photos/${sum}`)).status).toBe(400)
    expect((await send(await clean(), { sum })).status).toBe(400)
  })
  it('a size that there is not is refused', async () =>
    expect((await fitter.get(`/api/photos/${'a'.repeat(64)}?size=giant`)).status).toBe(400))
})
