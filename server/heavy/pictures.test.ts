import { deflateSync } from 'node:zlib'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { bareJpeg } from '../../shared/pictures.ts'
import { cleanPicture, sumOf, type CleanPicture } from './pictures.ts'

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#a08040' } })
const kept = async (bytes: Uint8Array) => (await cleanPicture(bytes)) as CleanPicture

/** A PNG whose head promises pixels that are not there. */
function bomb(width: number, height: number): Buffer {
  const chunk = (name: string, body: Buffer) => {
    const head = Buffer.alloc(8)
    head.writeUInt32BE(body.length)
    head.write(name, 4, 'latin1')
    return Buffer.concat([head, body, Buffer.alloc(4)])
  }
  const size = Buffer.alloc(13)
  size.writeUInt32BE(width)
  size.writeUInt32BE(height, 4)
  size.set([8, 2, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'),
    chunk('IHDR', size),
    chunk('IDAT', deflateSync(Buffer.alloc(1000))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}

describe('a picture that is sent', () => {
  it('is kept as it came where it is clean, and in smaller sizes', async () => {
    const clean = Buffer.from(bareJpeg(await picture(1600, 1200).jpeg().toBuffer())!)
    const { whole, print, thumb, keptSha256 } = await kept(clean)
    const { width, height } = await sharp(whole).metadata()
    expect(Buffer.compare(whole, clean)).toBe(0)
    expect(keptSha256).toBe(sumOf(clean))
    expect([width, height]).toEqual([1600, 1200])
    expect((await sharp(print).metadata()).width).toBe(1024)
    expect((await sharp(thumb).metadata()).width).toBe(360)
  })
  it('is turned upright, made smaller and told of neither place nor owner', async () => {
    const told = await picture(4000, 3000)
      .withMetadata({ orientation: 6 })
      .withExif({ IFD0: { Artist: 'Rena' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer()
    const { whole, keptSha256 } = await kept(told)
    const { width, height, exif, orientation } = await sharp(whole).metadata()
    expect([width, height]).toEqual([1920, 2560])
    expect([exif, orientation]).toEqual([undefined, undefined])
    expect(Buffer.from(whole).includes('Rena')).toBe(false)
    expect(keptSha256).not.toBe(sumOf(told))
  })
  it('is a JPEG from then on, whatever it was', async () => {
    for (const bytes of [await picture(80, 60).png().toBuffer(), await picture(80, 60).webp().toBuffer()])
      expect((await sharp((await kept(bytes)).whole).metadata()).format).toBe('jpeg')
  })
  it('carries nothing behind its end', async () => {
    const { whole } = await kept(Buffer.concat([await picture(80, 60).jpeg().toBuffer(), Buffer.from('PK\x03\x04')]))
    expect(Buffer.from(whole).includes('PK')).toBe(false)
  })
  it.each([
    ['an archive', Buffer.from('PK\x03\x04\x14\x00')],
    ['a drawing', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>')],
    ['a page', Buffer.from('<!doctype html><script>1</script>')],
    ['an animation', Buffer.from('GIF89a')],
    ['nothing', Buffer.alloc(0)],
  ])('is not taken where it is %s', async (_, bytes) => expect(await cleanPicture(bytes)).toBe('kind'))
  it('is not unpacked where it has too many pixels', async () => {
    const before = process.memoryUsage().rss
    expect(await cleanPicture(bomb(10_000, 6_000))).toBe('large')
    expect(process.memoryUsage().rss - before).toBeLessThan(60_000_000)
  })
  it('is broken where it breaks off, or is no picture after its first bytes', async () => {
    const whole = await picture(400, 300).jpeg().toBuffer()
    expect(await cleanPicture(whole.subarray(0, whole.length - 20))).toBe('broken')
    expect(await cleanPicture(Buffer.from('\xff\xd8\xff\xe0<script>', 'latin1'))).toBe('broken')
    expect(await cleanPicture(bomb(100, 100))).toBe('broken')
  })
})
