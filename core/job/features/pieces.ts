import type { Debt, Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { partState } from '../ledger/part.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, figures, section, text } from '../ledger/section.ts'
import { settled, type Contested } from '../ledger/seen.ts'
import { choice, id, optional, type Shaped } from '../ledger/shape.ts'
import {
  accountedFor,
  countKey,
  countText,
  stamped,
  type JobState,
  type PieceCount,
  type Stamp,
} from '../ledger/state.ts'
import { itemName, partName } from '../ledger/words.ts'
import { beforeCover, type Owing, type Source } from '../owed/owing.ts'
import { unknown } from './sense.ts'

/**
 * Pieces counted by hand: out of the machine, or into it. A newer count stands for the older one. A piece that is not found is
 * accounted for where it was not there when the machine was opened, or where a new one goes in for it.
 */

const refusals = refusalsAbout('pieces', {
  oneThing: () => 'Say what is counted: a part, or an item.',
  onePiece: ({ part }: { part: string }) => `${part} is one piece; there is nothing to count.`,
  otherWay: () =>
    'Of a part, what comes out may have been missing when the machine was opened, and what goes in may be new from stock. Count it so.',
  tooMany: ({ part, quantity, all }: { part: string; quantity: number; all: number }) =>
    `${part}: that makes ${all}, and the machine has ${quantity}. Count again.`,
  when: ({ part, where }: { part: string; where: string }) => `${part}: count them when they are ${where}.`,
})

const WAYS = ['out', 'in'] as const
const shape = {
  part: optional(id),
  /** Something put in for the time being, as the sheet's steps leave it. */
  item: optional(id),
  way: choice(WAYS),
  /** Found, or put back. */
  n: { is: 'number', whole: true, least: 0, most: 999 },
  /** Of those that came out: not there when the machine was opened. */
  absent: optional({ is: 'number', whole: true, least: 1, most: 999 }),
  /** Of those that went in: new ones from stock for what is lost or was not there. */
  fromStock: optional({ is: 'number', whole: true, least: 1, most: 999 }),
} as const
type Counted = Shaped<typeof shape>

/** Pieces that a step of the sheet leaves in for the time being. */
const piecesLeft = ({ sheet }: Plan, item: string): number =>
  sheet.steps.flatMap(step => step.leaves ?? []).find(debt => debt.id === item)?.pieces ?? 0

const counted: ActKind<Counted> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { part, item, way, n, absent = 0, fromStock = 0 } }) => {
    if ((part === undefined) === (item === undefined)) return refusals.oneThing()
    if ((absent && (way === 'in' || item !== undefined)) || (fromStock && (way === 'out' || item !== undefined)))
      return refusals.otherWay()
    if (item !== undefined)
      return plan.sheet.steps.some(step => step.leaves?.some(debt => debt.id === item && debt.pieces))
        ? null
        : unknown('item to count', item)
    const one = plan.parts.get(part!)
    if (!one) return unknown('part', part!)
    const { quantity } = one.part
    if (!quantity) return refusals.onePiece({ part: one.name })
    if ((absent || fromStock) && n + absent + fromStock > quantity)
      return refusals.tooMany({ part: one.name, quantity, all: n + absent + fromStock })
    return partState(state, part!).where === (way === 'out' ? 'off' : 'fitted') ||
      (way === 'out' && partState(state, part!).where === 'fitted')
      ? null
      : refusals.when({ part: one.name, where: way === 'out' ? 'off' : 'in' })
  },
  apply: (state, entry, plan) => {
    const { part, item, way, n, absent, fromStock } = entry.payload
    const key = countKey((part ?? item)!, way)
    // Of two counts the one that is further from what there should be is the worse.
    const wanted = part === undefined ? piecesLeft(plan, item!) : (plan.parts.get(part)!.part.quantity ?? 0)
    const off = (one: PieceCount) => Math.abs(accountedFor(one) - wanted)
    const now = stamped(entry, state, {
      n,
      ...(absent ? { absent } : {}),
      ...(fromStock ? { fromStock } : {}),
    })
    state.counts.set(
      key,
      settled(state.counts.get(key), now, entry, (one, other) => off(one) > off(other)),
    )
  },
  words: (plan, { part, item, way, ...count }) =>
    `Counted ${way}: ${countText(count)} × ${part !== undefined ? partName(plan, part) : itemName(plan, item!)}`,
}

/** Pieces that did not all come out, or did not all go back: one of them may lie in the machine. */
const notAll: Source = ({ plan, state }) =>
  [...plan.parts.values()].flatMap(({ ref, part, name }): Owing[] => {
    const { where } = partState(state, ref)
    if (where === 'on' || !part.quantity) return []
    const by = { out: plan.removedBy.get(ref)?.id, in: plan.fittedBy.get(ref)?.id }
    const step = beforeCover(plan, by.in)
    return WAYS.flatMap((way): Owing[] => {
      const count = state.counts.get(countKey(ref, way))
      const n = count && accountedFor(count)
      if (n === undefined || n === part.quantity) return []
      // All that went back are all there are: none of them lies in the machine.
      const back = state.counts.get(countKey(ref, 'in'))
      if (way === 'out' && where === 'fitted' && back && accountedFor(back) === part.quantity) return []
      const short = n < part.quantity!
      return [
        {
          id: { kind: 'pieces', part: ref, way },
          station: way === 'out' ? 'strip' : 'build',
          what: `${n} of ${part.quantity} ${way === 'out' ? 'came off' : 'went back'}: ${name}`,
          why: short
            ? way === 'out'
              ? 'What is missing may lie in the machine: find it and count again, or say that it was not there'
              : 'One left over on the bench, or lost: count again, or put in a new one from stock'
            : 'More than the machine has: one belongs somewhere else',
          step,
          wrong: { of: [ref], at: by[way], isIn: true },
          settle: { to: 'part', part: ref },
        },
      ]
    })
  })

const isStillIn = ({ id: item, pieces }: Debt, { counts }: JobState) =>
  pieces !== undefined && (counts.get(countKey(item, 'out'))?.n ?? 0) < (counts.get(countKey(item, 'in'))?.n ?? pieces)

/** What a step left loose, parked or put in for the time being. It is paid by its own step, so it holds up only what comes after. */
const leftBehind: Source = ({ plan, state }) =>
  plan.sheet.steps
    .filter(step => state.steps.has(step.id))
    .flatMap(step =>
      (step.leaves ?? [])
        .filter(debt => !state.steps.has(debt.until) || isStillIn(debt, state))
        .map((debt): Owing => ({
          id: { kind: 'debt', debt: debt.id },
          station: plan.steps.get(debt.until)!.station,
          what: debt.what,
          why: `Until: ${plan.steps.get(debt.until)!.title}`,
          step: plan.gates.find(gate => gate.before.has(debt.until))?.step.id ?? null,
          settle: { to: 'step', step: debt.until },
        })),
    )

export const slice = () => ({
  /** Pieces counted, by what and which way. */
  counts: new Map<string, Contested<Stamp & PieceCount>>(),
})
export const acts = { 'pieces.counted': counted }
export const owes = {
  pieces: owedKind({
    by: { part: id, way: choice(WAYS) },
    words: (plan, { part, way }) =>
      `Pieces ${way === 'out' ? 'that came off' : 'that went back'}: ${partName(plan, part)}`,
    never: (_, { way }) => (way === 'in' ? 'count again, or put in a new one from stock' : null),
    holdsStart: true,
  }),
  debt: owedKind({ by: { debt: id }, words: (plan, { debt }) => itemName(plan, debt), holdsStart: true }),
}
export const sources = [notAll, leftBehind]
export const sections = {
  counted: section({
    title: 'Pieces counted',
    in: 'work',
    rows: ({ plan, state, by: signed, unseen }) =>
      [...state.counts].map(([key, one]) => {
        const [what, way] = [key.slice(0, key.lastIndexOf(' ')), key.slice(key.lastIndexOf(' ') + 1)]
        const part = plan.parts.get(what)
        return {
          ...{ what: part?.name ?? itemName(plan, what), way, n: countText(one), of: part?.part.quantity ?? null },
          unseen: unseen<Stamp & PieceCount>(one, countText),
          ...signed(one),
        }
      }),
    columns: [
      { head: 'What', width: 6, cell: row => text(row.what) },
      { head: 'Way', width: 2, cell: row => text(row.way) },
      {
        head: 'Pieces',
        width: 2,
        cell: row => ({
          ...figures(row.of === null || String(row.of) === row.n ? row.n : `${row.n} of ${row.of}`),
          small: row.unseen,
        }),
      },
      by(),
    ],
  }),
}
