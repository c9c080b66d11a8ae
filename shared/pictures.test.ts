import fc from 'fast-check'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { bareJpeg } from './pictures.ts'

const noise = (seed: number) => Buffer.from(Array.from({ length: 48 * 32 * 3 }, (_, i) => (i * i * seed) % 251))
const image = (seed = 7) => sharp(noise(seed), { raw: { width: 48, height: 32, channels: 3 } })
const pixels = (file: Uint8Array) => sharp(Buffer.from(file)).raw().toBuffer()
/** A segment of an application, with its name. */
const segment = (marker: number, text: string) => {
  const body = Buffer.from(text, 'latin1')
  return Buffer.concat([Buffer.from([0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 255]), body])
}
const withAside = (file: Buffer, ...more: Buffer[]) => Buffer.concat([file.subarray(0, 2), ...more, file.subarray(2)])

describe('a JPEG without what it says beside its picture', () => {
  it.each([
    ['plain', {}],
    ['in passes', { progressive: true }],
    ['with whole colours', { chromaSubsampling: '4:4:4' }],
  ])('%s, is the same picture without its place, owner, comment and what follows its end', async (_, how) => {
    const plain = await image().jpeg(how).toBuffer()
    const told = withAside(
      await image()
        .withExif({ IFD0: { Artist: 'Rena' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
        .jpeg(how)
        .toBuffer(),
      segment(0xe1, 'http://ns.adobe.com/xap/1.0/\0<x/>'),
      segment(0xed, 'Photoshop 3.0\0'),
      segment(0xfe, 'taken at home'),
      segment(0xe0, 'JFXX\0thumb'),
    )
    const bare = bareJpeg(Buffer.concat([told, Buffer.from('PK\x03\x04<script>')]))!
    expect(Buffer.from(bare).toString('latin1')).not.toMatch(/Rena|Exif|adobe|Photoshop|home|JFXX|script/)
    expect((await sharp(Buffer.from(bare)).metadata()).exif).toBeUndefined()
    expect(await pixels(bare)).toEqual(await pixels(plain))
  })
  it('is itself where it says nothing', async () => {
    const bare = bareJpeg(await image().jpeg().toBuffer())!
    expect(bareJpeg(bare)).toEqual(bare)
  })
  it('stays the same whatever the picture', () =>
    fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 9999 }), fc.boolean(), async (seed, progressive) => {
        const file = await image(seed).jpeg({ progressive, quality: 60 }).toBuffer()
        expect(await pixels(bareJpeg(withAside(file, segment(0xe1, 'Exif\0\0')))!)).toEqual(await pixels(file))
      }),
      { numRuns: 25 },
    ))
  it('is none where it breaks off, or is something else', async () => {
    const file = await image().jpeg().toBuffer()
    for (let length = 0; length < file.length - 1; length += 7) expect(bareJpeg(file.subarray(0, length))).toBeNull()
    expect(bareJpeg(Buffer.from('PK\x03\x04'))).toBeNull()
    expect(bareJpeg(new Uint8Array([0xff, 0xd8, 0xff, 0xe1, 0, 0, 0, 0]))).toBeNull()
    fc.assert(fc.property(fc.uint8Array({ maxLength: 200 }), bytes => void bareJpeg(bytes)))
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), bytes => void bareJpeg(new Uint8Array([0xff, 0xd8, ...bytes]))),
    )
  })
})
