import type { ShelfSheet, Variants } from './types.ts'

/** Every combination of choices a sheet offers. */
export function everyVariant(sheet: Pick<ShelfSheet, 'axes'>): Variants[] {
  return sheet.axes.reduce<Variants[]>(
    (all, axis) => all.flatMap(one => axis.choices.map(choice => ({ ...one, [axis.id]: choice.id }))),
    [{}],
  )
}

/** Every axis that a value hangs on, by condition or by value. */
export function axesIn(value: unknown, axes: ReadonlySet<string>, found = new Set<string>()): Set<string> {
  if (Array.isArray(value)) for (const one of value) axesIn(one, axes, found)
  else if (value && typeof value === 'object')
    for (const [key, one] of Object.entries(value)) {
      if (key === 'when') for (const axis of Object.keys(one ?? {})) found.add(axis)
      else if (key === 'by' && axes.has(one as string)) found.add(one as string)
      else axesIn(one, axes, found)
    }
  return found
}

const isFigures = (value: unknown): boolean =>
  typeof value === 'object' && value !== null ? Object.values(value).every(isFigures) : typeof value === 'number'

/** A value without its figures that go by an axis: they change nothing for what names it, or what it names. */
function withoutFigures(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value
  if (Array.isArray(value)) return value.map(withoutFigures)
  if ('by' in value && 'of' in value && isFigures(value.of)) return null
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withoutFigures(one)]))
}

/** Every name that a value mentions. */
function namesIn(value: unknown, found = new Set<string>()): Set<string> {
  if (typeof value === 'string') found.add(value.split('@')[0]!)
  else if (value && typeof value === 'object') for (const one of Object.values(value)) namesIn(one, found)
  return found
}

/**
 * The combinations worth looking at: axes that hang together are tried in every combination, with the others at their first
 * choice. Axes hang together when an item hangs on both, or one that hangs on the one names one that hangs on the other, by
 * more than its figures.
 */
export function coupledVariants(sheet: ShelfSheet, groups = coupledAxes(sheet)): Variants[] {
  const first = Object.fromEntries(sheet.axes.map(axis => [axis.id, axis.choices[0]!.id]))
  const all = groups.flatMap(some => everyVariant({ axes: some }).map(one => ({ ...first, ...one })))
  return [...new Map([first, ...all].map(one => [JSON.stringify(one), one])).values()]
}

/** How many combinations such groups of axes make, at the most. */
export const combinationsOf = (groups: ShelfSheet['axes'][]): number =>
  groups.reduce((sum, some) => sum + some.reduce((n, axis) => n * axis.choices.length, 1), 0)

/** Axes that hang together. */
export function coupledAxes(sheet: ShelfSheet): ShelfSheet['axes'][] {
  const axes = new Set(sheet.axes.map(one => one.id))
  const items = [sheet.parts, sheet.mates, sheet.checks, sheet.joints, sheet.steps].flat()
  const own = new Map(items.map(item => [item.id, axesIn(item, axes)]))
  const named = new Map(items.map(item => [item.id, axesIn(withoutFigures(item), axes)]))
  const group = new Map(sheet.axes.map(({ id }) => [id, id]))
  const join = (some: Iterable<string>) => {
    const [first, ...rest] = [...new Set([...some].map(axis => group.get(axis) ?? axis))]
    for (const other of rest) for (const [axis, at] of group) if (at === other) group.set(axis, first!)
  }
  for (const item of items) {
    const hangs = own.get(item.id)!
    if (!hangs.size) continue
    join(hangs)
    const names = named.get(item.id)!
    if (names.size) for (const name of namesIn(item)) if (name !== item.id) join([...names, ...(named.get(name) ?? [])])
  }
  return [...new Set(group.values())].map(at => sheet.axes.filter(axis => group.get(axis.id) === at))
}

/** What is proposed to be decided on the job where a check is found out: the axis and the choice, for each that it speaks for. */
export const proposedByOut = ({ axes }: Pick<ShelfSheet, 'axes'>, check: string): { axis: string; choice: string }[] =>
  axes.flatMap(({ id: axis, decided }) =>
    (decided?.proposes ?? [])
      .filter(one => one.check === check && one.verdict === 'Out')
      .map(({ choice }) => ({ axis, choice })),
  )
