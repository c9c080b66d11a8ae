import type { AnySum } from '../sums/define.ts'
import { stepsBefore, type StepsBefore } from './before.ts'
import { settledFor } from './expand.ts'
import type {
  Check,
  CheckPlace,
  FailureCause,
  Geometry,
  Joint,
  Look,
  Loop,
  Mate,
  Moment,
  Part,
  Place,
  Ref,
  Sheet,
  ShelfSheet,
  Step,
  SumOf,
  LookInto,
  Variants,
} from './types.ts'

/** A part in one of its places. */
export interface PartPlace {
  ref: Ref
  part: Part
  place: Place
  name: string
  geometry?: Geometry
}

/**
 * A build sheet settled for one machine: variants chosen, everything findable by name, and what hangs on what worked out once.
 */
export interface Plan {
  /** The sheet as it lies on the shelf, for every machine. */
  source: ShelfSheet
  /** Everything the sheet has, settled for this machine, with what it leaves out: for the names of that. */
  whole: Sheet
  /** What this machine is and goes through. */
  sheet: Sheet
  variants: Variants
  parts: Map<Ref, PartPlace>
  mates: Map<string, Mate>
  checks: Map<string, Check>
  looks: Map<string, Look>
  joints: Map<string, Joint>
  /** What comes along with a part, one step deep. */
  along: Map<Ref, Ref[]>
  steps: Map<string, Step>
  /** Number of a step, through all stations, from 1. */
  stepNumber: Map<string, number>
  removedBy: Map<Ref, Step>
  fittedBy: Map<Ref, Step>
  /** Checks taken at a step. */
  checksAt: Map<string, { check: Check; moment: Moment }[]>
  /** The step after which a reading cannot be had any more, by check and moment. */
  destroyedBy: Map<string, Step>
  /** Mates a part takes part in, asked when it is fitted back. */
  matesOf: Map<Ref, Mate[]>
  /** Sides of a mate that must be there for it to be seen: what goes in later is built up on the bench by then. */
  sidesOf: Map<string, Ref[]>
  /** The steps that shut something, in order, each with every step that must come before it. */
  gates: PlanGate[]
  loops: Map<string, Loop>
  /** The loop a step is gone through in. */
  loopOf: Map<string, Loop>
  /** Sums at hand for checks that are worked out. */
  sums: Sums
}

/** A step that shuts something for good: what is owed behind it keeps it from being done. */
export interface PlanGate {
  step: Step
  /** What it shuts. */
  name: string
  before: StepsBefore
}

/** The first gate that lies at or after a step; null where only the hand-back does. */
export const gateAfter = ({ gates }: Pick<Plan, 'gates'>, step: string | null | undefined): PlanGate | null =>
  step ? (gates.find(gate => gate.step.id === step || gate.before.has(step)) ?? null) : null

export type Sums = ReadonlyMap<string, AnySum>
const NO_SUMS: Sums = new Map()

/** Every part-place of a part: its places, or itself where it has none. */
export function placesOf(part: Part): PartPlace[] {
  if (!part.places?.length)
    return [{ ref: part.id, part, place: { id: '', name: '' }, name: part.name, geometry: part.geometry }]
  return part.places.map(place => ({
    ref: `${part.id}@${place.id}`,
    part,
    place,
    name: `${part.name}, ${place.name}`,
    geometry: place.geometry ?? part.geometry,
  }))
}

/** Everything that comes along with a part, and along with that. */
export function liftedWith({ along }: Pick<Plan, 'along'>, ref: Ref): Ref[] {
  const found = new Set<Ref>()
  const walk = (one: Ref) => {
    for (const rider of along.get(one) ?? [])
      if (!found.has(rider)) {
        found.add(rider)
        walk(rider)
      }
  }
  walk(ref)
  return [...found]
}

/** The first choice of every axis, with the given choices put over it; what is decided on the job has none until then. */
export function fullVariants(sheet: Pick<ShelfSheet, 'axes'>, chosen: Variants): Variants {
  return Object.fromEntries(
    sheet.axes.flatMap(({ id, choices, decided }) => {
      const choice = chosen[id] ?? (decided ? undefined : choices[0]!.id)
      return choice === undefined ? [] : [[id, choice]]
    }),
  )
}

/** What a variant takes away, and what it leaves: a name no variant knows stays, for the examination to find. */
interface Cut {
  kept: ReadonlySet<string>
  known: ReadonlySet<string>
}
const cutOf = (kept: string[], known: string[]): Cut => ({ kept: new Set(kept), known: new Set(known) })
const stays = (id: string, { kept, known }: Cut) => kept.has(id) || !known.has(id)
/** What is left out is not stopped either. */
const stopping = <T extends { before?: string }>(one: T, steps: Cut): T =>
  one.before !== undefined && !stays(one.before, steps) ? { ...one, before: undefined } : one
/** What is looked at for a sign, without what is left out. */
const lookedAt = (look: LookInto, cut: Record<'steps' | 'mates' | 'checks' | 'looks', Cut>): LookInto => ({
  steps: look.steps?.filter(id => stays(id, cut.steps)),
  mates: look.mates?.filter(id => stays(id, cut.mates)),
  checks: look.checks?.filter(id => stays(id, cut.checks)),
  looks: look.looks?.filter(id => stays(id, cut.looks)),
})
/** A cause without the signs that are left out, and nothing of it where none is left that speaks for it. */
function causeLeft(cause: FailureCause, cut: Record<'refs' | 'checks' | 'looks' | 'complaints', Cut>): FailureCause[] {
  const isThere = (id: string | undefined, of: Cut) => id === undefined || stays(id, of)
  const signs = cause.signs
    .filter(
      one => isThere(one.check, cut.checks) && isThere(one.look, cut.looks) && isThere(one.reported, cut.complaints),
    )
    .map(one => (one.of ? { ...one, of: one.of.filter(ref => stays(ref, cut.refs)) } : one))
    .filter(one => one.of?.length !== 0)
  return signs.some(one => one.weighs > 0) ? [{ ...cause, signs }] : []
}
/** A side of a mate: a part, and for the datum of an assembly the part that carries it. What carries none stays, for the examination to find. */
const sideOf = ({ assemblies }: Sheet, side: Ref): Ref =>
  (side.startsWith('@') && assemblies.find(one => `@${one.id}` === side)?.datum.on) || side
const idsOf = (list: { id: string }[]) => list.map(one => one.id)
const refsOf = (parts: Part[]) => parts.flatMap(placesOf).map(one => one.ref)

/**
 * The sheet settled for the chosen variants: values by their axes, and everything left out whose condition
 * does not hold, references to it included. What needed a step that is left out needs what that step needed.
 */
export function resolveSheet(shelf: ShelfSheet, chosen: Variants): Sheet {
  const variants = fullVariants(shelf, chosen)
  // With what is left out: what needed that needs what it needed in turn.
  const sheet = settledFor(shelf as Sheet, variants, true)
  const all = sheet.steps
  const settled = settledFor(shelf as Sheet, variants)
  const { parts, checks, joints } = settled
  const refs = cutOf(refsOf(parts), refsOf(sheet.parts))
  const mates = settled.mates
    .map(mate => ({ ...mate, a: sideOf(settled, mate.a), b: sideOf(settled, mate.b) }))
    .filter(mate => stays(mate.a, refs) && stays(mate.b, refs))
  const cut = {
    steps: cutOf(idsOf(settled.steps), idsOf(all)),
    refs,
    checks: cutOf(idsOf(checks), idsOf(sheet.checks)),
    looks: cutOf(idsOf(settled.looks ?? []), idsOf(sheet.looks ?? [])),
    mates: cutOf(idsOf(mates), idsOf(sheet.mates)),
    complaints: cutOf(idsOf(settled.complaints ?? []), idsOf(sheet.complaints ?? [])),
    joints: cutOf(idsOf(joints), idsOf(sheet.joints)),
  }
  const loopNamed = new Map((sheet.loops ?? []).map(loop => [loop.id, loop]))
  const looped = (need: string) => (need.startsWith(LOOP) ? need.slice(LOOP.length) : undefined)
  // What needs a loop needs its steps; that it has come out good is looked at besides.
  const stepsOf = (needs: string[] | undefined): string[] =>
    // What hangs on something nobody has decided yet says nothing.
    (Array.isArray(needs) ? needs : []).flatMap(need =>
      looped(need) === undefined ? [need] : (loopNamed.get(looped(need)!)?.steps ?? [need]),
    )
  const needsOf = new Map(all.map(step => [step.id, stepsOf(step.needs)]))
  // Each step that is left out is gone through once, however many ways lead to it.
  const bridged = (ids: string[], over = new Set<string>()): string[] =>
    ids.flatMap(id => {
      if (stays(id, cut.steps)) return [id]
      if (over.has(id)) return []
      over.add(id)
      return bridged(needsOf.get(id)!, over)
    })
  return {
    ...settled,
    mates: mates.map(mate => stopping(mate, cut.steps)),
    checks: checks.map(check => ({
      ...stopping(check, cut.steps),
      ...(check.above !== undefined && !stays(check.above, cut.checks) ? { above: undefined } : {}),
      of: check.of.filter(ref => stays(ref, cut.refs)),
      ...(check.stations ? { stations: placesRead(check.stations, cut.refs) } : {}),
      ...(check.sum?.rows
        ? {
            sum: {
              ...check.sum,
              rows: Object.fromEntries(
                Object.entries(check.sum.rows).map(([field, rows]) => [field, placesRead(rows, cut.refs)!]),
              ) as NonNullable<SumOf['rows']>,
            },
          }
        : {}),
      at: check.at.filter(({ step }) => stays(step, cut.steps)),
    })),
    looks: settled.looks?.flatMap(look => {
      const of = look.of.filter(ref => stays(ref, cut.refs))
      const gone = look.gone !== undefined && !stays(look.gone, cut.steps) ? { gone: undefined } : {}
      return of.length && stays(look.step, cut.steps) ? [{ ...look, of, ...gone }] : []
    }),
    complaints: settled.complaints?.map(one => ({ ...one, look: lookedAt(one.look, cut) })),
    causes: settled.causes?.flatMap(cause => causeLeft(cause, cut)),
    loops: settled.loops?.map(loop => ({
      ...loop,
      steps: loop.steps.filter(id => stays(id, cut.steps)),
      until: loop.until.filter(id => stays(id, cut.checks)),
      changes: loop.changes.map(one => ({ ...one, voids: one.voids.filter(id => stays(id, cut.checks)) })),
    })),
    sets: settled.sets?.flatMap(set => {
      const of = set.of.filter(ref => stays(ref, cut.refs))
      return of.length > 1 ? [{ ...set, of }] : []
    }),
    steps: settled.steps.map(({ joint, ...step }) => ({
      ...step,
      ...(joint && stays(joint.id, cut.joints) ? { joint } : {}),
      needs: step.needs && [...new Set(bridged(stepsOf(step.needs)))],
      ...(step.needs?.some(looped) ? { after: step.needs.flatMap(need => looped(need) ?? []) } : {}),
      removes: step.removes?.filter(ref => stays(ref, cut.refs)),
      fits: step.fits?.filter(ref => stays(ref, cut.refs)),
      ...(step.trial
        ? {
            trial: {
              on: step.trial.on?.filter(ref => stays(ref, cut.refs)),
              off: step.trial.off?.filter(ref => stays(ref, cut.refs)),
            },
          }
        : {}),
      marks: step.marks?.filter(id => stays(id, cut.mates)),
      troubles: step.troubles
        ?.map(one => ({
          ...one,
          look: lookedAt(one.look, cut),
        }))
        .filter(one => Object.values(one.look).some(list => list?.length)),
      destroys: step.destroys?.filter(({ check }) => stays(check, cut.checks)),
      mends: step.mends?.filter(id => stays(id, cut.checks)),
      ...(step.wait?.once ? { wait: { ...step.wait, once: step.wait.once.filter(id => stays(id, cut.checks)) } } : {}),
      over: step.over?.filter(id => stays(id, cut.steps)),
    })),
  }
}

/** The sheet with every value settled and nothing left out; what is not decided yet is said by its first choice. */
export function wholeSheet(shelf: ShelfSheet, chosen: Variants): Sheet {
  const first = Object.fromEntries(shelf.axes.map(axis => [axis.id, axis.choices[0]!.id]))
  const whole = settledFor(shelf as Sheet, { ...first, ...chosen }, true)
  const nothing = cutOf([], [])
  return {
    ...whole,
    checks: whole.checks.map(one => (one.stations ? { ...one, stations: placesRead(one.stations, nothing)! } : one)),
  }
}

/** Bolts of a joint of the sheet. */
export const boltCount = ({ layout }: Joint) => (layout.kind === 'circle' ? layout.bolts : layout.points.length)

/** The step at which parts are decided: the last of its station, since what is a choice of the job is decided before. */
export const partsDecidedAt = ({ steps }: Pick<Sheet, 'steps'>): Step | undefined =>
  steps.findLast(({ station, saysCause }) => station === 'decide' && !saysCause)

/** How a step says that it needs a loop. */
const LOOP = 'loop '

/** A check at a moment, as one text for maps. */
export const readingKey = (check: string, moment: string): string => `${check} ${moment}`

/** The places of a check, written as a name alone or with the parts they tell of; those whose every part is left out are not read. */
function placesRead(places: readonly (string | CheckPlace)[] | undefined, refs: Cut): CheckPlace[] | undefined {
  return places?.flatMap((one): CheckPlace[] => {
    const place = typeof one === 'string' ? { name: one } : one
    if (!place.of) return [place]
    const of = place.of.filter(ref => stays(ref, refs))
    return of.length ? [{ ...place, of }] : []
  })
}

const byId = <T extends { id: string }>(list: T[]) => new Map(list.map(one => [one.id, one]))

/**
 * Settles a sheet for one machine. The sheet is taken as sound; see `examineSheet`. Sums come in from outside, since who
 * only lists parts and checks needs none; `sumNamesOf` tells.
 */
export function planFor(source: ShelfSheet, chosen: Variants = {}, sums: Sums = NO_SUMS): Plan {
  const sheet = resolveSheet(source, chosen)
  let whole: Sheet | undefined
  const steps = byId(sheet.steps)
  const parts = new Map(sheet.parts.flatMap(placesOf).map(one => [one.ref, one]))
  const checksAt: Plan['checksAt'] = new Map()
  for (const check of sheet.checks) {
    for (const { step, moment } of check.at) checksAt.set(step, [...(checksAt.get(step) ?? []), { check, moment }])
  }
  const matesOf: Plan['matesOf'] = new Map()
  for (const mate of sheet.mates) {
    for (const ref of [mate.a, mate.b]) matesOf.set(ref, [...(matesOf.get(ref) ?? []), mate])
  }
  const fittedBy = new Map(sheet.steps.flatMap(step => (step.fits ?? []).map(ref => [ref, step] as const)))
  const goesInLater = (ref: Ref, asked: string) => {
    const fits = fittedBy.get(ref)
    return fits !== undefined && fits.id !== asked && !stepsBefore(steps, asked).has(fits.id)
  }
  const sidesOf = new Map(
    sheet.mates.map(({ id, a, b, asked }) => [id, [a, b].filter(ref => !asked || !goesInLater(ref, asked))]),
  )
  const loops = sheet.loops ?? []
  const along: Plan['along'] = new Map()
  for (const { ref, part } of parts.values())
    if (part.liftsWith) along.set(part.liftsWith, [...(along.get(part.liftsWith) ?? []), ref])
  return {
    source,
    // Few who make a plan ask for it.
    get whole() {
      return (whole ??= wholeSheet(source, chosen))
    },
    sheet,
    variants: fullVariants(source, chosen),
    parts,
    mates: byId(sheet.mates),
    checks: byId(sheet.checks),
    looks: byId(sheet.looks ?? []),
    joints: byId(sheet.joints),
    along,
    steps,
    stepNumber: new Map(sheet.steps.map((step, i) => [step.id, i + 1])),
    removedBy: new Map(sheet.steps.flatMap(step => (step.removes ?? []).map(ref => [ref, step] as const))),
    fittedBy,
    checksAt,
    destroyedBy: new Map(
      sheet.steps.flatMap(step =>
        (step.destroys ?? []).map(({ check, moment }) => [readingKey(check, moment), step] as const),
      ),
    ),
    matesOf,
    sidesOf,
    gates: sheet.steps
      .filter(step => step.closes)
      .map(step => ({
        step,
        name: typeof step.closes === 'string' ? step.closes : 'cover',
        before: stepsBefore(steps, step.id),
      }))
      .sort((a, b) => a.before.size - b.before.size),
    loops: byId(loops),
    loopOf: new Map(loops.flatMap(loop => loop.steps.map(step => [step, loop] as const))),
    sums,
  }
}

/** What a job by this sheet may call a sum, whatever the machine: the names of the Gauge room among them are those it works out. */
export function sumNamesOf({ checks }: Pick<ShelfSheet, 'checks'>): string[] {
  const names = new Set<string>()
  const look = (value: unknown, path: readonly string[]): void => {
    if (typeof value === 'string' && path.includes('sum') && path.includes('name')) names.add(value)
    else if (typeof value === 'object' && value !== null)
      for (const [key, each] of Object.entries(value)) look(each, [...path, key])
  }
  look(checks, [])
  return [...names]
}

/** Whether it is asked how two parts stand once they are back: not where any way will do, nor where they were only indexed. */
export const isAskedBack = ({ rule }: Pick<Mate, 'rule'>): boolean => rule.kind !== 'free' && rule.kind !== 'index'
