import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { id, lying, words, type Shaped } from '../ledger/shape.ts'
import { allSaid, hadSeen, settled, type Contested } from '../ledger/seen.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { mateName } from '../ledger/words.ts'
import { keyOf } from '../owed/id.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { answerText, hasParted, markedDots, marksDiffer, markText, readLabel, typedMm } from '../parts/mates.ts'
import { notSeenFrom, unknown } from './sense.ts'

/** Marks made while parts still stand together, so that they can be put back as they stood. */

const refusals = refusalsAbout('mark', {
  stamped: ({ mate }: { mate: string }) => `${mate}: the maker put that mark there. There is none to make.`,
  parted: ({ mate }: { mate: string }) =>
    `${mate}: the parts have parted; a mark made now would say nothing. Say it was lost, with the reason.`,
  made: ({ mate }: { mate: string }) => `${mate} is marked already. Correct that mark, with the reason.`,
  where: ({ mate }: { mate: string }) => `${mate}: set on the dial where the mark lies.`,
})

const shape = {
  mate: id,
  ...lying,
  seenFrom: words(60),
  carrier: words(80),
} as const
export type Mark = Stamp & Shaped<typeof shape>

const made: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload, ...maker }) => {
    const mate = plan.mates.get(payload.mate)
    if (!mate?.mark) return unknown('mark', payload.mate)
    const blind = notSeenFrom(plan, payload.seenFrom)
    if (blind) return blind
    if (mate.mark.stamped) return refusals.stamped({ mate: mate.title })
    if (hasParted(plan, state, mate)) return refusals.parted({ mate: mate.title })
    const before = state.marks.get(mate.id)
    if (before && hadSeen(maker, before)) return refusals.made({ mate: mate.title })
    if (mate.rule.kind === 'distance') return typedMm(mate, payload)
    if (mate.rule.kind === 'label') return readLabel(mate, payload)
    if (mate.rule.kind === 'dots') return markedDots(plan, state, mate, payload.dots)
    return payload.deg === undefined ? refusals.where({ mate: mate.title }) : null
  },
  apply: (state, entry) => {
    const { mate } = entry.payload
    // Neither mark is worse than the other: the first stands, and how the parts stand is held against both.
    state.marks.set(
      mate,
      settled(state.marks.get(mate), stamped(entry, state, entry.payload), entry, () => false),
    )
  },
  words: (plan, payload) => `Mark: ${mateName(plan, payload.mate)}, ${markText(plan, payload)}`,
}

const notMade: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap(step =>
    (step.marks ?? [])
      .filter(mate => !state.marks.has(mate) && !state.evidenceLost.has(keyOf({ kind: 'mark', mate })))
      .map((name): Owing => {
        const mate = plan.mates.get(name)!
        return {
          id: { kind: 'mark', mate: name },
          station: step.station,
          what: `Make the mark: ${mate.title}`,
          why: mate.ifWrong,
          step: step.id,
          settle: { to: 'mark', mate: name },
          perishable: true,
        }
      }),
  )

/** Marks that two tablets made of one thing, and that say different things: who builds would go by one of them. */
const apart: Source = ({ plan, state }) =>
  plan.sheet.mates.flatMap((mate): Owing[] =>
    marksDiffer(state, mate)
      ? [
          {
            id: { kind: 'marks apart', mate: mate.id },
            station: 'strip',
            what: `Two marks that differ: ${mate.title}`,
            why: allSaid<Mark>(state.marks.get(mate.id)!)
              .map(one => markText(plan, one))
              .join(', or '),
            step: plan.sheet.steps.find(step => step.marks?.includes(mate.id))?.id ?? null,
            settle: { to: 'mark', mate: mate.id },
          },
        ]
      : [],
  )

export const slice = () => ({ marks: new Map<string, Contested<Mark>>() })
export const acts = { 'mark.made': made }
export const owes = {
  'mark': owedKind({ by: { mate: id }, words: (plan, { mate }) => `Mark: ${mateName(plan, mate)}` }),
  'marks apart': owedKind({
    by: { mate: id },
    words: (plan, { mate }) => `Two marks that differ: ${mateName(plan, mate)}`,
    never: () => 'look at both marks, and take the wrong one back',
  }),
}
export const sources = [notMade, apart]
export const sections = {
  marks: section({
    title: 'Marks',
    in: 'work',
    rows: ({ plan, state, by: signed, unseen }) =>
      [...state.marks].map(([mate, mark]) => {
        const answer = state.mates.get(mate)
        return {
          title: mateName(plan, mate),
          made: markText(plan, mark),
          unseen: unseen<Mark>(mark, one => markText(plan, one)),
          stands: answer ? answerText(answer) : '',
          ...signed(mark),
        }
      }),
    columns: [
      { head: 'Mark', width: 5, cell: row => text(row.title) },
      { head: 'Made', width: 6, cell: row => ({ ...text(row.made), small: row.unseen }) },
      { head: 'At build', width: 4, cell: row => text(row.stands) },
      by(),
    ],
  }),
}
export const pads = { mark: { mate: id } } as const
