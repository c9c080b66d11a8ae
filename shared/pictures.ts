/**
 * A JPEG file without what it says beside its picture: where, when, by whom and with what it was taken, small copies of what
 * was cropped, colour profiles, whatever follows its end. What is left is the picture itself, so that a tablet and the server come to
 * the same file. Of the segments that belong to applications only JFIF's own and Adobe's, which says how colours are kept,
 * stay (ITU-T T.81, JFIF 1.02).
 * @returns null where it is no JPEG, or breaks off
 */
export function bareJpeg(bytes: Uint8Array): Uint8Array | null {
  if (bytes[0] !== 0xff || bytes[1] !== START) return null
  const kept: Uint8Array[] = [bytes.subarray(0, 2)]
  let at = 2
  while (at < bytes.length) {
    if (bytes[at] !== 0xff) return null
    const marker = bytes[at + 1]
    // Markers may be led by any number of fill bytes.
    if (marker === 0xff) {
      at += 1
      continue
    }
    if (marker === END) return joined([...kept, bytes.subarray(at, at + 2)])
    const length = marker === undefined ? 0 : (bytes[at + 2]! << 8) | bytes[at + 3]!
    const end = marker === SCAN ? scanEnd(bytes, at + 2 + length) : at + 2 + length
    if (!(length >= 2) || end > bytes.length) return null
    const segment = bytes.subarray(at, end)
    if (!isAside(marker!, segment)) kept.push(segment)
    at = end
  }
  return null
}

const [START, END, SCAN, COMMENT, JFIF, ADOBE] = [0xd8, 0xd9, 0xda, 0xfe, 0xe0, 0xee]

/** Whether a segment is beside the picture. */
function isAside(marker: number, segment: Uint8Array): boolean {
  if (marker === JFIF) return String.fromCharCode(...segment.subarray(4, 9)) !== 'JFIF\0'
  return marker === COMMENT || (marker >= 0xe0 && marker <= 0xef && marker !== ADOBE)
}

/** Where the picture's own data ends that begin after the head of a scan: at the next marker that is neither a restart nor a stuffed byte. */
function scanEnd(bytes: Uint8Array, from: number): number {
  for (let at = from; at + 1 < bytes.length; at++) {
    const next = bytes[at + 1]!
    if (bytes[at] === 0xff && next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at
  }
  return Infinity
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, one) => sum + one.length, 0))
  let at = 0
  for (const one of parts) {
    whole.set(one, at)
    at += one.length
  }
  return whole
}

/** The largest file that is taken, bytes. */
export const MOST_PICTURE_BYTES = 12 * 1024 * 1024
/** The longer side of a picture as it is kept, pixels: a hair crack is still seen. */
export const LONGEST_SIDE = 2560
/** Sizes a picture is served in: on a pad, on paper, whole. */
export const PICTURE_SIZES = ['thumb', 'print', 'whole'] as const
export type PictureSizeName = (typeof PICTURE_SIZES)[number]
