import type { Debt, Mate, Part, Ref, Sheet } from './types.ts'

/** Whether somebody decides what becomes of it once it is off: what is always new decides itself, a connection goes back. */
export const isDecided = ({ renewal, joins }: Pick<Part, 'renewal' | 'joins'>): boolean =>
  renewal !== 'always' && joins === undefined

/** A connection in one of its places, by what others of the sheet name it. */
interface Connected extends Required<Pick<Part, 'joins'>> {
  part: Part
  ref: Ref
  name: string
  when?: Part['when']
}

/** What is there of a list: what else was written in its place is found once its item is looked at. */
const listed = <T>(list: readonly T[] | undefined): T[] =>
  Array.isArray(list) ? (list as T[]).filter(one => typeof one === 'object' && one !== null) : []
const holds = (list: readonly Ref[] | undefined, ref: Ref): boolean => Array.isArray(list) && list.includes(ref)

/** A list with more in it; what is no list is left as it is, to be found. */
const added = <T>(key: string, list: readonly T[] | undefined, more: readonly T[]) =>
  more.length && Array.isArray(list ?? []) ? { [key]: [...(list ?? []), ...more] } : {}

const connectedIn = ({ parts }: Pick<Sheet, 'parts'>): Connected[] =>
  parts.flatMap(part => {
    const { places, name } = part
    const joins = listed(part.joins)
    if (!joins.length) return []
    return Array.isArray(places)
      ? listed(places).map(place => ({
          ...{ part, joins, ref: `${part.id}@${place.id}`, name: `${name}, ${place.name}` },
          when: place.when ?? part.when,
        }))
      : [{ part, joins, ref: part.id, name, when: part.when }]
  })

/** The name of what a connection brings with it: a mate for each end, the caps on them. */
const endId = (ref: Ref, end: number) => `${ref.replace('@', '-')}-end-${end + 1}`
const capsId = (ref: Ref) => `caps-${ref.replace('@', '-')}`

/** What is crossed shows once the machine is started, at the latest: it stops that. */
const matesOf = ({ ends, steps }: Sheet, { part, joins, ref, name, when }: Connected): Mate[] =>
  joins.map(({ to, at, example }, end) => ({
    id: endId(ref, end),
    title: `${name}, at the ${at}`,
    a: to,
    b: ref,
    rule: { kind: 'label', ask: `What is the label at the ${at}?`, example },
    carriedBy: 'mark',
    mark: { method: 'label', on: `the end at the ${at}`, seenFrom: ends.left, lost: 'lead' },
    ifWrong: part.ifSwapped ?? '',
    before: steps.find(step => step.starts)?.id,
    ...(when ? { when } : {}),
  }))

const missing = <T extends { id: string }>(all: readonly T[], more: readonly T[]): T[] =>
  more.filter(one => !all.some(each => each.id === one.id))

/**
 * What the connections of a sheet say, written out: a label at each end that is marked by the step that takes it off and read
 * again where it goes back, and caps that are left until then. A sheet in which that is done already comes back as it is.
 */
export function withConnections(sheet: Sheet): Sheet {
  const all = connectedIn(sheet)
  if (!all.length) return sheet
  return {
    ...sheet,
    mates: [
      ...sheet.mates,
      ...missing(
        sheet.mates,
        all.flatMap(one => matesOf(sheet, one)),
      ),
    ],
    steps: sheet.steps.map(step => {
      const off = all.filter(({ ref }) => holds(step.removes, ref))
      if (!off.length) return step
      const marks = off.flatMap(({ ref, joins }) => joins.map((_, end) => endId(ref, end)))
      const caps = off.flatMap(({ part, ref, name, joins, when }): Debt[] => {
        const until = sheet.steps.find(one => holds(one.fits, ref))
        if (part.capped !== true || !until) return []
        return [
          {
            ...{ id: capsId(ref), what: `Caps on ${name}`, until: until.id, pieces: joins.length },
            ...(when ? { when } : {}),
          },
        ]
      })
      return {
        ...step,
        ...added(
          'marks',
          step.marks,
          marks.filter(id => !holds(step.marks, id)),
        ),
        ...added('leaves', step.leaves, missing(listed(step.leaves), caps)),
      }
    }),
  }
}
