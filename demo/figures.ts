import type { Finding } from '../core/job/index.ts'
import { parseClock } from '../core/marks/index.ts'
import type { Check, Look } from '../core/sheet/index.ts'

/**
 * Figures and answers by check, or by check with the moment, the station, the figure of its sum: the closest that is named
 * counts. A star stands for anything.
 */
export type Figures = Partial<Record<string, number | string>>

/** What a table of figures says under the first of these names that it knows, in full before by a star. */
export function finderOf(figures: Figures): (names: readonly string[]) => number | string | undefined {
  const stars = Object.entries(figures).flatMap(([name, value]) =>
    name.includes('*') && value !== undefined
      ? [{ is: new RegExp(`^${name.replaceAll(/[.+?()[\]{}|^$\\]/g, String.raw`\$&`).replaceAll('*', '.*')}$`), value }]
      : [],
  )
  return names =>
    names.map(name => figures[name]).find(one => one !== undefined) ??
    names.flatMap(name => stars.find(one => one.is.test(name))?.value ?? [])[0]
}

/** The names that a reading is looked for under, the closest first. */
export const namesOf = (check: string, moment: string, place: string | undefined): string[] => [
  ...(place === undefined ? [] : [`${check} ${moment} ${place}`, `${check} ${place}`]),
  `${check} ${moment}`,
  check,
]

/** As what a gauge reads is called in such tables: its place; of a run its column, and then its row. */
export const placeOf = (
  { kind, title }: Pick<Check, 'kind' | 'title'>,
  place: string | undefined,
): string | undefined => (kind === 'run' ? `${title} ${place}` : place)

/** What is seen at a look, as such tables have it: `checks 2 from 3:00 to 5:00, outer face; chip 1`. Empty where it is clean. */
export function seenIn(text: string, { zones = [], faces = [] }: Pick<Look, 'zones' | 'faces'>): Finding[] {
  return text.split(';').map(one => {
    const [what, ...rest] = one.split(',').map(each => each.trim())
    const found = /^(\S+) ([123])(?: (?:at|from) ([\d:]+)(?: to ([\d:]+))?)?$/.exec(what!)
    if (!found) throw new Error(`“${one}” is not a finding: a code, a grade, and where.`)
    const [, code, grade, from, to] = found
    const [deg, toDeg] = [from, to].map(hour => (hour === undefined ? undefined : degreesOf(hour)))
    const note = rest.find(each => !zones.includes(each) && !faces.includes(each))
    const zone = rest.find(each => zones.includes(each))
    const face = rest.find(each => faces.includes(each))
    return {
      ...{ code: code!, grade: Number(grade) },
      ...(deg === undefined ? {} : { deg }),
      ...(toDeg === undefined ? {} : { toDeg }),
      ...(zone === undefined ? {} : { zone }),
      ...(face === undefined ? {} : { face }),
      ...(note === undefined ? {} : { note }),
    }
  })
}

function degreesOf(hour: string): number {
  const read = parseClock(hour)
  if (!read.ok) throw new Error(read.why)
  return read.value
}

/** What a table says is seen on a part at a look: under the look and the part, or the look alone. */
export const seenBy =
  (find: ReturnType<typeof finderOf>) =>
  (part: string, look: Pick<Look, 'id' | 'zones' | 'faces'>): Finding[] => {
    const said = find([`${look.id} ${part}`, look.id])
    return said === undefined ? [] : seenIn(String(said), look)
  }

const WELL_BLUED = [0, 1, 1, 1, 1, 0.5, 0, 1, 1, 1, 1, 0, 0, 1, 1, 1, 1, 0.5, 0, 1, 1, 1, 0.5, 0].join(';')

/** What the sums of a machine are given where nothing is wrong with it, by its sheet; the rest wears by its limits. */
export const SOUND: Record<string, Figures> = {
  'm1-torsional-coupling': {
    'bore-drive': 156.06,
    'bush-drive': 156.002,
    'bore-end': 140.05,
    'bush-end': 140.001,
    'nose': 140.014,
    'bush-bore': 140.001,
    'recess': 1.17,
    'section': 1.5,
    'pocket-front': 37.3,
    'pocket-back': 37.2,
    'strokes': 20,
    'depth-hand': 6.46,
    'depth-pulled': 6.11,
    'half-hour * 0 min': 19,
    'half-hour * 10 min': 25,
    'half-hour * 20 min': 29,
    'half-hour *': 31,
  },
  'm2-lever-hoist': {
    throat: 45.2,
    pitch: 135.4,
    loaded: 6250,
    creep: 0.4,
  },
  'm3-cycloidal-reducer': {
    air: 20,
  },
  'm5-reciprocating-compressor': {
    'top-* first lead': 0.57,
    'top-* second lead': 0.59,
    'run *discharge gas*': 86,
    'run *left head*': 79,
    'run *right head*': 77,
    'run *current*': 28,
    'run *suction*': 0.24,
    'run *': 20,
    'tight At the start, absolute': 1.3,
    'tight Gas at the start': 21,
    'tight At the end, absolute': 1.297,
    'tight Gas at the end': 20.6,
  },
  'm9-dc-motor': {
    'fields': 108,
    'bars': 0.182,
    'bearing-run *air*': 20,
    'bearing-run *armature current*': 58,
    'bearing-run *spark*': 0,
    'bearing-run * 0 min': 24,
    'bearing-run * 15 min': 31,
    'bearing-run * 30 min': 37,
    'bearing-run * 45 min': 41,
    'bearing-run * 60 min': 43,
    'bearing-run *': 44,
  },
  'm19-rotary-vane-pump': {
    'depth': 60.172,
    'rotor-length': 60.001,
    'runout': 0.012,
    'slot-width': 5.05,
    'vane-thick': 4.965,
    'vane-long': 59.91,
    'free-*': 24.1,
    'room-*': 22.2,
    'counted Stops that were given': 3,
    'drawn': 0.086,
    'capacity asLeft': 0.98,
    'shake asLeft': 2.4,
    'tight At the start, absolute': 0.901,
    'tight Gas at the start': 14.2,
    'tight At the end, absolute': 0.9,
    'tight Gas at the end': 14,
    'run-in *liquid*': 11,
    'run-in *head* 0 min': 12,
    'run-in *head*': 19,
    'run-in *current*': 8.6,
  },
  'm15-sanitary-pump': {
    'shims-found shim 1': 0.3,
    'shims-found shim 2': 0.2,
    'shims-found shim 3': 0.1,
    'tried': 0.64,
    'pack-tried': 0.6,
    'pack-in': 0.6,
    'under-ring': 37.97,
    'motor-bore': 38.02,
    'ring-square': 4,
    'stands-over': 3,
    'float-found build': 0.02,
    'runout build': 0.012,
    'shake asLeft': 1.7,
    'seat-*': 30.008,
    'bore-*': 72.013,
    'heat': 105,
    'mounted': 0.024,
    'half-hour *bearing* 0 min': 22,
    'half-hour *bearing* 10 min': 33,
    'half-hour *bearing*': 41,
    'half-hour *current*': 10.6,
  },
  'm4-dosing-pump': {
    'delivery asLeft': 0.247,
    'suction asLeft': 0.036,
    'cam-bore': 8.01,
    'shaft-size': 7.994,
    'throw': 2,
    'heads': 0.4,
    'proud-*': 3,
    'under': 1.2,
    'driver': 4,
    'squeeze': 2.62,
    'bath': 0.005,
    'gap': 0.03,
    'holds At the start, absolute': 0.301,
    'holds Gas at the start': 19.2,
    'holds At the end, absolute': 0.3,
    'holds Gas at the end': 19.1,
    'warm *casing* 0 min': 21,
    'warm *casing* 10 min': 33,
    'warm *casing*': 37,
  },
  'm13-agitator': {
    'float build': 0.04,
    'lift build': 0.03,
    'height build': 34,
    'height asLeft': 34,
    'height-again': 34,
    'quill-seats': 60.011,
    'frame-bores': 110.015,
    'heat': 95,
    'pin-high': 4.05,
    'pin-high-air': 4.05,
    'rock': 0.11,
    'rock-air': 0.11,
    'force': 66,
    'force-air': 66,
    'still-proud': 1,
    'seal-run asLeft': 0.06,
    'keyway': 0.07,
    'spring-free': 11.1,
    'tight At the start, absolute': 0.301,
    'tight Gas at the start': 20.1,
    'tight At the end, absolute': 0.3,
    'tight Gas at the end': 19.9,
    'hour *frame* 0 min': 24,
    'hour *frame* 15 min': 38,
    'hour *frame* 30 min': 45,
    'hour *frame*': 47,
  },
  'm18-linear-conveyor': {
    'bore-*': 20.01,
    'size-*': 19.952,
    'rail-size': 9.99,
    'ring-section': 2.62,
    'bearing-bore': 10.05,
    'bearing-deep': 0.1,
    'seat-square': 2.5,
    'lift': 1.6,
    'adjuster build': 4,
    'start asLeft': 0.05,
    'stroke asLeft': 24,
    'rate asLeft': 164,
    'tight At the start, absolute': 0.401,
    'tight Gas at the start': 19,
    'tight At the end, absolute': 0.4,
    'tight Gas at the end': 18.9,
    'drops': 205,
  },
  'm16-cartridge-seal-pump': {
    'recess': 24.121,
    'width': 23.967,
    'seats': 30.006,
    'bores': 72.014,
    'free': 32,
    'room': 30,
    'heat': 102,
    'mounted': 0.02,
    'drift': 1.5,
    'lip-depth': 0.5,
    'flush': 0.03,
    'runout build': 0.012,
    'tight At the start, absolute': 0.251,
    'tight Gas at the start': 18.2,
    'tight At the end, absolute': 0.25,
    'tight Gas at the end': 18,
    'hour *carrier* 0 min': 21,
    'hour *carrier* 15 min': 36,
    'hour *carrier* 30 min': 43,
    'hour *carrier*': 46,
  },
  'm11-vacuum-gear-pump': {
    'rise At the start, absolute': 0.0036,
    'rise Gas at the start': 40,
    'rise At the end, absolute': 0.0039,
    'rise Gas at the end': 39.4,
    'journal-*': 15.979,
    'bore-*': 16.008,
    'plates-*': 4.996,
    'width': 24.985,
    'pack': 1.8,
    'runout build': 0.012,
    'float build': 0.07,
    'vacuum asLeft': 0.0028,
    'set': 2.41,
    'set-found': 2.38,
    'low-side': 74,
    'end-*': 0.062,
    'long-out': 8,
    'half-hour *front housing* 0 min': 24,
    'half-hour *front housing* 10 min': 36,
    'half-hour *front housing*': 43,
    'half-hour *current*': 3.4,
  },
  'm10-gear-unit': {
    'air': 22,
    'hot-*': 52,
    'alignment-*': 0,
    'baffle-gap': 0.4,
    'float-slow build': 0.33,
    'float-slow asLeft': 0.34,
    'backlash *': 0.42,
    'contact-teeth Along the tooth': 78,
    'contact-teeth Up the working height': 55,
    'contact-teeth The blue lies': 'even, in the middle',
    'blue-*': WELL_BLUED,
    'strips-f* input end': 0.9,
    'strips-f* middle': 0.92,
    'strips-f* output end': 0.94,
    'strips-s* input end': 1.46,
    'strips-s* middle': 1.48,
    'strips-s* output end': 1.44,
    'skew-f*': 0.44,
    'skew-s*': 0.54,
    'pinch-* wire, flattened': 0.38,
    'pinch-* shim*': 0.4,
    'run-up air *': 19,
    'run-up fast* 0 min': 21,
    'run-up fast* 15 min': 37,
    'run-up fast* 30 min': 48,
    'run-up fast* 45 min': 54,
    'run-up fast* 60 min': 57,
    'run-up fast* 75 min': 58,
    'run-up fast* 90 min': 58,
    'run-up slow* 0 min': 21,
    'run-up slow* 15 min': 33,
    'run-up slow* 30 min': 41,
    'run-up slow* 45 min': 46,
    'run-up slow* 60 min': 48,
    'run-up slow* 75 min': 49,
    'run-up slow* 90 min': 49,
  },
  'm14-axially-split-pump': {
    'air': 19,
    'warm-* asFound': 52,
    'soft-foot front left*': 0.02,
    'soft-foot front right*': 0.03,
    'soft-foot back *': 0.01,
    'alignment *': 0,
    'bearing-heat': 92,
    'clamp-gap': 1,
  },
  'm17-decanter': {
    'room-length': 5600,
    'room-width': 3100,
    'room-beyond': 4100,
    'room-gear': 3600,
    'legs-* Leg from the vertical': 20,
    'legs-gear* Slings, shackles and beam': 18,
    'legs-casing* Slings, shackles and beam': 80,
    'legs-bowl* Leg from the vertical': 1,
    'legs-bowl* Slings, shackles and beam': 204,
    'gear-hung': 281,
    'float build': 0.16,
    'play-mounted': 0.084,
    'end-hung-*': 144,
    'pins-found': 4,
    'pins-back': 18,
    'pins-home': 4,
    'heat-*': 93,
    'trip': 241,
    'pipe-round *': 4.1,
    'balance': 6_400,
    'belt': 16,
    'weirs': 90,
    'run *current*': 38,
    'run * 0 min': 21,
    'run * 15 min': 36,
    'run * 30 min': 45,
    'run * 45 min': 50,
    'run * 60 min': 53,
    'run * 75 min': 54,
    'run *': 55,
  },
  'm6-sleeve-bearing-motor': {
    'seat-de': 125.018,
    'seat-nde': 115.016,
    'shell-de': 125.012,
    'shell-nde': 115.011,
    'journal-de': 89.985,
    'journal-nde': 79.986,
    'gap-* at 12': 1.24,
    'gap-* at 3': 1.19,
    'gap-* at 6': 1.16,
    'gap-* at 9': 1.21,
    'set Against the outer stop': 0,
    'set Against the drive-end stop': 11,
    'set Where it runs': 5.2,
    'set Where it was set': 5.2,
    'run-up *air*': 20,
    'run-up * 0 min': 21,
    'run-up * 15 min': 34,
    'run-up * 30 min': 43,
    'run-up * 45 min': 49,
    'run-up * 60 min': 52,
    'run-up * 75 min': 54,
    'run-up *': 55,
  },
  'm8-scraped-surface-exchanger': {
    // Sharpened, the heel is narrow again.
    'land-* build': 0.2,
    'springs-primary': 11.9,
    'springs-secondary': 14.8,
    'air': 21,
  },
}
