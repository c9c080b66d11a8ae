/** Pitches of ISO metric threads, mm (ISO 261; ISO 262 for bolts), coarse first. */
export const METRIC_PITCHES: Record<number, readonly number[]> = {
  5: [0.8, 0.5],
  6: [1, 0.75],
  8: [1.25, 1],
  10: [1.5, 1.25, 1],
  12: [1.75, 1.5, 1.25],
  14: [2, 1.5],
  16: [2, 1.5],
  18: [2.5, 2, 1.5],
  20: [2.5, 2, 1.5],
  22: [2.5, 2, 1.5],
  24: [3, 2],
  27: [3, 2],
  30: [3.5, 2],
  33: [3.5, 2],
  36: [4, 3],
  39: [4, 3],
  42: [4.5, 3],
  45: [4.5, 3],
  48: [5, 3],
  52: [5, 4, 3],
  56: [5.5, 4],
  60: [5.5, 4],
  64: [6, 4],
}

/** Threads an inch of unified threads (ASME B1.1), by size in inches. */
export const UNIFIED_TPI: Record<'UNC' | 'UNF', Record<string, number>> = {
  UNC: {
    '1/4': 20,
    '5/16': 18,
    '3/8': 16,
    '7/16': 14,
    '1/2': 13,
    '9/16': 12,
    '5/8': 11,
    '3/4': 10,
    '7/8': 9,
    '1': 8,
    '1 1/8': 7,
    '1 1/4': 7,
    '1 3/8': 6,
    '1 1/2': 6,
    '1 3/4': 5,
    '2': 4.5,
  },
  UNF: {
    '1/4': 28,
    '5/16': 24,
    '3/8': 24,
    '7/16': 20,
    '1/2': 20,
    '9/16': 18,
    '5/8': 18,
    '3/4': 16,
    '7/8': 14,
    '1': 12,
    '1 1/8': 12,
    '1 1/4': 12,
    '1 3/8': 12,
    '1 1/2': 12,
  },
}

const KSI = 6.894757293168361

export interface ClassRow {
  upToMm: number
  mpa: number
}
export interface BoltClass {
  name: string
  standard: string
  what: 'proof stress' | '0.2 % stress' | 'yield'
  fromMm: number
  rows: readonly ClassRow[]
}

/** Stress a bolt of a class may be loaded against, by size; outside its standard's span a class says nothing. */
export const BOLT_CLASSES = {
  '4.6': { name: '4.6', standard: 'ISO 898-1', what: 'proof stress', fromMm: 1.6, rows: [{ upToMm: 39, mpa: 225 }] },
  '5.6': { name: '5.6', standard: 'ISO 898-1', what: 'proof stress', fromMm: 1.6, rows: [{ upToMm: 39, mpa: 280 }] },
  '5.8': { name: '5.8', standard: 'ISO 898-1', what: 'proof stress', fromMm: 1.6, rows: [{ upToMm: 39, mpa: 380 }] },
  '8.8': {
    name: '8.8',
    standard: 'ISO 898-1',
    what: 'proof stress',
    fromMm: 1.6,
    rows: [
      { upToMm: 16, mpa: 580 },
      { upToMm: 39, mpa: 600 },
    ],
  },
  '9.8': { name: '9.8', standard: 'ISO 898-1', what: 'proof stress', fromMm: 1.6, rows: [{ upToMm: 16, mpa: 650 }] },
  '10.9': { name: '10.9', standard: 'ISO 898-1', what: 'proof stress', fromMm: 1.6, rows: [{ upToMm: 39, mpa: 830 }] },
  '12.9': { name: '12.9', standard: 'ISO 898-1', what: 'proof stress', fromMm: 1.6, rows: [{ upToMm: 39, mpa: 970 }] },
  'A2-50': {
    name: 'A2-50',
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    fromMm: 1.6,
    rows: [{ upToMm: 39, mpa: 210 }],
  },
  'A2-70': {
    name: 'A2-70',
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    fromMm: 1.6,
    rows: [{ upToMm: 24, mpa: 450 }],
  },
  'A4-70': {
    name: 'A4-70',
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    fromMm: 1.6,
    rows: [{ upToMm: 24, mpa: 450 }],
  },
  'A4-80': {
    name: 'A4-80',
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    fromMm: 1.6,
    rows: [{ upToMm: 24, mpa: 600 }],
  },
  'Grade 2': {
    name: 'Grade 2',
    standard: 'SAE J429',
    what: 'proof stress',
    fromMm: 6.35,
    rows: [
      { upToMm: 19.05, mpa: 55 * KSI },
      { upToMm: 38.1, mpa: 33 * KSI },
    ],
  },
  'Grade 5': {
    name: 'Grade 5',
    standard: 'SAE J429',
    what: 'proof stress',
    fromMm: 6.35,
    rows: [
      { upToMm: 25.4, mpa: 85 * KSI },
      { upToMm: 38.1, mpa: 74 * KSI },
    ],
  },
  'Grade 8': {
    name: 'Grade 8',
    standard: 'SAE J429',
    what: 'proof stress',
    fromMm: 6.35,
    rows: [{ upToMm: 38.1, mpa: 120 * KSI }],
  },
  'B7': {
    name: 'B7',
    standard: 'ASTM A193',
    what: 'yield',
    fromMm: 6.35,
    rows: [
      { upToMm: 63.5, mpa: 105 * KSI },
      { upToMm: 101.6, mpa: 95 * KSI },
    ],
  },
} as const satisfies Record<string, BoltClass>
export type BoltClassName = keyof typeof BOLT_CLASSES
export const BOLT_CLASS_NAMES = Object.keys(BOLT_CLASSES) as [BoltClassName, ...BoltClassName[]]
