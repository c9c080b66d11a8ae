/** Pitches of ISO metric threads, mm (ISO 261; ISO 262 for bolts), coarse first. */
export const METRIC_PITCHES: Record<number, readonly number[]> = {
  3: [0.5],
  4: [0.7],
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

export type UnifiedSeries = 'UNC' | 'UNF' | '8UN'

/** Threads an inch of unified threads (ASME B1.1), by size in inches. */
export const UNIFIED_TPI: Record<UnifiedSeries, Record<string, number>> = {
  'UNC': {
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
  'UNF': {
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
  // Eight threads an inch whatever the size: large studs of flanges and casings.
  '8UN': Object.fromEntries(
    [
      '1 1/8',
      '1 1/4',
      '1 3/8',
      '1 1/2',
      '1 5/8',
      '1 3/4',
      '1 7/8',
      '2',
      '2 1/4',
      '2 1/2',
      '2 3/4',
      '3',
      '3 1/4',
      '3 1/2',
      '3 3/4',
      '4',
    ].map(size => [size, 8]),
  ),
}

const KSI = 6.894757293168361

export type ThreadSystem = 'metric' | 'unified'
export interface ClassRow {
  upToMm: number
  /** What a bolt may be loaded against, by `what`. */
  mpa: number
  /** Where it begins to stay longer: yield, or 0.2 % stress. */
  yieldMpa: number
}
interface ClassSpan {
  fromMm: number
  rows: readonly ClassRow[]
}
export interface BoltClass {
  standard: string
  what: 'proof stress' | '0.2 % stress' | 'yield'
  /** A class belongs to the threads its standard gives it for, and to no others. */
  metric?: ClassSpan
  unified?: ClassSpan
}

/** Stress a bolt of a class may be loaded against, by thread and size; outside its standard's span a class says nothing. */
export const BOLT_CLASSES = {
  '4.6': {
    standard: 'ISO 898-1',
    what: 'proof stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 39, mpa: 225, yieldMpa: 240 }] },
  },
  '5.6': {
    standard: 'ISO 898-1',
    what: 'proof stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 39, mpa: 280, yieldMpa: 300 }] },
  },
  '5.8': {
    standard: 'ISO 898-1',
    what: 'proof stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 39, mpa: 380, yieldMpa: 420 }] },
  },
  '8.8': {
    standard: 'ISO 898-1',
    what: 'proof stress',
    metric: {
      fromMm: 1.6,
      rows: [
        { upToMm: 16, mpa: 580, yieldMpa: 640 },
        { upToMm: 39, mpa: 600, yieldMpa: 660 },
      ],
    },
  },
  '9.8': {
    standard: 'ISO 898-1',
    what: 'proof stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 16, mpa: 650, yieldMpa: 720 }] },
  },
  '10.9': {
    standard: 'ISO 898-1',
    what: 'proof stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 39, mpa: 830, yieldMpa: 940 }] },
  },
  '12.9': {
    standard: 'ISO 898-1',
    what: 'proof stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 39, mpa: 970, yieldMpa: 1100 }] },
  },
  'A2-50': {
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 39, mpa: 210, yieldMpa: 210 }] },
  },
  'A2-70': {
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 24, mpa: 450, yieldMpa: 450 }] },
  },
  'A4-70': {
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 24, mpa: 450, yieldMpa: 450 }] },
  },
  'A4-80': {
    standard: 'ISO 3506-1',
    what: '0.2 % stress',
    metric: { fromMm: 1.6, rows: [{ upToMm: 24, mpa: 600, yieldMpa: 600 }] },
  },
  'Grade 2': {
    standard: 'SAE J429',
    what: 'proof stress',
    unified: {
      fromMm: 6.35,
      rows: [
        { upToMm: 19.05, mpa: 55 * KSI, yieldMpa: 57 * KSI },
        { upToMm: 38.1, mpa: 33 * KSI, yieldMpa: 36 * KSI },
      ],
    },
  },
  'Grade 5': {
    standard: 'SAE J429',
    what: 'proof stress',
    unified: {
      fromMm: 6.35,
      rows: [
        { upToMm: 25.4, mpa: 85 * KSI, yieldMpa: 92 * KSI },
        { upToMm: 38.1, mpa: 74 * KSI, yieldMpa: 81 * KSI },
      ],
    },
  },
  'Grade 8': {
    standard: 'SAE J429',
    what: 'proof stress',
    unified: { fromMm: 6.35, rows: [{ upToMm: 38.1, mpa: 120 * KSI, yieldMpa: 130 * KSI }] },
  },
  'B7': {
    standard: 'ASTM A193',
    what: 'yield',
    metric: {
      fromMm: 6,
      rows: [
        { upToMm: 64, mpa: 720, yieldMpa: 720 },
        { upToMm: 100, mpa: 655, yieldMpa: 655 },
      ],
    },
    unified: {
      fromMm: 6.35,
      rows: [
        { upToMm: 63.5, mpa: 105 * KSI, yieldMpa: 105 * KSI },
        { upToMm: 101.6, mpa: 95 * KSI, yieldMpa: 95 * KSI },
      ],
    },
  },
} as const satisfies Record<string, BoltClass>
export type BoltClassName = keyof typeof BOLT_CLASSES
export const BOLT_CLASS_NAMES = Object.keys(BOLT_CLASSES) as [BoltClassName, ...BoltClassName[]]
