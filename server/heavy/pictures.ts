import { createHash } from 'node:crypto'
import sharp, { type Metadata } from 'sharp'
import { bareJpeg, LONGEST_SIDE } from '../../shared/pictures.ts'

/** More pixels than any camera's picture has after a tablet made it smaller; unpacked they take four bytes each. */
export const MOST_PIXELS = 40_000_000

/** What the first bytes of a file say it is; nothing else is ever unpacked, whatever a file is called. */
const KINDS: { is: PictureKind; begins: RegExp }[] = [
  { is: 'jpeg', begins: /^\xff\xd8\xff/ },
  { is: 'png', begins: /^\x89PNG\r\n/ },
  { is: 'webp', begins: /^RIFF[\s\S]{4}WEBP/ },
]
type PictureKind = 'jpeg' | 'png' | 'webp'

/** Why a file is not kept. */
export type PictureFault = 'kind' | 'large' | 'broken'

/** A picture as it is kept: turned upright, without place and owner, and in three sizes, all of them JPEG. */
export interface CleanPicture {
  /** SHA-256 of `whole`. */
  keptSha256: string
  whole: Uint8Array
  print: Uint8Array
  thumb: Uint8Array
}

export const sumOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

const kindOf = (bytes: Uint8Array) =>
  KINDS.find(one => one.begins.test(Buffer.from(bytes.subarray(0, 16)).toString('latin1')))?.is

/** Whether it can be kept as it came: upright, no larger than pictures are kept, and a JPEG that says nothing beside its picture. */
function isClean(bytes: Uint8Array, { format, width, height, orientation = 1, space }: Metadata): boolean {
  if (format !== 'jpeg' || orientation !== 1 || space !== 'srgb' || Math.max(width, height) > LONGEST_SIDE) return false
  const bare = bareJpeg(bytes)
  return bare !== null && Buffer.compare(bare, bytes) === 0
}

const smaller = (from: Uint8Array, side: number, quality: number) =>
  sharp(from, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    .rotate()
    .resize(side, side, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .toColourspace('srgb')
    .jpeg({ quality })
    .toBuffer()

/**
 * Makes of a file that was sent what is kept of it. How many pixels it has is read from its head before any of them is
 * unpacked. Without a fault it is a picture to its very end.
 */
export async function cleanPicture(bytes: Uint8Array): Promise<CleanPicture | PictureFault> {
  const kind = kindOf(bytes)
  if (!kind) return 'kind'
  sharp.cache(false)
  sharp.concurrency(1)
  try {
    const head = await sharp(bytes, { limitInputPixels: false }).metadata()
    if (head.format !== kind) return 'kind'
    if (head.width * head.height > MOST_PIXELS) return 'large'
    const whole = isClean(bytes, head) ? bytes : bareJpeg(await smaller(bytes, LONGEST_SIDE, 84))!
    const [print, thumb] = [await smaller(whole, 1024, 76), await smaller(whole, 360, 72)]
    return { keptSha256: sumOf(whole), whole, print, thumb }
  } catch {
    return 'broken'
  }
}
