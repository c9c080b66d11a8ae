import { clockText, fromOtherEnd, withinTurn, type Position } from '../../marks/index.ts'
import { oppositeView, viewWords, type Mate, type Plan, type Ref, type Sheet } from '../../sheet/index.ts'
import { inSentence } from '../../sums/read.ts'
import type { SectionName } from '../kinds.ts'
import { allSaid } from '../ledger/seen.ts'
import type { JobState } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import type { Mark } from '../features/marks.ts'
import { findingText, foundOff, type Looked } from '../parts/looks.ts'
import type { JobRecord } from './record.ts'
import { recordTables, type RecordTable } from './record-tables.ts'

/** What a machine failed of, as it is handed on by itself: where everything lay, what was found, and what speaks for which cause. */

/** Something that was marked or found on a part of a group, as it is numbered on the clock of the group. */
export interface Placed {
  n: number
  part: string
  what: string
  /** In hours from the datum. */
  at: string
}

/** The clock of a group: its datum stands at twelve, a ring a part. */
export interface GroupDial {
  name: string
  /** What its hours are told from, in a sentence. */
  told: string
  rings: { part: string; positions: Position[] }[]
  placed: Placed[]
}

type Assembly = Sheet['assemblies'][number]
interface Lying {
  part: Ref
  what: string
  is: Position['is']
  from: number
  to: number
  seenFrom: string | undefined
}

/** Hours from the datum, as the group is looked at; null where it was seen from no end of it. */
function fromDatum(plan: Plan, { seenFrom, datum }: Assembly, lying: Lying): Pick<Position, 'from' | 'to'> | null {
  const isOther = lying.seenFrom === oppositeView(plan.sheet, seenFrom)
  if (!isOther && lying.seenFrom !== undefined && lying.seenFrom !== seenFrom) return null
  // Seen from its other side what runs clockwise runs the other way round.
  const [from, to] = isOther ? [fromOtherEnd(lying.to), fromOtherEnd(lying.from)] : [lying.from, lying.to]
  return { from: withinTurn(from - datum.at * 30), to: withinTurn(to - datum.at * 30) }
}

/** The part that a mark tells of: of the two the one that is not the datum. */
const markedPart = ({ sheet }: Plan, { a, b }: Mate): Ref => (sheet.assemblies.some(one => one.datum.on === a) ? b : a)

const marksIn = (plan: Plan, { marks }: JobState): Lying[] =>
  plan.sheet.mates.flatMap(mate =>
    (marks.has(mate.id) ? allSaid<Mark>(marks.get(mate.id)!) : []).flatMap(({ deg, seenFrom }): Lying[] =>
      deg === undefined
        ? []
        : [
            {
              part: markedPart(plan, mate),
              what: `Mark: ${inSentence(mate.title)}`,
              is: 'mark',
              from: deg,
              to: deg,
              seenFrom,
            },
          ],
    ),
  )

const findingsIn = (plan: Plan, state: JobState): Lying[] =>
  foundOff(state).flatMap((looked: Looked) =>
    looked.findings.flatMap((finding): Lying[] => {
      const { deg, toDeg, ...rest } = finding
      return deg === undefined
        ? []
        : [
            {
              ...{ part: looked.part, what: findingText(plan, looked, rest), is: 'found', from: deg, to: toDeg ?? deg },
              seenFrom: looked.seenFrom,
            },
          ]
    }),
  )

const hoursText = ({ from, to }: Pick<Position, 'from' | 'to'>): string =>
  from === to ? clockText(from) : `${clockText(from)} round to ${clockText(to)}`

/** The clocks of the groups that something was marked or found on, in the order of the sheet, numbered through all of them. */
export function groupDials(plan: Plan, state: JobState): GroupDial[] {
  const lying = [...marksIn(plan, state), ...findingsIn(plan, state)]
  let n = 0
  return plan.sheet.assemblies.flatMap(assembly => {
    const own = [...plan.parts.values()].filter(one => one.part.assembly === assembly.id)
    const placed: Placed[] = []
    const rings = own.flatMap(({ ref }) => {
      const positions = lying
        .filter(one => one.part === ref)
        .flatMap((one): Position[] => {
          const at = fromDatum(plan, assembly, one)
          if (!at) return []
          n += 1
          placed.push({ n, part: partName(plan, ref), what: one.what, at: hoursText(at) })
          return [{ n, is: one.is, ...at }]
        })
      return positions.length ? [{ part: partName(plan, ref), positions }] : []
    })
    const { name, datum, seenFrom } = assembly
    return rings.length
      ? [
          {
            ...{ name, rings, placed },
            told: `${datum.what[0]!.toUpperCase()}${datum.what.slice(1)} stands at 12; looked at from ${viewWords(seenFrom)}. Rings from the outside in: ${rings.map(one => one.part).join(', ')}.`,
          },
        ]
      : []
  })
}

/** What is told in it, and in which order; whatever was done to build it up again is not. */
const TOLD = [
  'causes',
  'signs',
  'decided',
  'facts',
  'looks',
  'readings',
  'marks',
  'lost',
  'notes',
  'photos',
] as const satisfies SectionName[]

/** The tables of the record that tell why it failed: of what was read only as it was found, and off the machine. */
export const failureTables = (record: JobRecord): RecordTable[] =>
  recordTables({ ...record, readings: record.readings.filter(({ at }) => at === 'asFound' || at === 'inspect') }, TOLD)
