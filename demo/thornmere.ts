import type { Competence, Role, Said } from '../core/job/index.ts'
import type { Duration, Variants } from '../core/sheet/index.ts'
import {
  BLOWERS,
  COMPRESSORS,
  COUPLINGS,
  DECANTERS,
  EXCHANGERS,
  GEAR_UNITS,
  HOISTS,
  MOTORS,
  REDUCERS,
  SEALS,
  SLEEVE_MOTORS,
} from './machines.ts'
import type { Wear } from './findings.ts'

/** The Thornmere beet works: invented, like everyone and everything in it. */
export const PEOPLE: { name: string; role: Role; pin: string; competences?: Competence[] }[] = [
  { name: 'R. Okell', role: 'fitter', pin: '214083' },
  {
    name: 'T. Brisco',
    role: 'fitter',
    pin: '317056',
    competences: [
      { by: 'certified', of: 'refrigerant', until: '2028-03-31' },
      { by: 'competent', of: 'confined spaces', until: '2027-05-31' },
    ],
  },
  {
    name: 'O. Hallam',
    role: 'lead',
    pin: '773592',
    competences: [{ by: 'competent', of: 'lifting gear', until: '2027-09-30' }],
  },
  { name: 'I. Vahl', role: 'planner', pin: '448215' },
  { name: 'P. Moorcott', role: 'stores', pin: '605937' },
  { name: 'J. Larkin', role: 'reader', pin: '901648' },
]

/** Who works on a machine that names nobody else, and who leads. */
export const FITTER = 'R. Okell'
export const LEAD = 'O. Hallam'

export const SITE_NAME = 'Thornmere works'

export const AREAS = [
  { id: 'beet', name: 'Beet end' },
  { id: 'juice', name: 'Juice and lime' },
  { id: 'evaporation', name: 'Evaporation' },
  { id: 'sugar', name: 'Sugar end' },
]

/** One overhaul in a machine's past, or the one in hand (`until` a step). */
export interface Overhaul {
  hours: number
  on: string
  complaint: string
  /** Of what its sheet knows. */
  signs?: string[]
  wear: Wear
  until?: string
  /** How long what that step waits for has gone on when the demo is loaded: the whole job is dated from there. */
  waitsSince?: Duration
  cause?: string
  /** What a picture of the machine shows, taken before anything came off. */
  stood?: string
  /** Said otherwise than it should be, by step. */
  slips?: Record<string, Said>
}

export interface DemoMachine {
  tag: string
  name: string
  area: string
  line: string
  /** The raw-juice pump's where none is named. */
  sheet?: string
  variants: Variants
  hoursRun: number
  hoursPerWeek: number
  /** Who works on it, where that is somebody else than usual: whoever holds the papers that its sheet asks for. */
  fitter?: string
  overhauls: Overhaul[]
}

/** The sheet a machine goes by. */
export const sheetOf = ({ sheet = 'm14-axially-split-pump' }: Pick<DemoMachine, 'sheet'>): string => sheet

export const FLEET: DemoMachine[] = [
  ...GEAR_UNITS,
  ...EXCHANGERS,
  ...REDUCERS,
  ...SEALS,
  ...BLOWERS,
  ...MOTORS,
  ...COMPRESSORS,
  ...DECANTERS,
  ...COUPLINGS,
  ...HOISTS,
  ...SLEEVE_MOTORS,
  {
    tag: 'P-214A',
    name: 'Raw-juice pump',
    area: 'beet',
    line: 'line 1',
    variants: { faces: 'carbon', flush: 'water' },
    hoursRun: 9860,
    hoursPerWeek: 82,
    overhauls: [
      {
        hours: 4920,
        on: '2025-03-11',
        complaint: 'Planned',
        wear: {
          general: 0.38,
          checks: { 'bush-clearance': 0.5, 'bush-bore': 0.55 },
          figures: {
            'seal-faces rotating-face': 'wide 1 from 4:00 to 9:30',
            'impeller impeller': 'worn 1 at 2:00, drive end side',
          },
        },
      },
    ],
  },
  {
    tag: 'P-214B',
    name: 'Raw-juice pump',
    area: 'beet',
    line: 'line 2',
    variants: { faces: 'carbon', flush: 'water' },
    hoursRun: 11240,
    hoursPerWeek: 82,
    overhauls: [
      {
        hours: 3060,
        on: '2024-04-02',
        complaint: 'Planned',
        wear: { general: 0.3, checks: { 'bush-bore': 0.62, 'sleeve-journal': 0.4 } },
      },
      {
        hours: 6060,
        on: '2025-04-08',
        complaint: 'Juice at the drain of the gland plate',
        wear: {
          general: 0.45,
          checks: { 'bush-bore': 1.1, 'sleeve-journal': 0.5 },
          renewed: ['throttle-bush'],
          figures: { 'seal-faces stationary-seat': 'coke 1', 'sleeve sleeve': 'fretted 1, under the sleeve ring' },
        },
        cause: 'Throttle bush worn; clear water did not hold the juice back',
      },
      {
        hours: 11240,
        on: '2026-11-16',
        complaint: 'Seal weeps since the last washing',
        signs: ['weeps'],
        stood: 'Wet under the drive end, dry at the other',
        wear: { general: 0.5, checks: { 'bush-bore': 1.25, 'sleeve-journal': 0.7, 'journal-de': 0.85, 'float': 0.5 } },
        until: 'rotor-out',
      },
    ],
  },
  {
    tag: 'P-215',
    name: 'Cossette water pump',
    area: 'beet',
    line: 'diffuser',
    variants: { faces: 'hard', flush: 'water' },
    hoursRun: 5210,
    hoursPerWeek: 70,
    overhauls: [{ hours: 1200, on: '2025-05-20', complaint: 'Planned', wear: { general: 0.22 } }],
  },
  {
    tag: 'P-221',
    name: 'Press water pump',
    area: 'beet',
    line: 'presses',
    variants: { faces: 'hard', flush: 'none' },
    hoursRun: 13020,
    hoursPerWeek: 90,
    overhauls: [
      {
        hours: 6480,
        on: '2025-06-03',
        complaint: 'Noise at the non-drive end',
        wear: { general: 0.55, checks: { 'journal-nde': 0.88, 'lift-nde': 0.7 } },
        cause: 'Ring crept on the non-drive end journal',
      },
    ],
  },
  {
    tag: 'P-310',
    name: 'Limed-juice pump',
    area: 'juice',
    line: 'main liming',
    variants: { faces: 'hard', flush: 'water' },
    hoursRun: 14700,
    hoursPerWeek: 96,
    overhauls: [
      { hours: 7100, on: '2025-02-18', complaint: 'Planned', wear: { general: 0.5, checks: { 'ring-bore': 0.55 } } },
      {
        hours: 14700,
        on: '2026-11-18',
        complaint: 'Head down by a fifth, motor current low',
        wear: { general: 0.6, checks: { 'ring-bore': 1.2, 'impeller-eye': 0.7 } },
        until: 'decide',
      },
    ],
  },
  {
    tag: 'P-311',
    name: 'Limed-juice pump',
    area: 'juice',
    line: 'standby',
    variants: { faces: 'hard', flush: 'water' },
    hoursRun: 6900,
    hoursPerWeek: 30,
    overhauls: [{ hours: 3100, on: '2025-02-25', complaint: 'Planned', wear: { general: 0.42 } }],
  },
  {
    tag: 'P-324',
    name: 'First carbonation pump',
    area: 'juice',
    line: 'carbonation',
    variants: { faces: 'hard', flush: 'water' },
    hoursRun: 8240,
    hoursPerWeek: 88,
    overhauls: [
      { hours: 900, on: '2025-01-28', complaint: 'Planned', wear: { general: 0.48, checks: { runout: 0.86 } } },
    ],
  },
  {
    tag: 'P-325',
    name: 'Mud pump',
    area: 'juice',
    line: 'thickeners',
    variants: { faces: 'hard', flush: 'water' },
    hoursRun: 10350,
    hoursPerWeek: 88,
    overhauls: [
      {
        hours: 4470,
        on: '2025-07-01',
        complaint: 'Seal failed in the campaign',
        wear: { general: 0.66, checks: { 'ring-bore': 1.1 }, renewed: ['wear-ring@de', 'springs'] },
        cause: 'Springs stuck in dried lime',
      },
    ],
  },
  {
    tag: 'P-410',
    name: 'Thin-juice pump',
    area: 'evaporation',
    line: 'first effect',
    variants: { faces: 'carbon', flush: 'none' },
    hoursRun: 7420,
    hoursPerWeek: 84,
    overhauls: [{ hours: 2950, on: '2025-03-25', complaint: 'Planned', wear: { general: 0.35 } }],
  },
  {
    tag: 'P-411',
    name: 'Thin-juice pump',
    area: 'evaporation',
    line: 'standby',
    variants: { faces: 'carbon', flush: 'none' },
    hoursRun: 2120,
    hoursPerWeek: 22,
    overhauls: [],
  },
  {
    tag: 'P-440',
    name: 'Condensate pump',
    area: 'evaporation',
    line: 'fourth effect',
    variants: { faces: 'carbon', flush: 'none' },
    hoursRun: 12880,
    hoursPerWeek: 92,
    overhauls: [
      { hours: 6010, on: '2025-04-15', complaint: 'Planned', wear: { general: 0.3, checks: { float: 0.6 } } },
    ],
  },
  {
    tag: 'P-530',
    name: 'Wash-syrup pump',
    area: 'sugar',
    line: 'centrifugals',
    variants: { faces: 'hard', flush: 'water' },
    hoursRun: 4480,
    hoursPerWeek: 64,
    overhauls: [{ hours: 250, on: '2025-06-24', complaint: 'Planned', wear: { general: 0.25 } }],
  },
  {
    tag: 'P-531',
    name: 'Wash-syrup pump',
    area: 'sugar',
    line: 'centrifugals',
    variants: { faces: 'hard', flush: 'water' },
    hoursRun: 8010,
    hoursPerWeek: 64,
    overhauls: [
      { hours: 3300, on: '2025-06-17', complaint: 'Planned', wear: { general: 0.4, checks: { 'journal-de': 0.97 } } },
    ],
  },
]
