import type { ShelfSheet, Variants } from '../types.ts'

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

/** Every name that a value mentions. */
function namesIn(value: unknown, found = new Set<string>()): Set<string> {
  if (typeof value === 'string') found.add(value.split('@')[0]!)
  else if (value && typeof value === 'object') for (const one of Object.values(value)) namesIn(one, found)
  return found
}

/**
 * The combinations worth looking at: axes that hang together are tried in every combination, with the others at their first
 * choice. Axes hang together when an item hangs on both, or one that hangs on the one names one that hangs on the other.
 */
export function coupledVariants(sheet: ShelfSheet): Variants[] {
  const first = Object.fromEntries(sheet.axes.map(axis => [axis.id, axis.choices[0]!.id]))
  const all = coupledAxes(sheet).flatMap(some => everyVariant({ axes: some }).map(one => ({ ...first, ...one })))
  return [...new Map([first, ...all].map(one => [JSON.stringify(one), one])).values()]
}

/** How many combinations that makes, at the most. */
export const combinationsOf = (sheet: ShelfSheet): number =>
  coupledAxes(sheet).reduce((sum, some) => sum + some.reduce((n, axis) => n * axis.choices.length, 1), 0)

/** Axes that hang together. */
function coupledAxes(sheet: ShelfSheet): ShelfSheet['axes'][] {
  const axes = new Set(sheet.axes.map(one => one.id))
  const items = [sheet.parts, sheet.mates, sheet.checks, sheet.joints, sheet.steps].flat()
  const own = new Map(items.map(item => [item.id, axesIn(item, axes)]))
  const group = new Map(sheet.axes.map(({ id }) => [id, id]))
  const join = (some: Iterable<string>) => {
    const [first, ...rest] = [...new Set([...some].map(axis => group.get(axis) ?? axis))]
    for (const other of rest) for (const [axis, at] of group) if (at === other) group.set(axis, first!)
  }
  for (const item of items) {
    const hangs = own.get(item.id)!
    if (!hangs.size) continue
    join(hangs)
    for (const name of namesIn(item)) if (name !== item.id) join([...hangs, ...(own.get(name) ?? [])])
  }
  return [...new Set(group.values())].map(at => sheet.axes.filter(axis => group.get(axis.id) === at))
}
