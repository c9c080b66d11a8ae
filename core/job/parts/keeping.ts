import type { Part, Plan, Ref, Step } from '../../sheet/index.ts'
import { partState, type PartState } from '../ledger/part.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import type { JobState } from '../ledger/state.ts'
import { partName, partNames } from '../ledger/words.ts'

const refusals = refusalsAbout('keeping', {
  tagHangs: ({ tag, part }: { tag: string; part: string }) =>
    `Tag ${tag} hangs on ${part}. One tag, one part: take another number.`,
  tagOfOld: ({ tag, part }: { tag: string; part: string }) =>
    `Tag ${tag} is on the old one that was renewed: ${part}. Take another number.`,
  notOneBag: ({ parts }: { parts: string }) => `${parts} do not share a bag: one bag for each.`,
  bagHolds: ({ bag, parts }: { bag: string; parts: string }) =>
    `Bag ${bag} holds ${parts}. They are not to be mixed: take another bag.`,
})

/**
 * The story a small part belongs to, for its bag: the sheet's group; else a lookalike has a bag of its own, and the rest
 * of what comes off in one step shares one.
 */
export function bagGroupOf(plan: Plan, ref: Ref): string {
  const { part } = plan.parts.get(ref)!
  return part.bagGroup ?? (part.lookalike ? ref : `step ${plan.removedBy.get(ref)?.id ?? ref}`)
}

/** What a part is kept under when it is off: a bag, or a tag; null where it is laid out, or thrown away. */
export const labelOf = ({ keep, renewal }: Pick<Part, 'keep' | 'renewal'>): 'bag' | 'tag' | null =>
  keep === 'pattern' ? 'tag' : keep === 'lay' || renewal === 'always' ? null : keep

/** Parts this step takes off that are kept in a bag, or under a tag. */
export const keptBy = (plan: Plan, step: Step, way: 'bag' | 'tag'): Ref[] =>
  (step.removes ?? []).filter(ref => labelOf(plan.parts.get(ref)!.part) === way)

/** The bags a step fills, each with what goes in it. */
export function bagsOf(plan: Plan, step: Step): { group: string; parts: Ref[] }[] {
  return grouped(keptBy(plan, step, 'bag'), ref => bagGroupOf(plan, ref)).map(([group, parts]) => ({ group, parts }))
}

function grouped<T>(list: readonly T[], keyOf: (one: T) => string): [string, T[]][] {
  const groups = new Map<string, T[]>()
  for (const one of list) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one])
  return [...groups]
}

const same = (one: string, other: string) => one.trim().toLowerCase() === other.trim().toLowerCase()

const hangsOn = ({ kept }: PartState, as: 'bag' | 'tag', label: string): boolean =>
  kept?.as === as && same(kept.label, label)

/** Parts that lie under a label now. Where a new one was taken, the label is still on the old one. */
const under = (plan: Plan, state: JobState, as: 'bag' | 'tag', label: string): Ref[] =>
  [...plan.parts.keys()].filter(ref => {
    const now = partState(state, ref)
    return now.where === 'off' && !now.renewed && hangsOn(now, as, label)
  })

/** A tag is one part's. Why this one cannot hang on that part, null when it can. */
export function tagRefusal(plan: Plan, state: JobState, part: Ref, tag: string): Refusal | null {
  const scrapped = [...state.parts].find(([, now]) => now.renewed && hangsOn(now, 'tag', tag))?.[0]
  if (scrapped !== undefined) return refusals.tagOfOld({ tag, part: partName(plan, scrapped) })
  const other = under(plan, state, 'tag', tag).find(ref => ref !== part)
  return other === undefined ? null : refusals.tagHangs({ tag, part: partName(plan, other) })
}

/** A bag holds one story. Why these parts cannot go in this one, null when they can. */
export function bagRefusal(plan: Plan, state: JobState, parts: readonly Ref[], bag: string): Refusal | null {
  const groups = new Set(parts.map(ref => bagGroupOf(plan, ref)))
  if (groups.size > 1) return refusals.notOneBag({ parts: partNames(plan, parts) })
  const others = under(plan, state, 'bag', bag).filter(ref => !groups.has(bagGroupOf(plan, ref)))
  return others.length ? refusals.bagHolds({ bag, parts: partNames(plan, others) }) : null
}

/** A part that may be in the hand, by what tells it apart: its tag or bag, or that it is new. */
export interface InHand {
  part: Ref
  label: string
  isNew: boolean
}

const byNumber = new Intl.Collator('en', { numeric: true })

/** Whether one part may be taken for another: they are of one kind, or the sheet says that they look alike. */
export const isLike = (one: Part, other: Part): boolean =>
  one.id === other.id || (one.lookalike !== undefined && one.lookalike === other.lookalike)

/**
 * The parts that may be in the hand for a place, in the order of their labels: its siblings, and whatever else that looks
 * alike lies under a label. Null where there is nothing to tell apart: nothing else is off, all of it is new, or it shares a
 * bag by design.
 * @param only `siblings` where nothing of another kind is tried there
 */
export function inHandFor(plan: Plan, state: JobState, place: Ref, only?: 'siblings'): InHand[] | null {
  const { part } = plan.parts.get(place)!
  // A connection is told by what its ends say, and that is asked as it goes back.
  if (part.joins) return null
  const isAlike = ({ part: other, ref }: { part: Part; ref: Ref }) => {
    if (other.id === part.id) return true
    const { kept, renewed } = partState(state, ref)
    return only !== 'siblings' && isLike(part, other) && kept !== undefined && !renewed
  }
  const off = [...plan.parts.values()].filter(
    one => partState(state, one.ref).where === 'off' && !partState(state, one.ref).trial && isAlike(one),
  )
  const found = off.map(({ ref }): InHand => {
    const { kept, renewed } = partState(state, ref)
    return { part: ref, isNew: renewed !== undefined, label: renewed ? 'the new one' : (kept?.label ?? 'no tag') }
  })
  const own = found.find(one => one.part === place)
  const told = grouped(found, one => one.label).map(([, alike]) => alike.find(one => one === own) ?? alike[0]!)
  return told.length > 1 ? told.sort((a, b) => byNumber.compare(a.label, b.label)) : null
}

/** The part of this job that lies under a label, however it was read; null where none does. */
export function partUnder(plan: Plan, state: JobState, label: string): Ref | null {
  return under(plan, state, 'tag', label)[0] ?? under(plan, state, 'bag', label)[0] ?? null
}
