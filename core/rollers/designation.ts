import { accept, refuse, type Result } from '../result.ts'
import { BORE_CODES, WIDTH_MM, OUTSIDE_MM, type DiameterSeries, type WidthSeries } from './iso15-data.ts'

export type BearingType =
  | 'deep groove ball'
  | 'angular contact ball'
  | 'self-aligning ball'
  | 'spherical roller'
  | 'cylindrical roller'
  | 'tapered roller'

/** Their play is made by how they are set: they have no radial clearance group. */
const SET_IN_PAIRS: readonly BearingType[] = ['angular contact ball', 'tapered roller']

/** Series this page knows: what it is, and which dimension series of ISO 15 or ISO 355 it follows. */
const SERIES: { pattern: RegExp; type: BearingType; diameter: DiameterSeries; width: WidthSeries }[] = [
  { pattern: /^60$/, type: 'deep groove ball', diameter: '0', width: '10' },
  { pattern: /^62$/, type: 'deep groove ball', diameter: '2', width: '02' },
  { pattern: /^63$/, type: 'deep groove ball', diameter: '3', width: '03' },
  { pattern: /^64$/, type: 'deep groove ball', diameter: '4', width: '04' },
  { pattern: /^(68|618)$/, type: 'deep groove ball', diameter: '8', width: '18' },
  { pattern: /^(69|619)$/, type: 'deep groove ball', diameter: '9', width: '19' },
  { pattern: /^160$/, type: 'deep groove ball', diameter: '0', width: '00' },
  { pattern: /^622$/, type: 'deep groove ball', diameter: '2', width: '22' },
  { pattern: /^623$/, type: 'deep groove ball', diameter: '3', width: '23' },
  { pattern: /^12$/, type: 'self-aligning ball', diameter: '2', width: '02' },
  { pattern: /^13$/, type: 'self-aligning ball', diameter: '3', width: '03' },
  { pattern: /^22$/, type: 'self-aligning ball', diameter: '2', width: '22' },
  { pattern: /^23$/, type: 'self-aligning ball', diameter: '3', width: '23' },
  { pattern: /^230$/, type: 'spherical roller', diameter: '0', width: '30' },
  { pattern: /^231$/, type: 'spherical roller', diameter: '1', width: '31' },
  { pattern: /^232$/, type: 'spherical roller', diameter: '2', width: '32' },
  { pattern: /^302$/, type: 'tapered roller', diameter: '2', width: 'T2' },
  { pattern: /^303$/, type: 'tapered roller', diameter: '3', width: 'T3' },
  { pattern: /^72$/, type: 'angular contact ball', diameter: '2', width: '02' },
  { pattern: /^73$/, type: 'angular contact ball', diameter: '3', width: '03' },
  { pattern: /^222$/, type: 'spherical roller', diameter: '2', width: '22' },
  { pattern: /^223$/, type: 'spherical roller', diameter: '3', width: '23' },
  { pattern: /^213$/, type: 'spherical roller', diameter: '3', width: '03' },
  { pattern: /^(NU|NJ|N|NUP)2$/, type: 'cylindrical roller', diameter: '2', width: '02' },
  { pattern: /^(NU|NJ|N|NUP)3$/, type: 'cylindrical roller', diameter: '3', width: '03' },
  { pattern: /^(NU|NJ|N|NUP)22$/, type: 'cylindrical roller', diameter: '2', width: '22' },
  { pattern: /^(NU|NJ|N|NUP)23$/, type: 'cylindrical roller', diameter: '3', width: '23' },
]

export const CLEARANCE_GROUPS = ['C2', 'CN', 'C3', 'C4', 'C5'] as const
export type ClearanceGroup = (typeof CLEARANCE_GROUPS)[number]

export interface Bearing {
  type: BearingType
  series: string
  boreMm: number
  outsideMm: number
  widthMm: number
  /** Radial clearance group; none for angular contact, whose play is made by how it is mounted. */
  group: ClearanceGroup | null
  taperedBore: boolean
  /** Sealed or shielded: not washed, and not heated above what the seal bears. */
  closed: 'sealed' | 'shielded' | null
  /** What its suffixes change at the bench. */
  heed: string[]
}

const ASK = 'Measure bore, outside diameter and width and type them instead.'

/**
 * Reads a rolling bearing's designation into its boundary dimensions (ISO 15, mm) and what its suffixes change.
 * Known: 60 62 63 64 68 69 160 622 623, 12 13 22 23, 72 73, 222 223 213 230 231 232, 302 303, NU NJ N NUP with 2 3 22 23,
 * bore codes 00 to 40; suffixes C2 to C5, K, seals and
 * shields. Anything else is refused and asks for the three dimensions: it does not guess. Codes of three figures (608)
 * and bores with a stroke (/22 /28 /32) break the bore rule and are refused by name.
 *
 * @example readDesignation('6312-2RS C3') // 60 × 130 × 31, group C3, sealed
 */
export function readDesignation(text: string): Result<Bearing> {
  const clean = text.trim().toUpperCase().replace(/\s+/g, ' ')
  if (/\/(22|28|32)\b/.test(clean))
    return refuse(`“${text}”: a stroke gives the bore in millimetres and breaks the usual bore rule. ${ASK}`)
  const match = /^((?:NUP|NU|NJ|N)?) ?(\d{2,5})\s*[-/ ]?\s*(.*)$/.exec(clean)
  if (!match) return refuse(`“${text}” is not a designation known here. ${ASK}`)
  const [, letters = '', figures = '', tail = ''] = match
  if (figures.length <= 3 && !letters)
    return refuse(`“${text}”: codes of three figures, such as 608, break the usual bore rule. ${ASK}`)
  const series = letters + figures.slice(0, -2)
  const code = figures.slice(-2)
  const known = SERIES.find(one => one.pattern.test(series))
  if (!known) return refuse(`“${text}”: the series ${series} is not known here. ${ASK}`)
  const boreMm = BORE_CODES[code] ?? Number(code) * 5
  const outsideMm = OUTSIDE_MM[known.diameter][boreMm]
  const widthMm = WIDTH_MM[known.width][boreMm]
  if (outsideMm === undefined || widthMm === undefined)
    return refuse(`“${text}”: no dimensions are kept here for the series ${series} with a bore of ${boreMm} mm. ${ASK}`)
  const suffixes = readSuffixes(tail)
  if (!suffixes.ok) return refuse(`“${text}”: ${suffixes.why}`)
  const { group, heed, ...read } = suffixes.value
  const isSet = SET_IN_PAIRS.includes(known.type)
  if (isSet && group)
    return refuse(
      `“${text}”: a bearing of type ${known.type} has no radial clearance group such as ${group}; its play comes from how the pair is set. Leave ${group} out, and take the pair’s play or preload from the maker.`,
    )
  const own = isSet ? null : (group ?? 'CN')
  return accept({
    type: known.type,
    series,
    boreMm,
    outsideMm,
    widthMm,
    ...read,
    group: own,
    heed:
      own && own !== 'CN' ? [...heed, `clearance group ${own}: do not put one of another group in its place`] : heed,
  })
}

interface Suffix {
  names: readonly string[]
  sets?: Partial<Pick<Bearing, 'group' | 'taperedBore' | 'closed'>>
  heed?: string
}

/** Suffixes that change the job; the last row changes nothing here: cages, lubrication grooves, inner designs. */
const SUFFIXES: readonly Suffix[] = [
  ...CLEARANCE_GROUPS.map(group => ({ names: [group], sets: { group } })),
  { names: ['K'], sets: { taperedBore: true }, heed: 'tapered bore 1:12: it is driven up, not pushed on' },
  { names: ['K30'], sets: { taperedBore: true }, heed: 'tapered bore 1:30: it is driven up, and further than 1:12' },
  {
    names: ['2RS', '2RS1', '2RSR', '2RSH', 'RS', 'RS1', 'RSR', 'LLU'],
    sets: { closed: 'sealed' },
    heed: 'sealed: do not wash it, and do not heat it above what its seal bears',
  },
  {
    names: ['ZZ', '2Z', 'Z'],
    sets: { closed: 'shielded' },
    heed: 'shielded: do not wash it; its grease limits the heat',
  },
  { names: ['P5', 'P6'], heed: 'closer than Normal class: its rings have limits of their own' },
  { names: ['W33', 'S', 'M', 'MA', 'MB', 'J', 'TN', 'TN9', 'P', 'CC', 'CA', 'E', 'EC', 'A', 'B'] },
]
const NAMES = SUFFIXES.flatMap(suffix => suffix.names.map(name => ({ name, suffix }))).sort(
  (a, b) => b.name.length - a.name.length,
)

/** Suffixes run together, such as `EK` or `CCK`, taken apart; null where they cannot be. */
function takeApart(word: string): Suffix[] | null {
  if (!word) return []
  for (const { name, suffix } of NAMES) {
    const rest = word.startsWith(name) ? takeApart(word.slice(name.length)) : null
    if (rest) return [suffix, ...rest]
  }
  return null
}

function readSuffixes(tail: string): Result<Pick<Bearing, 'group' | 'taperedBore' | 'closed' | 'heed'>> {
  const read: Pick<Bearing, 'group' | 'taperedBore' | 'closed' | 'heed'> = {
    group: null,
    taperedBore: false,
    closed: null,
    heed: [],
  }
  for (const word of tail.split(/[\s/-]+/).filter(Boolean)) {
    const suffixes = takeApart(word)
    if (!suffixes)
      return refuse(
        `the suffix ${word} is not known here. Leave it out if it changes neither clearance, bore nor seals. ${ASK}`,
      )
    for (const { sets, heed } of suffixes) {
      const twice = (['group', 'closed'] as const).find(key => sets?.[key] && read[key])
      if (twice)
        return refuse(
          twice === 'group'
            ? `it has two clearance groups, ${read.group} and ${sets!.group}. Read the ring again: it is one of them.`
            : `it says twice how it is closed (${[read.closed, sets!.closed].join(' and ')}). Read the ring again.`,
        )
      Object.assign(read, sets)
      if (heed) read.heed.push(heed)
    }
  }
  return accept(read)
}
