import { placesOf } from '../../../sheet/index.ts'
import { partState, type PartState } from '../../ledger/part.ts'
import { by, figures, section, text } from '../../ledger/section.ts'
import { id } from '../../ledger/shape.ts'
import type { Stamp } from '../../ledger/state.ts'
import { kitWords, partName } from '../../ledger/words.ts'
import { partDecided } from './decided.ts'
import { partBagged, partTagged } from './kept.ts'
import { partLifted } from './lifted.ts'
import { partRefitted } from './refitted.ts'
import { partRenewed, type Renewal } from './renewed.ts'
import { partReturned } from './returned.ts'
import { partSettled } from './settled.ts'
import { partTried } from './tried.ts'

export { owes, sources } from './owed.ts'

/** Parts: off the machine, kept, decided, renewed, and back in their places. */
export const slice = () => ({
  parts: new Map<string, PartState>(),
  liftedCount: 0,
  /** Every new part taken, in order; one is one movement of stock. */
  renewals: [] as Renewal[],
  /** Every part that came back from rework or from outside, in order: it is measured again. */
  returns: [] as (Stamp & { part: string })[],
})
export const acts = {
  'part.lifted': partLifted,
  'part.bagged': partBagged,
  'part.tagged': partTagged,
  'part.decided': partDecided,
  'part.renewed': partRenewed,
  'part.returned': partReturned,
  'part.settled': partSettled,
  'part.refitted': partRefitted,
  'part.tried': partTried,
}
export const sections = {
  parts: section({
    title: 'Parts',
    in: 'work',
    rows: ({ plan, state, by: signed, unseen }) =>
      plan.whole.parts
        .flatMap(placesOf)
        .filter(one => state.parts.has(one.ref))
        .map(({ ref, part, name }) => {
          const now = partState(state, ref)
          const decision = now.decision?.choice ?? (part.renewal === 'always' ? 'always new' : 'none')
          return {
            item: part.item,
            name,
            cameOff: now.order ? String(now.order) : '',
            method: now.lifted?.method ?? '',
            kept: now.kept ? `${now.kept.as} ${now.kept.label}` : '',
            decidedBy: now.decision ? signed(now.decision).who : '',
            found: now.decision?.found ?? '',
            against:
              now.decision?.proposed && now.decision.proposed !== now.decision.choice ? now.decision.proposed : '',
            unseen: now.decision ? unseen<Stamp & { choice: string }>(now.decision, one => one.choice) : [],
            decision: now.decision?.why ? `${decision}: ${now.decision.why}` : decision,
            wentBack: now.fitted
              ? `${now.fitted.as === 'new' ? `new, from ${kitWords(plan, now.renewed?.from)}` : 'same'}${now.fitted.place === ref ? '' : `, in the place of ${partName(plan, now.fitted.place)}`}`
              : (now.settled?.to ?? 'still off'),
            ...signed(now.fitted ?? now.lifted),
          }
        }),
    columns: [
      { head: 'Item', width: 1, cell: row => figures(String(row.item)) },
      { head: 'Part', width: 5, cell: row => text(row.name) },
      {
        head: 'Off',
        width: 2,
        cell: row => ({ ...figures(row.cameOff), small: row.method ? [`freed by: ${row.method}`] : [] }),
      },
      { head: 'Kept', width: 2, cell: row => text(row.kept) },
      {
        head: 'Decided',
        width: 3,
        cell: row => ({
          ...text(row.decision),
          small: [
            ...(row.against ? [`against the proposal: ${row.against}`] : []),
            ...(row.found ? [`found: ${row.found}`] : []),
            ...(row.decidedBy ? [`by ${row.decidedBy}`] : []),
            ...row.unseen,
          ],
        }),
      },
      { head: 'Went back', width: 3, cell: row => text(row.wentBack) },
      by(),
    ],
  }),
}
export const pads = { part: { part: id }, stray: { part: id }, decide: {}, parts: {} } as const
