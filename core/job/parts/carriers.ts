import type { Plan, Station, Step } from '../../sheet/index.ts'
import { partState } from '../ledger/part.ts'
import type { JobState } from '../ledger/state.ts'

/** Ways to make a mark, the most lasting first, each with the stations that take it off a part. */
export const CARRIERS: Readonly<Record<string, readonly Station[]>> = {
  'punch dots': [],
  'scribed line': [],
  'paint line': [],
  'washable pen': ['clean'],
  'tag': [],
}

/** What is said of marks that a step washes off parts that are not back yet; null where it washes none off, or is done. */
export function wipedWords(plan: Plan, state: JobState, step: Step): string | null {
  if (state.steps.has(step.id)) return null
  const gone = [...state.marks].flatMap(([id, { carrier }]) => {
    const mate = plan.mates.get(id)
    if (!mate || !CARRIERS[carrier]?.includes(step.station)) return []
    return [mate.a, mate.b].some(ref => partState(state, ref).where === 'off') ? [`${mate.title} (${carrier})`] : []
  })
  return gone.length
    ? `This washes marks off: ${gone.join('; ')}. Scribe or punch them first, and correct the mark.`
    : null
}
