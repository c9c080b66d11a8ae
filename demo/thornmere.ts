import type { Competence, Role, Said } from '../core/job/index.ts'
import type { Duration, Variants } from '../core/sheet/index.ts'
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
      { by: 'certified', of: 'fuel gas', until: '2028-01-31' },
      { by: 'competent', of: 'relief valves', until: '2027-12-31' },
      { by: 'competent', of: 'electrical leads', until: '2028-05-31' },
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
  { id: 'drier', name: 'Pulp drier' },
  { id: 'lime', name: 'Lime house' },
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

export { FLEET } from './fleet/index.ts'
