import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { bareJpeg, LONGEST_SIDE } from '~~/shared/pictures'

/** A picture as it is kept and sent: upright, small enough, and without where and by whom it was taken. */
export interface TakenPicture {
  bytes: Uint8Array<ArrayBuffer>
  sha256: string
  width: number
  height: number
}

const QUALITY = 0.84

/**
 * Makes of a file of the camera what is kept of it, on this device, so that it can be named before the network is there.
 * The sum is worked out here: over plain http the browser offers none. Null where the browser cannot read it as a picture.
 */
export const takePicture = (file: Blob): Promise<TakenPicture | null> => read(file).catch(() => null)

async function read(file: Blob): Promise<TakenPicture | null> {
  const found = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const scale = Math.min(1, LONGEST_SIDE / Math.max(found.width, found.height))
  const [width, height] = [found.width, found.height].map(side => Math.max(1, Math.round(side * scale))) as [
    number,
    number,
  ]
  const canvas = new OffscreenCanvas(width, height)
  const pen = canvas.getContext('2d')!
  // What shines through has no colour of its own on paper.
  pen.fillStyle = '#ffffff'
  pen.fillRect(0, 0, width, height)
  pen.drawImage(found, 0, 0, width, height)
  found.close()
  const made = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
  const bytes = bareJpeg(new Uint8Array(await made.arrayBuffer())) as Uint8Array<ArrayBuffer> | null
  return bytes && { bytes, sha256: bytesToHex(sha256(bytes)), width, height }
}
