import type { Debt, Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { partState } from '../ledger/part.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, figures, section, text } from '../ledger/section.ts'
import { settled, type Contested } from '../ledger/seen.ts'
import { choice, id, optional, type Shaped } from '../ledger/shape.ts'
import { countKey, stamped, type JobState, type Stamp } from '../ledger/state.ts'
import { itemName, partName } from '../ledger/words.ts'
import { beforeCover, type Owing, type Source } from '../owed/owing.ts'
import { unknown } from './sense.ts'

/** Pieces counted by hand: out of the machine, or into it. A newer count stands for the older one. */

const refusals = refusalsAbout('pieces', {
  oneThing: () => 'Say what is counted: a part, or an item.',
  onePiece: ({ part }: { part: string }) => `${part} is one piece; there is nothing to count.`,
  when: ({ part, where }: { part: string; where: string }) => `${part}: count them when they are ${where}.`,
})

const WAYS = ['out', 'in'] as const
const shape = {
  part: optional(id),
  /** Something put in for the time being, as the sheet's steps leave it. */
  item: optional(id),
  way: choice(WAYS),
  n: { is: 'number', whole: true, least: 0, most: 999 },
} as const

/** Pieces that a step of the sheet leaves in for the time being. */
const piecesLeft = ({ sheet }: Plan, item: string): number =>
  sheet.steps.flatMap(step => step.leaves ?? []).find(debt => debt.id === item)?.pieces ?? 0

const counted: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { part, item, way } }) => {
    if ((part === undefined) === (item === undefined)) return refusals.oneThing()
    if (item !== undefined)
      return plan.sheet.steps.some(step => step.leaves?.some(debt => debt.id === item && debt.pieces))
        ? null
        : unknown('item to count', item)
    const one = plan.parts.get(part!)
    if (!one) return unknown('part', part!)
    if (!one.part.quantity) return refusals.onePiece({ part: one.name })
    return partState(state, part!).where === (way === 'out' ? 'off' : 'fitted') ||
      (way === 'out' && partState(state, part!).where === 'fitted')
      ? null
      : refusals.when({ part: one.name, where: way === 'out' ? 'off' : 'in' })
  },
  apply: (state, entry, plan) => {
    const { part, item, way, n } = entry.payload
    const key = countKey((part ?? item)!, way)
    // Of two counts the one that is further from what there should be is the worse.
    const wanted = part === undefined ? piecesLeft(plan, item!) : (plan.parts.get(part)!.part.quantity ?? 0)
    const off = (one: { n: number }) => Math.abs(one.n - wanted)
    const now = stamped(entry, state, { n })
    state.counts.set(
      key,
      settled(state.counts.get(key), now, entry, (one, other) => off(one) > off(other)),
    )
  },
  words: (plan, { part, item, way, n }) =>
    `Counted ${way}: ${n} × ${part !== undefined ? partName(plan, part) : itemName(plan, item!)}`,
}

/** Pieces that did not all come out, or did not all go back: one of them may lie in the machine. */
const notAll: Source = ({ plan, state }) =>
  [...plan.parts.values()].flatMap(({ ref, part, name }): Owing[] => {
    const { where } = partState(state, ref)
    if (where === 'on' || !part.quantity) return []
    const by = { out: plan.removedBy.get(ref)?.id, in: plan.fittedBy.get(ref)?.id }
    const step = beforeCover(plan, by.in)
    return WAYS.flatMap((way): Owing[] => {
      const n = state.counts.get(countKey(ref, way))?.n
      if (n === undefined || n === part.quantity) return []
      const short = n < part.quantity!
      return [
        {
          id: { kind: 'pieces', part: ref, way },
          station: way === 'out' ? 'strip' : 'build',
          what: `${n} of ${part.quantity} ${way === 'out' ? 'came off' : 'went back'}: ${name}`,
          why: short
            ? way === 'out'
              ? 'What is missing may lie in the machine: find it and count again'
              : 'One left over on the bench, or lost: count again'
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
  counts: new Map<string, Contested<Stamp & { n: number }>>(),
})
export const acts = { 'pieces.counted': counted }
export const owes = {
  pieces: owedKind({
    by: { part: id, way: choice(WAYS) },
    words: (plan, { part, way }) =>
      `Pieces ${way === 'out' ? 'that came off' : 'that went back'}: ${partName(plan, part)}`,
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
          ...{ what: part?.name ?? itemName(plan, what), way, n: one.n, of: part?.part.quantity ?? null },
          unseen: unseen<Stamp & { n: number }>(one, each => String(each.n)),
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
          ...figures(row.of === null || row.of === row.n ? String(row.n) : `${row.n} of ${row.of}`),
          small: row.unseen,
        }),
      },
      by(),
    ],
  }),
}
