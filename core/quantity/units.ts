/**
 * Units as data. `factor` turns one of the unit into the base unit of its kind; `offset` is added afterwards (temperatures only).
 * Factors are exact by definition: international yard and pound agreement (1959), standard gravity 9.80665 m/s², lbf from both.
 */
export const KINDS = [
  'length',
  'torque',
  'pressure',
  'temperature',
  'temperatureDifference',
  'mass',
  'force',
  'angle',
  'speed',
  'time',
  'count',
  'ratio',
  'velocity',
  'resistance',
  'volume',
  'temperatureRate',
  'unbalance',
  'current',
  'power',
  'voltage',
  'frequency',
] as const
export type Kind = (typeof KINDS)[number]

export interface Unit {
  kind: Kind
  factor: number
  offset?: number
  /** Spellings beside the key itself, compared after lower-casing and dropping spaces. */
  also?: string[]
  /** Only pressures say whether they count from vacuum or from the air around. */
  reference?: 'gauge' | 'absolute'
}

const INCH = 25.4
const LBF = 4.4482216152605
const KGF = 9.80665
const PSI = LBF / (INCH * INCH)

/** Every unit there is. Written out, so that the schema of sheets can be made from it. */
export type UnitName =
  | 'mm'
  | 'cm'
  | 'm'
  | 'µm'
  | 'in'
  | 'thou'
  | 'N·m'
  | 'kN·m'
  | 'kgf·m'
  | 'lbf·ft'
  | 'lbf·in'
  | 'MPa'
  | 'kPa'
  | 'Pa'
  | 'bar'
  | 'mbar'
  | 'psi'
  | 'barg'
  | 'bara'
  | 'psig'
  | 'psia'
  | '°C'
  | '°F'
  | 'K'
  | 'Δ°F'
  | 'kg'
  | 'g'
  | 't'
  | 'lb'
  | 'oz'
  | 'N'
  | 'kN'
  | 'kgf'
  | 'lbf'
  | '°'
  | '1/min'
  | 's'
  | 'min'
  | 'h'
  | '1'
  | '%'
  | '‰'
  | 'mm/s'
  | 'in/s'
  | 'MΩ'
  | 'GΩ'
  | 'kΩ'
  | 'Ω'
  | 'mΩ'
  | 'L'
  | 'mL'
  | 'm³'
  | 'K/h'
  | 'g·mm'
  | 'A'
  | 'mA'
  | 'V'
  | 'mV'
  | 'kV'
  | 'Hz'
  | 'kW'
  | 'pcs'

export const UNITS = {
  'mm': { kind: 'length', factor: 1, also: ['millimetre', 'millimetres', 'millimeter'] },
  'cm': { kind: 'length', factor: 10 },
  'm': { kind: 'length', factor: 1000 },
  'µm': { kind: 'length', factor: 0.001, also: ['um', 'μm', 'micron', 'microns'] },
  'in': { kind: 'length', factor: INCH, also: ['"', '″', '”', 'inch', 'inches', "''"] },
  'thou': { kind: 'length', factor: INCH / 1000, also: ['mil', 'mils'] },
  'N·m': { kind: 'torque', factor: 1, also: ['nm', 'n.m', 'n*m', 'n-m', 'newtonmetre'] },
  'kN·m': { kind: 'torque', factor: 1000, also: ['knm', 'kn.m', 'kn*m'] },
  'kgf·m': { kind: 'torque', factor: KGF, also: ['kgfm', 'kgf.m', 'kgf*m', 'kgf-m', 'kgm', 'kg·m', 'kg-m'] },
  'lbf·ft': {
    kind: 'torque',
    factor: LBF * 0.3048,
    also: [
      'ft-lb',
      'ft·lb',
      'ftlb',
      'ft.lb',
      'ft-lbf',
      'ft·lbf',
      'ftlbf',
      'lb-ft',
      'lb·ft',
      'lbft',
      'lbf-ft',
      'lbfft',
      'lbf.ft',
    ],
  },
  'lbf·in': {
    kind: 'torque',
    factor: (LBF * INCH) / 1000,
    also: ['in-lb', 'in·lb', 'inlb', 'in.lb', 'in-lbf', 'inlbf', 'in·lbf', 'lb-in', 'lb·in', 'lbin', 'lbf-in', 'lbfin'],
  },
  'MPa': { kind: 'pressure', factor: 1, also: ['n/mm2', 'n/mm²'] },
  'kPa': { kind: 'pressure', factor: 0.001 },
  'Pa': { kind: 'pressure', factor: 1e-6 },
  'bar': { kind: 'pressure', factor: 0.1 },
  'mbar': { kind: 'pressure', factor: 1e-4 },
  'psi': { kind: 'pressure', factor: PSI },
  'barg': { kind: 'pressure', factor: 0.1, reference: 'gauge', also: ['bar(g)'] },
  'bara': { kind: 'pressure', factor: 0.1, reference: 'absolute', also: ['bar(a)'] },
  'psig': { kind: 'pressure', factor: PSI, reference: 'gauge' },
  'psia': { kind: 'pressure', factor: PSI, reference: 'absolute' },
  '°C': { kind: 'temperature', factor: 1, also: ['c', 'degc', 'ºc'] },
  '°F': { kind: 'temperature', factor: 5 / 9, offset: -160 / 9, also: ['f', 'degf', 'ºf'] },
  'K': { kind: 'temperatureDifference', factor: 1, also: ['δ°c', 'kelvin'] },
  'Δ°F': { kind: 'temperatureDifference', factor: 5 / 9, also: ['δf', '°f', 'f'] },
  'kg': { kind: 'mass', factor: 1 },
  'g': { kind: 'mass', factor: 0.001 },
  't': { kind: 'mass', factor: 1000, also: ['tonne', 'tonnes'] },
  'lb': { kind: 'mass', factor: 0.45359237, also: ['lbs'] },
  'oz': { kind: 'mass', factor: 0.028349523125 },
  'N': { kind: 'force', factor: 1 },
  'kN': { kind: 'force', factor: 1000 },
  'kgf': { kind: 'force', factor: KGF },
  'lbf': { kind: 'force', factor: LBF },
  '°': { kind: 'angle', factor: 1, also: ['deg', 'degrees'] },
  '1/min': { kind: 'speed', factor: 1, also: ['rpm', 'r/min', 'min-1'] },
  's': { kind: 'time', factor: 1 },
  'min': { kind: 'time', factor: 60 },
  'h': { kind: 'time', factor: 3600, also: ['hr', 'hrs', 'hours'] },
  '1': { kind: 'ratio', factor: 1 },
  '%': { kind: 'ratio', factor: 0.01, also: ['percent', 'per cent'] },
  '‰': { kind: 'ratio', factor: 0.001 },
  'mm/s': { kind: 'velocity', factor: 1 },
  'in/s': { kind: 'velocity', factor: INCH, also: ['ips'] },
  'MΩ': { kind: 'resistance', factor: 1e6, also: ['megohm'] },
  'GΩ': { kind: 'resistance', factor: 1e9, also: ['gohm'] },
  'kΩ': { kind: 'resistance', factor: 1000, also: ['kohm'] },
  'Ω': { kind: 'resistance', factor: 1, also: ['ohm'] },
  'mΩ': { kind: 'resistance', factor: 0.001, also: ['milliohm'] },
  'L': { kind: 'volume', factor: 1, also: ['litre', 'litres'] },
  'mL': { kind: 'volume', factor: 0.001 },
  'm³': { kind: 'volume', factor: 1000, also: ['m3'] },
  'K/h': { kind: 'temperatureRate', factor: 1 },
  'g·mm': { kind: 'unbalance', factor: 1, also: ['gmm', 'g.mm', 'g*mm'] },
  'A': { kind: 'current', factor: 1 },
  'mA': { kind: 'current', factor: 0.001 },
  'V': { kind: 'voltage', factor: 1, also: ['volt', 'volts'] },
  'mV': { kind: 'voltage', factor: 0.001 },
  'kV': { kind: 'voltage', factor: 1000 },
  'Hz': { kind: 'frequency', factor: 1, also: ['hertz'] },
  'kW': { kind: 'power', factor: 1 },
  'pcs': { kind: 'count', factor: 1, also: ['off', '×'] },
} as const satisfies Record<UnitName, Unit>

export const BASE_UNIT: Record<Kind, UnitName> = {
  length: 'mm',
  torque: 'N·m',
  pressure: 'MPa',
  temperature: '°C',
  temperatureDifference: 'K',
  mass: 'kg',
  force: 'N',
  angle: '°',
  speed: '1/min',
  time: 's',
  count: 'pcs',
  ratio: '1',
  velocity: 'mm/s',
  resistance: 'Ω',
  volume: 'L',
  temperatureRate: 'K/h',
  unbalance: 'g·mm',
  current: 'A',
  power: 'kW',
  voltage: 'V',
  frequency: 'Hz',
}

/** Words that name more than one unit; each is answered with the question to ask. */
export const AMBIGUOUS_WORDS: Record<string, string> = {
  mohm: '“mohm” may be a thousandth of an ohm or a million. Write mΩ or MΩ.',
  ton: '“ton” may be 1000 kg, 2000 lb or 2240 lb. Write t for the tonne, or give it in kg or lb.',
  tons: '“tons” may be 1000 kg, 2000 lb or 2240 lb. Write t for the tonne, or give it in kg or lb.',
}

export const isUnit = (text: string): text is UnitName => Object.hasOwn(UNITS, text)
