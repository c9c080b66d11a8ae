import { SHAPES, type DrawnShape } from '../../photos/index.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { inSentence } from '../../sums/read.ts'
import type { Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { WRITERS } from '../ledger/roles.ts'
import { by, section, type Cell } from '../ledger/section.ts'
import { choice, list, optional, record, why, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { isSameThing, notedName, notedShape, type Noted } from '../parts/noted.ts'
import { drawnFor, hasArrived, lineOf, type Photo, type TakenPhoto } from '../parts/photos.ts'
import { unknownThing } from './sense.ts'

/** Photographs: what was taken of what, what is drawn on it, and whether its file is here yet. */

const refusals = refusalsAbout('photo', {
  sum: () => 'That is not the number of a picture. Take the photograph again.',
  taken: ({ on }: { on: string }) => `The same picture is on ${on} already.`,
  tooMany: ({ most }: { most: number }) =>
    `This job has ${most} photographs, and takes no more. Take one out that tells nothing.`,
  none: () => 'There is no such photograph in this job: it was taken out. Reload the job.',
  others: () => 'Whoever took it takes it out, or a lead.',
  odd: () => 'An arrow and a circle have two ends, and a word has letters. Draw it again.',
})

/** So many photographs a job takes. */
const MOST = 400
/** SHA-256, hexadecimal. */
const isSum = (text: string) => /^[0-9a-f]{64}$/.test(text)
const pixels = { is: 'number', whole: true, least: 1, most: 20_000 } as const

const taking = {
  /** Its own number, made by the tablet: the same file may be on two things, and a line may be corrected. */
  photo: words(40),
  /** SHA-256 of its file as the tablet keeps it: without where and by whom it was taken. */
  sha256: words(64),
  width: pixels,
  height: pixels,
  /** What it is of; the job as a whole where it is left out. */
  on: optional(notedShape),
  words: optional(words(200)),
} as const

const onWords = (plan: Plan, on: Noted | undefined) => (on ? inSentence(notedName(plan, on) ?? on.id) : 'the job')

const added: ActKind<Shaped<typeof taking>> = {
  shape: taking,
  by: WRITERS,
  corrected: 'replace',
  sense: (plan, state, { payload: { photo, sha256, on } }): Refusal | null => {
    if (!isSum(sha256)) return refusals.sum()
    const strange = unknownThing(plan, on)
    if (strange) return strange
    if (state.photos.some(one => one.photo === photo || (one.sha256 === sha256 && isSameThing(one.on, on))))
      return refusals.taken({ on: onWords(plan, on) })
    return state.photos.length < MOST ? null : refusals.tooMany({ most: MOST })
  },
  apply: (state, entry) => {
    state.photos.push(stamped(entry, state, entry.payload as Photo))
  },
  words: (plan, { on, words: said }) => `Photograph of ${onWords(plan, on)}${said ? `: ${said}` : ''}`,
}

const part = { is: 'number', least: 0, most: 1 } as const
const drawing = {
  photo: words(40),
  /** All that is drawn on it, and what is said under it, from now on. */
  shapes: list(
    record({
      is: choice(SHAPES),
      x: part,
      y: part,
      toX: optional(part),
      toY: optional(part),
      text: optional(words(60)),
    } as const),
    20,
  ),
  words: optional(words(200)),
} as const

const isWhole = ({ is, toX, toY, text }: DrawnShape) =>
  is === 'word' ? Boolean(text?.trim()) : toX !== undefined && toY !== undefined

const drawn: ActKind<Shaped<typeof drawing>> = {
  shape: drawing,
  by: WRITERS,
  corrected: 'take back',
  sense: (_, { photos }, { payload: { photo, shapes } }) => {
    if (!photos.some(one => one.photo === photo)) return refusals.none()
    return shapes.every(isWhole) ? null : refusals.odd()
  },
  apply: (state, entry) => {
    const { photo, shapes, words: said } = entry.payload
    state.drawn.set(photo, stamped(entry, state, { shapes, words: said ?? '' }))
  },
  words: (_, { shapes, words: line }) => {
    const said = [...(line ? [line] : []), ...shapes.flatMap(one => one.text ?? [])]
    return `${shapes.length ? 'Drawn on a photograph' : 'A photograph'}${said.length ? `: ${said.join(', ')}` : ', with nothing drawn on it'}`
  },
}

const leaving = { photo: words(40), why } as const

const removed: ActKind<Shaped<typeof leaving>> = {
  shape: leaving,
  by: WRITERS,
  corrected: 'take back',
  sense: (_, { photos }, { payload: { photo }, madeBy, role }) => {
    const one = photos.find(each => each.photo === photo)
    if (!one) return refusals.none()
    return one.by === madeBy || role === 'lead' ? null : refusals.others()
  },
  apply: (state, entry) => {
    state.photos = state.photos.filter(one => one.photo !== entry.payload.photo)
  },
  words: (_, { why: given }) => `A photograph was taken out: ${given}`,
}

const arriving = { sha256: words(64) } as const

const arrived: ActKind<Shaped<typeof arriving>> = {
  shape: arriving,
  by: WRITERS,
  corrected: 'never',
  serverOnly: true,
  // A tablet may be without the network until long after the signature.
  afterClose: true,
  sense: (_, __, { payload: { sha256 } }) => (isSum(sha256) ? null : refusals.sum()),
  apply: (state, entry) => {
    state.arrived.set(entry.payload.sha256, stamped(entry, state, {}))
  },
  words: () => 'The file of a photograph arrived',
}

export const slice = () => ({
  photos: [] as TakenPhoto[],
  /** What is drawn on each, by its number. */
  drawn: new Map<string, Stamp & { shapes: readonly DrawnShape[]; words: string }>(),
  /** Files that are here, by their SHA-256. */
  arrived: new Map<string, Stamp>(),
})
export const acts = { 'photo.added': added, 'photo.drawn': drawn, 'photo.removed': removed, 'photo.arrived': arrived }

export const sections = {
  photos: section({
    title: 'Photographs',
    in: 'remarks',
    rows: ({ plan, state, by: signed }) =>
      state.photos.map(one => ({
        picture: {
          sha256: one.sha256,
          width: one.width,
          height: one.height,
          shapes: drawnFor(state, one),
          isHere: hasArrived(state, one),
        },
        on: one.on ? (notedName(plan, one.on) ?? '') : 'The job',
        says: lineOf(state, one),
        ...signed(one),
      })),
    columns: [
      { head: 'Photograph', width: 7, cell: (row): Cell => ({ picture: row.picture }) },
      {
        head: 'Of',
        width: 4,
        cell: (row): Cell => ({
          text: row.on,
          small: [
            ...(row.says ? [row.says] : []),
            ...(row.picture.isHere ? [] : ['Not arrived: its file is still on the tablet that took it']),
            `SHA-256 ${row.picture.sha256.slice(0, 16)}…`,
          ],
        }),
      },
      by(),
    ],
  }),
}
