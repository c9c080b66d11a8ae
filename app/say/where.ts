import type { PartState } from '~~/core/job'
import type { Part } from '~~/core/sheet'

/** Where a part is, said the one way everywhere; `along`: the part it is off the machine with. */
export function whereIs(part: Pick<Part, 'keep' | 'renewal'>, now: PartState, along?: string): string {
  if (along) return `off with the ${along.toLowerCase()}`
  if (now.where === 'on') return 'on the machine'
  if (now.where === 'fitted') return now.fitted!.as === 'new' ? 'fitted, a new one' : 'fitted, the same one'
  if (now.trial) return 'on for a trial'
  if (now.renewed) return 'new one ready'
  if (now.decision && !now.returned && now.decision.choice === 'send out') return 'sent out'
  if (now.decision && !now.returned && now.decision.choice === 'rework') return 'being reworked'
  if (now.kept) return `${now.kept.as} ${now.kept.label}`
  if (part.keep === 'lay') return 'laid out'
  return part.renewal === 'always' ? 'scrap' : `no ${part.keep} yet`
}
