import type { Plan, Step } from '../../sheet/index.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { qualified, signerWords, type Competence } from '../ledger/competence.ts'
import type { Role } from '../ledger/roles.ts'
import type { JobState, Stamp } from '../ledger/state.ts'
import { workAt } from './holds.ts'

/** Who may do a step, where not everybody may. */

const refusals = refusalsAbout('doer', {
  notYou: ({ step, who, eyes }: { step: string; who: string; eyes: boolean }) =>
    `“${step}” is done by ${who}${eyes ? ', or by others under their eyes, and they confirm it' : ''}. Ask them; their paper stands by their name under People.`,
  over: ({ step, of, until }: { step: string; of: string; until: string }) =>
    `“${step}”: your paper for ${of} was good until ${until}. Somebody else who is good for it does it, or a lead writes down the new one under People.`,
  others: ({ step, who }: { step: string; who: string }) =>
    `Some of “${step}” was done by somebody else, and all of it is done by ${who}. Take that back, and have it done by them.`,
})

/** Somebody as the doer of a step: who, in which role, on which paper, at what time. */
interface AsDoer {
  person: string
  role: Role
  on?: Competence
  at: string
}

/** Why somebody may not do a step by who they are, or did not do all of it; null when they may, or everybody may. */
export function doerRefusal(plan: Plan, state: JobState, step: Step, { person, role, on, at }: AsDoer): Refusal | null {
  const { doer, title } = step
  if (!doer) return null
  const who = signerWords(doer)
  const why = qualified(doer, role, on, at)
  if (why === 'paper over') return refusals.over({ step: title, of: on!.of, until: on!.until! })
  if (why !== 'yes') return refusals.notYou({ step: title, who, eyes: doer.supervised === true })
  const isOthers = ({ by }: Stamp) => by !== person
  return !doer.supervised && workAt(plan, state, step).some(isOthers) ? refusals.others({ step: title, who }) : null
}
