import type { Pattern } from '../joints/patterns.ts'
import type { CodeSetName, FindingCode } from '../looks/codes.ts'
import type { UnitName } from '../quantity/index.ts'
import type { BenchKind } from '../sums/bench/index.ts'
import type { Limits, Verdict } from '../verdict.ts'
import type { Listed } from './expand.ts'

/**
 * The name of an item, as others of the sheet refer to it.
 * @pattern ^[A-Za-z0-9][A-Za-z0-9_-]*$
 * @maxLength 60
 */
export type Id = string

/**
 * What people read.
 * @minLength 1
 * @maxLength 2000
 */
export type Words = string

/**
 * A time to wait: `10 min`, `1.5 h`, `2 d`.
 * @pattern ^\d+(\.\d+)? (min|h|d)$
 * @maxLength 12
 */
export type Duration = string

/**
 * Counts from one.
 * @asType integer
 * @minimum 1
 * @maximum 1000
 */
export type Count = number

/** A build sheet: what ought to be. Data only; `../../library` holds one file a machine family. */
export interface Sheet {
  id: Id
  version: Count
  family: Words
  title: Words
  /** Said on every record made with this sheet. */
  notice: Words
  /** The two named ends, as the section is drawn: left and right. */
  ends: { left: Words; right: Words }
  /** It stands: its left end is its top, and it is drawn standing where there is room. */
  upright?: boolean
  /** Shaft lines, drawn one under the other; one where it is left out. */
  lines?: { id: Id; name: Words }[]
  axes: Axis[]
  assemblies: Assembly[]
  parts: Part[]
  mates: Mate[]
  checks: Check[]
  /** What is looked at by eye, part by part. */
  looks?: Look[]
  joints: Joint[]
  steps: Step[]
  loops?: Loop[]
  sets?: PartSet[]
  kits: Kit[]
  service: Service
  /** What is often reported of such a machine. */
  complaints?: Complaint[]
  /** What such a machine fails of. */
  causes?: FailureCause[]
}

/** Said where none of a sheet's causes fits: no cause is called so. */
export const NO_CAUSES = ['other', 'not found'] as const
export type NoCause = (typeof NO_CAUSES)[number]

/** Why such a machine fails: what speaks for it and against it is weighed, and a person says which it was. */
export interface FailureCause {
  id: Id
  say: Words
  /** What is done about it before the machine runs again. */
  advice: Words
  /** @minItems 1 */
  signs: CauseSign[]
  when?: When
}

/** Something that speaks for a cause: a complaint, what was read or answered, or what was found by eye; one of these. */
export interface CauseSign {
  /** A complaint that was reported as the job was opened. */
  reported?: Id
  check?: Id
  /** The answers of the check that are meant. */
  answers?: Words[]
  /** The side of its limits on which the check has come near them, or out. */
  side?: 'low' | 'high'
  look?: Id
  /** The findings of the look that are meant. */
  codes?: Id[]
  /** How bad they are at the least, from 1. */
  grade?: 2 | 3
  /** The parts of the look that are meant, where those are not all. */
  of?: Ref[]
  /** The check holds, or the look found nothing. */
  clean?: boolean
  /** How much it speaks for the cause; below nothing, against it. */
  weighs: number
}

/** A sign that such a machine is sent in with: what is looked at first for it, and it is answered at the end. */
export interface Complaint {
  id: Id
  say: Words
  /** What may be behind it. */
  look: LookInto
  when?: When
}

/** How often it is overhauled: whichever comes first. */
export interface Service {
  hours: number
  months: number
  /** What is done to it between overhauls. */
  also?: InterimService[]
}

/** How often something is done: whichever comes first of what is said. */
export interface Interval {
  hours?: number
  months?: number
  /** By use: so many `of` something that is counted, such as starts or lifts. */
  uses?: { every: number; of: Words }
}

/** Something that has an interval of its own, such as a change of oil or a yearly examination. */
export interface InterimService extends Interval {
  id: Id
  /** As it is said once it is done: `oil changed`. */
  name: Words
  /** The step of an overhaul that does it as well. Without one an overhaul does not count for it. */
  step?: Id
  /** Who may do it, where not everybody may. */
  doer?: Pick<Doer, 'by' | 'of'>
  when?: When
}

/** An item whose values may still hang on an axis: only its name can be relied on. */
export interface Unsettled {
  id: Id
  when?: When
}

/**
 * A sheet as it lies on the shelf: written out, its values still by axis. What is said and shown is read from a
 * {@link Sheet}, which `planFor` settles for one machine.
 */
export interface ShelfSheet extends Pick<
  Sheet,
  'id' | 'version' | 'family' | 'title' | 'notice' | 'ends' | 'upright' | 'lines' | 'axes'
> {
  assemblies: Unsettled[]
  parts: Unsettled[]
  mates: Unsettled[]
  checks: (Unsettled & Pick<Check, 'kind'>)[]
  looks?: Unsettled[]
  complaints?: Unsettled[]
  causes?: Unsettled[]
  joints: Unsettled[]
  steps: Unsettled[]
  loops?: Unsettled[]
  sets?: Unsettled[]
  kits: Unsettled[]
  service: unknown
}

/** An item as it is written, before anything is known of it but its name and what it is written out for. */
export interface Outline {
  id: Words
  each?: string | string[]
  when?: When
  [word: string]: unknown
}

/** What has to be right before a sheet can be written out. The rest is looked at once it is. */
export interface SheetFrame extends Pick<
  Sheet,
  'id' | 'version' | 'family' | 'title' | 'notice' | 'ends' | 'upright' | 'lines' | 'axes'
> {
  lists?: Record<string, Listed[]>
  service: unknown
  assemblies: Outline[]
  parts: Outline[]
  mates: Outline[]
  checks: Outline[]
  looks?: Outline[]
  complaints?: Outline[]
  causes?: Outline[]
  joints: Outline[]
  steps: Outline[]
  loops?: Outline[]
  sets?: Outline[]
  kits: Outline[]
}

/** A value as a sheet may write it: plain, or by an axis or by the list it is written out for. */
type Varied<T> = T | { by: string; of: Record<string, T> }
type Written<T> = T extends string | number | boolean
  ? Varied<T> | string
  : T extends readonly (infer E)[]
    ? Varied<Written<E>[]>
    : T extends object
      ? Varied<{ [K in keyof T]: Written<T[K]> }>
      : T
type Each<T> = Written<T> & { each?: string | string[] }

/** Places as a sheet may write them: one by one, for each of a list, or by their number. */
export type WrittenPlaces =
  | Written<Place>[]
  | (Partial<Written<Place>> & { each: string })
  | (Partial<Written<Place>> & { count: number; name: string })

/** Places of a check, or rows of its sum, as a sheet may write them: for each of a list, or by their number. */
export type WrittenRows = ({ each: string } | { count: number }) & { name: string; [fixed: string]: unknown }

/**
 * A sheet as it is written: items may be said for each of a list, values by an axis, references as all of a kind. What the
 * rest of the house reads is a {@link Sheet}, written out and settled for one machine.
 */
export interface SheetSource extends Pick<
  Sheet,
  'id' | 'version' | 'family' | 'title' | 'notice' | 'ends' | 'upright' | 'lines' | 'axes'
> {
  lists?: Record<string, Listed[]>
  service: Written<Sheet['service']>
  assemblies: Each<Assembly>[]
  parts: (Omit<Each<Part>, 'places'> & { places?: WrittenPlaces })[]
  mates: Each<Mate>[]
  checks: (Omit<Each<Check>, 'stations' | 'sum'> & {
    stations?: Written<(string | CheckPlace)[]> | WrittenRows
    sum?: Written<Omit<SumOf, 'rows'>> & {
      rows?: Record<string, Written<NonNullable<SumOf['rows']>[string]> | WrittenRows>
    }
  })[]
  looks?: Each<Look>[]
  complaints?: Each<Complaint>[]
  causes?: Each<FailureCause>[]
  joints: Each<Joint>[]
  /** With `inTurn`, those one after another are all done for one of the list, then all for the next, in this order. */
  steps: (Each<Step> & { inTurn?: string[] })[]
  loops?: Each<Loop>[]
  sets?: Each<PartSet>[]
  kits: Each<Kit>[]
}

/** A way in which machines of one family differ. */
export interface Axis {
  id: Id
  title: Words
  /** @minItems 1 */
  choices: { id: Id; title: Words }[]
  /** Not known of the machine, but decided on the job: until then it has no value, and what hangs on it waits. */
  decided?: {
    /** The step that cannot be confirmed without it. */
    step: string
    ask: string
    by?: 'lead'
    /** By how a check stands, or by what was answered. The first that fits is proposed; a person decides. */
    proposes?: { check: string; verdict?: Verdict; say?: string; choice: string }[]
    /** Proposed once all those checks are read and none fits. */
    else?: string
  }
}

/** Holds when every named axis has one of the choices. */
export type When = Record<string, string | string[]>

export interface Assembly {
  id: Id
  name: Words
  datum: Datum
  seenFrom: string
}

/** What angles of an assembly are taken from: a feature that nobody mistakes, and where on the clock it stands. */
export interface Datum {
  what: Words
  /**
   * In hours, as seen from where the assembly is looked at; 12 is the top.
   * @minimum 0
   * @maximum 12
   */
  at: number
  /** The part that it is a feature of: what is marked to the datum is marked to that. */
  on?: Ref
}

/** `part`, or `part@place` where the part has several places. */
export type Ref = string

export const STATIONS = ['make-safe', 'as-found', 'strip', 'clean', 'inspect', 'decide', 'build', 'prove'] as const
export type Station = (typeof STATIONS)[number]

/** What a part is, for its drawing. `ring` and `fastener` are for what is none of the others. */
export type PartKind =
  | 'shaft'
  | 'housing'
  | 'ring'
  | 'face'
  | 'soft ring'
  | 'lip seal'
  | 'snap ring'
  | 'gear'
  | 'piston'
  | 'rod'
  | 'plate'
  | 'valve'
  | 'brush'
  | 'winding'
  | 'screw'
  | 'nut'
  | 'element'
  | 'connection'
  | 'hook'
  | 'disc'
  | 'sleeve'
  | 'bearing'
  | 'spring'
  | 'fastener'
  | 'gasket'
  | 'key'
  | 'impeller'
  | 'pipe'

/** Schematic extent along the axis, mm; `side` is the half the part sits on. */
export interface Geometry {
  from: number
  to: number
  bore: number
  outside: number
  side?: 'both' | 'upper' | 'lower'
  /** The shaft line it sits on; the first where it is left out. */
  line?: string
}

export interface Place {
  id: Id
  name: Words
  geometry?: Geometry
  when?: When
}

export interface Part {
  id: Id
  /** Item number on the sheet's own drawing. */
  item: Count
  name: Words
  kind: PartKind
  assembly: string
  /** Of a bearing: what rolls in it; balls where it is left out, none in a plain one. */
  rolls?: 'balls' | 'rollers' | 'none'
  quantity?: Count
  places?: Place[]
  geometry?: Geometry
  /** Pieces of it that are drawn as what they are: the wheel that is one with its shaft, the pinion cut into it. */
  oneWith?: { kind: PartKind; geometry: Geometry }[]
  renewal: 'always' | 'on condition' | 'life'
  /** Why an always-new part is never put back. */
  renewalWhy?: string
  kit?: string
  stock?: string
  /** Parts of one group look alike and are kept apart. */
  lookalike?: string
  /** Small parts that may share a bag; what comes off in one step, where nothing is said. */
  bagGroup?: string
  /** The part it comes along with when that lifts, until it is taken off itself. */
  liftsWith?: Ref
  massKg?: number
  /**
   * How it is kept when off: small parts are bagged, the rest tagged or laid out. What is always new may be kept, under a tag,
   * as the pattern that the new one is compared with.
   */
  keep: 'bag' | 'tag' | 'lay' | 'pattern'
  faces?: { face: string; medium: string }[]
  /** What comes of it in the place of another of its kind. */
  ifSwapped?: string
  /**
   * Of a connection: where its ends go. The label at each end is written down before it comes off, and read again as it goes
   * back; it is not bagged, and nobody decides it.
   * @minItems 1
   */
  joins?: Join[]
  /** Of a connection: its open ends are capped while it is off, and the caps are counted out before it goes back. */
  capped?: boolean
  /** Of a sub-assembly: it may go to a bench of its own while it is off, by a sheet of its own. */
  bench?: OwnBench
  when?: When
}

/** The sheet a sub-assembly is overhauled by, in a job of its own. */
export interface OwnBench {
  sheet: Id
  /** Which of that sheet's choices it is built by; the first of each where they are left out. */
  variants?: Variants
}

/** Where one end of a wire, hose, pipe or sensor goes. */
export interface Join {
  to: Ref
  /** As it is said on the bench: `terminal board`. */
  at: Words
  /** How its label is written: `T3`, `red 7`, `upper port`. */
  example: Words
}

/** Parts that wore to each other, and are renewed together. */
export interface PartSet {
  id: Id
  of: Ref[]
  /** What comes of a new one beside an old one. */
  why: Words
  when?: When
}

export interface Mate {
  id: Id
  title: Words
  /** A part, or the datum of an assembly by its name: `@still`. */
  a: Ref
  b: Ref
  rule: MateRule
  carriedBy: 'mark' | 'pin' | 'key' | 'shape'
  mark?: MateMark
  /** The step at which it can be seen how they stand, where that is later than the second part going on. */
  asked?: string
  /** The step that it must stop at the latest when it is not met, where that cannot be worked out. */
  before?: string
  ifWrong: string
  when?: When
}

/** A mark that is made before the parts part, or that the maker put there. */
export interface MateMark {
  method: string
  on: string
  seenFrom: string
  /** The datum that a distance is taken from. */
  from?: string
  /** Put there by the maker, on the parts for good: nobody makes it, its angle is taken from the top of the machine. */
  stamped?: boolean
  lost?: MayGiveUp
}

/**
 * How two parts must stand to each other. `aligned`, `distance`, `label` and `dots` are held against the mark that was made; `seen`
 * asks for what is seen and knows which answer meets; `free` says that any way will do, so that silence never means it.
 * @discriminator kind
 */
export type MateRule =
  | { kind: 'aligned'; deg?: number; toleranceDeg?: number; symmetry?: number }
  | { kind: 'distance'; toleranceMm: number; span: [number, number] }
  /**
   * What is read where they meet: tooth numbers, a port, a colour. The example shows how it is written. Of tooth numbers the
   * last two are neighbours on a wheel of so many teeth.
   */
  | { kind: 'label'; ask: string; example: string; teeth?: Count }
  /** Punch dots beside the joint, as many on the one side as on the other, and on no two alike the same number. */
  | { kind: 'dots' }
  | { kind: 'seen'; ask: string; choices: { say: string; met: boolean }[] }
  /** Where two parts sat to each other, so that what is found on them is told by the hour; nobody puts them back by it. */
  | { kind: 'index' }
  | { kind: 'free'; why: string }

/** Who may say, in writing, that something is left out or cannot be had; nobody where it is not said. */
export type MayGiveUp = 'fitter' | 'lead'

export const MOMENTS = ['asFound', 'inspect', 'build', 'asLeft'] as const
export type Moment = (typeof MOMENTS)[number]

/** A way of measuring, or a sum of the Gauge room. */
export type CheckKind = BenchKind | 'sum'

/** What becomes of a part that is off. */
export const DECISIONS = ['reuse', 'rework', 'renew', 'send out'] as const
export type Decision = (typeof DECISIONS)[number]

/** An answer to a check that no gauge reads, and what it says of the machine. */
export interface AskedChoice {
  say: string
  verdict: Exclude<Verdict, 'Open'>
  /** What it does to the machine, or what it points to. */
  means?: string
  /** What is proposed for the part it is seen on; as the check says where it is left out. */
  proposes?: Decision
}

/** A value that a sheet fixes of a sum, in the unit of its field. */
export type Fixed = number | string | boolean | (number | string)[]

/** A sum of the Gauge room as a check: what the sheet fixes of it is shown, the rest is read at the bench. */
export interface SumOf {
  /** As it is asked for in the Gauge room. */
  name: Words
  /** Fields the sheet fixes. The check's own `limits` go to the fields that take the maker's. */
  given?: Record<string, Fixed | Record<string, Fixed>[]>
  /** Rows of a table, each by its name and with what is fixed of it; of a list of figures, their places. What one tells of alone: `of`. */
  rows?: Record<string, (CheckPlace & Record<string, Fixed>)[]>
  /**
   * Fields that others give: `check@moment.figure`, or `mass@step` for all that a step moves; at `last` as the last job left
   * it. The figure may be a place of the check; `*` gives a list all of them.
   */
  from?: Record<string, string>
  /** Fields that may be left out, and are asked for here. */
  also?: string[]
  /** The figure that stands for it in lists, and is looked at over the years; none where what it comes to is no figure. */
  trend?: string
}

/** Where a check is read: a station along a shaft, or one of several parts. */
export interface CheckPlace {
  name: Words
  /** The parts it tells of, where those are not all that the check tells of. */
  of?: Ref[]
  /** What it is read for, where it is not always there. */
  when?: When
}

export interface Check {
  id: Id
  title: Words
  kind: CheckKind
  /** The parts it tells of, the first one foremost: once one of them is renewed, an older reading is history. */
  of: Ref[]
  stations?: CheckPlace[]
  planes?: string[]
  /** Number of tries wanted in every place; one when left out. */
  tries?: Count
  /** Readings round the turn at each station. */
  sweep?: Count
  unit: UnitName
  /**
   * @asType integer
   * @minimum 0
   * @maximum 6
   */
  decimals: number
  /** Believable span in the base unit. */
  span: [number, number]
  limits: Limits
  /** Why nothing limits it. */
  noLimits?: string
  /** Where the limits come from, in words. */
  source: string
  at: CheckMoment[]
  /** What being under or over does to the machine. */
  low?: string
  high?: string
  instrument: string
  /** How alike its places are: least to greatest no more than this share of their mean apart, and what comes of it when they are not. */
  alike?: { within: number; why: Words }
  /** For a clearance: the checks that give the outer and inner part. */
  between?: { outer: string; inner: string }
  fit?: { nominalMm: number; hole: string; shaft: string }
  /** Asked, not read: the question, and its answers with their verdicts. A reading of it is the number of the answer. */
  ask?: string
  choices?: AskedChoice[]
  /** Worked out by a sum of the Gauge room. */
  sum?: SumOf
  /** Read row by row while the machine turns. */
  run?: Run
  /** Looked at for wear over the years. */
  life?: boolean
  /** A short word on how it is taken. */
  how?: string
  /** What puts it right where it is, without taking anything apart: then it is measured again. */
  remedies?: Words[]
  /** Which way wear changes it: a figure that has gone the other way is asked about before it is kept. */
  wears?: 'up' | 'down'
  /** A check that this one never reads less than at the same moment: a bearing is not colder than the air round it. */
  above?: Id
  /** What is proposed for a part that it finds out, where that is not a new one. */
  proposes?: Decision
  /** Read on the running machine, before it is made safe. */
  running?: boolean
  /**
   * What can be read once, of what is scrapped or cleaned next: worn rings, oil, dirt. What it says feeds causes and choices;
   * being out of it stops nothing, and proposes nothing.
   */
  evidence?: boolean
  /** The step that it must stop at the latest when it is out, where that cannot be worked out. */
  before?: string
  lost?: MayGiveUp
  when?: When
}

/** Evidence by eye: each of its parts is looked at by itself, and what is found is told by codes. */
export interface Look {
  id: Id
  title: Words
  /**
   * What is looked at, part by part.
   * @minItems 1
   */
  of: Ref[]
  /** The sort of surface: what may be found on it. */
  codes: CodeSetName
  /** What may be found on it besides. */
  also?: FindingCode[]
  /** Where it is told to be: nowhere in particular, by the hour, or by one of the zones. */
  on: 'whole' | 'dial' | 'zones'
  zones?: Words[]
  /** The faces it has, where it is to be said on which. */
  faces?: Words[]
  /** The step that is not done before it is looked at. */
  step: string
  /** How it is looked at: wiped dry, lamp from the side. */
  how?: Words
  /** The step that takes away what could be seen: it is cleaned, scrapped or let go. */
  gone?: string
  lost?: MayGiveUp
  when?: When
}

/** A run: how long it lasts each way, how often it is read, and what. */
export interface Run {
  for: Duration
  every: Duration
  /** The ways it turns, one after the other; one where they are left out. */
  ways?: Words[]
  /** @minItems 1 */
  columns: RunColumn[]
}

/** One thing that is read in every row of a run. Limits, rates and spans are in the base unit of its kind. */
export interface RunColumn {
  id: Id
  name: Words
  unit: UnitName
  /**
   * @asType integer
   * @minimum 0
   * @maximum 6
   */
  decimals: number
  span: [number, number]
  limits?: Limits
  /** Held against how far it lies over another column in the same row, too: a bearing over the air round it. */
  rise?: { over: Id; max: number }
  /** Steady when it changes no faster than this an hour, over the last half hour where no other time is said; until then the run goes on. */
  steady?: { perHour: number; over?: Duration }
  low?: string
  high?: string
  /** The parts it tells of, where those are not all that the check tells of. */
  of?: Ref[]
}

export interface CheckMoment {
  moment: Moment
  step: string
  /** Only owed once one of its parts has been renewed. */
  renewed?: boolean
  /** Other limits at this moment: what may run on need not be good enough to build. */
  limits?: Limits
}

/**
 * Where the bolts of a joint are.
 * @discriminator kind
 */
export type JointLayout =
  { kind: 'circle'; bolts: Count; diameterMm: number; startDeg?: number } | { kind: 'line'; points: [number, number][] }

export interface Joint {
  id: Id
  title: Words
  layout: JointLayout
  thread: string
  hand: 'right' | 'left'
  class: string
  lubricant: string
  /** By torque: N·m, the permitted share either side of it, and shares of it pass by pass, the last one 1. */
  targetNm?: number
  toleranceShare?: number
  passes?: number[]
  /** After the last pass by torque, which makes it snug: degrees that each is turned further. */
  turn?: { deg: number; toleranceDeg: number }
  /** Where no wrench tells: drawn up until it is felt to be so. */
  felt?: { ask: string; choices: { say: string; met: boolean }[] }
  /** Passes that are done when it is nipped; the others when it is drawn up for good. */
  nip?: Count
  pattern: Pattern
  allowed?: Pattern[]
  /** Slackened in an order, too, and what comes of any other. */
  slacken?: { order: Pattern | 'backwards'; how: string; why: string }
  locking?: Locking
  seenFrom: string
  why: string
  when?: When
}

/** What keeps a joint from coming loose: asked once it is drawn up, what goes in is always new. */
export interface Locking {
  ask: string
  choices: { say: string; met: boolean }[]
  /** New ones that go in, and how many: split pins, tab washers, a wire. */
  newPieces?: { what: string; pieces: Count }
  /** What comes of a joint that is not locked so. */
  ifWrong: string
}

export interface Caution {
  word: Words
  text: Words
}

export interface Step {
  id: Id
  station: Station
  title: Words
  text?: string
  /** How the machine lies as it is done, where that is not as it stands: on its side, upside down, on a trestle. Angles are not turned with it. */
  lies?: Words
  /** Steps that come before; `loop fit-up` for a loop that has come out good. */
  needs?: string[]
  /** Steps that what it puts on lies over: all of them, where the orders of taking off and of building up do not tell. */
  over?: string[]
  /** Loops that must have come out good; said by `needs`. */
  after?: string[]
  removes?: Ref[]
  fits?: Ref[]
  /** Put on for now, and taken off again before the loop is over: nothing new, no gasket, no locking. */
  trial?: { on?: Ref[]; off?: Ref[] }
  cautions?: Caution[]
  tools?: string[]
  /** Ways to free what is stuck, or to bring home what will not go on; gentlest first. */
  ladder?: string[]
  /** What may go wrong here, by its sign; likeliest causes first where nothing is known. */
  troubles?: Trouble[]
  /** Mates marked before this step is confirmed. */
  marks?: string[]
  /** Readings that are gone once this step is done. */
  destroys?: { check: string; moment: Moment }[]
  joint?: { id: string; act: 'slacken' | 'nip' | 'pull' }
  /** Something that takes its time by itself, before the step is done; steps beside it go on. */
  wait?: Wait
  lubricants?: Lubrication[]
  /** Debts this step leaves: something loose, parked or put in for the time being, until a later step. */
  leaves?: Debt[]
  /**
   * What is looked at in passing and written down; the words are offered, others may be typed. One that is `suspect` came
   * off something, and it is asked what that was before the parts are decided.
   */
  found?: { ask: string; words: string[]; suspect?: string[] }
  /** What it failed of is said here, of the sheet's causes. */
  saysCause?: boolean
  /** Short facts that are read off the machine here, kept with it, and confirmed the next time. */
  keeps?: Fact[]
  /** Who may do it, where not everybody may. */
  doer?: Doer
  /** A second pair of eyes signs here. */
  hold?: Hold
  /** A gate: what is shut by this step, by its name, or the case. Everything owed behind it must be settled. */
  closes?: boolean | string
  /** What this step does to all that is in by then: nothing wrong may be among it. */
  loads?: Load
  /** It starts the machine, which is not started over anything that is wrong; or the motor alone, which waits for what it needs. */
  starts?: Start
  /** Checks that this step puts right: being out of one of them never stops it. */
  mends?: string[]
  /** Figures worked out before it that whoever does it goes by, as a sum takes them: `setting@build.stops`. */
  shows?: string[]
  /** What comes of it when a step that needs this one is gone to before it. */
  ifEarly?: string
  skip?: MayGiveUp
  when?: When
}

/** What a machine says of itself: a serial on its plate, a setting, a batch. */
export interface Fact {
  id: Id
  name: Words
  /** Where it stands, and what is wanted of it. */
  ask: Words
  /** How it is written. */
  example: Words
}

/** What stands for hours or minutes: in an oven, in a bath, under pressure, until two parts are of one temperature. */
export interface Wait {
  /** What waits, and where: `armature in the oven`. */
  what: Words
  /** For how long, at the shortest and at the longest; one of them is there. */
  least?: Duration
  most?: Duration
  /** Checks of this step that are read, and not out, before it is begun: a temperature, a strength. */
  once?: string[]
}

export const LOADS = ['turns', 'lifts', 'jacks'] as const
export type Load = (typeof LOADS)[number]

export const STARTS = ['motor alone', 'machine'] as const
export type Start = (typeof STARTS)[number]

export const SIGNERS = ['lead', 'certified', 'competent'] as const
export type Signer = (typeof SIGNERS)[number]

/** Who may do a step: by role, or on a paper that stands on the person. */
export interface Doer {
  by: Signer
  /** What one is certified or competent for. */
  of?: string
  /** Others may do it under their eyes, and they confirm it. */
  supervised?: boolean
}

/** Who signs for work that others did: never one of them. */
export interface Hold {
  /** Steps whose work is signed for; its own where they are left out. */
  covers?: string[]
  /** A certificate, or an appointment as a competent person, stands on the person and may run out. */
  by: Signer
  /** What one is certified or competent for. */
  of?: string
}

/** What goes on a face as it is fitted; `dry` is an answer like another. */
export interface Lubrication {
  on: string
  /** What goes on it, and nothing else. */
  medium?: string
  /** What must not; anything else will do. */
  never?: string
  /** What the wrong thing does to it. */
  why: string
}

/** What a sign has one look at, by name. */
export interface LookInto {
  steps?: string[]
  mates?: string[]
  checks?: string[]
  looks?: string[]
}

/** One cause of a sign that something is wrong, and what to look at again. */
export interface Trouble {
  sign: string
  means: string
  look: LookInto
}

/** Steps gone through again, round after round, until their checks hold: a fit-up, a scrape. */
export interface Loop {
  id: Id
  title: Words
  steps: string[]
  until: string[]
  /** What may be changed between two rounds, and the readings that are void by it. */
  changes: { say: string; voids: string[] }[]
  when?: When
}

/** Something loose, parked or put in for the time being. Pieces are counted in here, and out at the step that pays it. */
export interface Debt {
  id: Id
  what: string
  until: string
  pieces?: Count
  when?: When
}

export interface Kit {
  id: Id
  name: Words
  stock: string
}

export type Variants = Record<string, string>
