import sharp from 'sharp'
import { codeOf, codesFor, type Finding, type Photo } from '../core/job/index.ts'
import { BOX, findingDrawing, groundOf, pathOf, type Piece } from '../core/looks/index.ts'
import { sectionAsSvg, sectionOf } from '../core/section/index.ts'
import type { Plan } from '../core/sheet/index.ts'
import { cleanPicture, sumOf, type CleanPicture } from '../server/heavy/pictures.ts'
import { bareJpeg } from '../shared/pictures.ts'

/** Photographs for the demo, drawn from the same data as the drawings of the screens: parts on a bench, under a lamp. */

/** A picture that somebody takes, with its file. */
export type Shot = Pick<Photo, 'sha256' | 'width' | 'height'> & { words: string; file: CleanPicture }

const SIZE = { width: 960, height: 675 }

/** How each piece of a drawing looks in the light. */
const LOOKS: Record<Piece['is'], string> = {
  body: 'fill="url(#steel)" stroke="#2c3330" stroke-width="0.5"',
  line: 'fill="none" stroke="#59625e" stroke-width="0.5"',
  hole: 'fill="#1c1f1e" stroke="#59625e" stroke-width="0.4"',
  patch: 'fill="#4a2a1c" opacity="0.85"',
  tint: 'fill="#6b3a24" opacity="0.4"',
  dot: 'fill="#2a1b15"',
  crack: 'fill="none" stroke="#191614" stroke-width="1"',
  score: 'fill="none" stroke="#3a2c26" stroke-width="0.6"',
  ring: 'fill="none" stroke="#4a2a1c" stroke-width="1"',
}

const drawing = (of: string) =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${SIZE.width}" height="${SIZE.height}">${of}</svg>`)

/** The top of a bench, grain and all. The grain takes longer to draw than all else: each bench is drawn once. */
const benchTop = (hue: string): Promise<Buffer> => {
  const drawn =
    BENCHES.get(hue) ??
    sharp(
      drawing(`<defs>
<filter id="grain"><feTurbulence type="fractalNoise" baseFrequency="0.012 0.4" numOctaves="2" seed="4"/><feColorMatrix values="0 0 0 0 0.15  0 0 0 0 0.1  0 0 0 0 0.05  0 0 0 0.35 0"/></filter>
</defs>
<rect width="100%" height="100%" fill="${hue}"/><rect width="100%" height="100%" filter="url(#grain)"/>`),
    )
      .png({ compressionLevel: 1 })
      .toBuffer()
  BENCHES.set(hue, drawn)
  return drawn
}
const BENCHES = new Map<string, Promise<Buffer>>()

/** Something that lies on a bench, under a lamp. */
const underLamp = (thing: string) =>
  drawing(`<defs>
<linearGradient id="steel" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#e4e8e6"/><stop offset="0.45" stop-color="#a9b2ae"/><stop offset="1" stop-color="#6d7773"/></linearGradient>
<radialGradient id="lamp" cx="0.4" cy="0.3" r="0.9"><stop offset="0" stop-color="#fff" stop-opacity="0.25"/><stop offset="0.55" stop-color="#000" stop-opacity="0.05"/><stop offset="1" stop-color="#000" stop-opacity="0.6"/></radialGradient>
</defs>
${thing}
<rect width="100%" height="100%" fill="url(#lamp)"/>`)

async function shot(thing: string, hue: string, words: string): Promise<Shot> {
  const taken = sharp(await benchTop(hue)).composite([{ input: underLamp(thing) }])
  const bytes = bareJpeg(await taken.jpeg({ quality: 80 }).toBuffer())!
  const file = await cleanPicture(bytes)
  if (typeof file === 'string') throw new Error(`The picture “${words}” cannot be kept: ${file}.`)
  return { sha256: sumOf(bytes), ...SIZE, words, file }
}

/** What is found on a part, as it lies on the bench; turned a little, since nobody lays it straight. */
export function findingShot(plan: Plan, part: string, look: string, finding: Finding): Promise<Shot> {
  const { set } = codesFor(plan, part, look)
  const code = codeOf(plan, { part, look }, finding)
  const pieces = findingDrawing(groundOf(set), code.drawn ?? 'pits', finding.grade as 1 | 2 | 3)
  const turn = ([...part].reduce((sum, letter) => sum + letter.charCodeAt(0), 0) % 23) - 11
  const scale = 7.9
  const drawn = pieces.map(one => `<path d="${pathOf(one)}" ${LOOKS[one.is]}/>`).join('')
  const thing = `<g transform="translate(${SIZE.width / 2} ${SIZE.height / 2}) rotate(${turn}) scale(${scale}) translate(${-BOX.width / 2} ${-BOX.height / 2})">${drawn}</g>`
  return shot(thing, '#8b7355', `${code.say}, ${code.grades[finding.grade - 1]!.say}`)
}

/** The machine as it stood before anything came off. */
export function machineShot(plan: Plan, words: string): Promise<Shot> {
  const section = sectionAsSvg(sectionOf(plan, { width: 870, height: 270 }))
  return shot(`<g transform="translate(45 190)">${section}</g>`, '#77837a', words)
}
