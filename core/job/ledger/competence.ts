import type { Doer, Hold } from '../../sheet/index.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import type { Role } from './roles.ts'
import { choice, optional, words, type Shaped } from './shape.ts'

const refusals = refusalsAbout('signer', {
  lead: () => 'This hold point is signed by a lead. Ask one to sign it.',
  paper: ({ signer }: { signer: string }) =>
    `This hold point is signed by ${signer}, and that does not stand by your name. A lead writes it down under People once the paper has been seen.`,
  over: ({ of, until, by }: { of: string; until: string; by: string }) =>
    `Your paper for ${of} was good until ${until}. Somebody else ${by} for it signs, or a lead writes down the new one under People.`,
})

/** Being certified rests on a certificate, being competent on an appointment by the site. */
export const COMPETENCES = ['certified', 'competent'] as const

/** What somebody may sign for beside their role: for what, on which paper, and the last day it is good for. */
export const competenceShape = {
  by: choice(COMPETENCES),
  of: words(80),
  number: optional(words(40)),
  until: optional(words(10)),
} as const
export type Competence = Shaped<typeof competenceShape>

/** Whom a sheet asks for, to sign or to do. */
type Wanted = Pick<Hold | Doer, 'by' | 'of'>

/** A signer as a hold point asks for one: “a lead”, “somebody certified for lifting gear”. */
export const signerWords = ({ by, of }: Wanted): string => (by === 'lead' ? 'a lead' : `somebody ${by} for ${of}`)

const sameWords = (one: string, other: string) => one.trim().toLowerCase() === other.trim().toLowerCase()

/** Good through its last day, in UTC, by the time of the act. */
const isOver = ({ until }: Competence, at: string) => until !== undefined && until < at.slice(0, 10)

const fits = (hold: Wanted, one: Competence) => one.by === hold.by && sameWords(one.of, hold.of ?? '')

/** Of what a person holds, what a hold point is best signed on: one that is good now before one that is over. */
export const competenceFor = (hold: Wanted, held: readonly Competence[], at: string): Competence | undefined =>
  held
    .filter(one => fits(hold, one))
    .toSorted(
      (a, b) => Number(isOver(a, at)) - Number(isOver(b, at)) || (b.until ?? '9999').localeCompare(a.until ?? '9999'),
    )[0]

/** Whether somebody is whom a sheet asks for, by role or by a paper and its last day. */
export function qualified(
  wanted: Wanted,
  role: Role,
  on: Competence | undefined,
  at: string,
): 'yes' | 'not a lead' | 'no paper' | 'paper over' {
  if (wanted.by === 'lead') return role === 'lead' ? 'yes' : 'not a lead'
  if (!on || !fits(wanted, on)) return 'no paper'
  return isOver(on, at) ? 'paper over' : 'yes'
}

/** Why a person may not sign a hold by who they are; null when they may. */
export function signerRefusal(hold: Hold, role: Role, on: Competence | undefined, at: string): Refusal | null {
  const why = qualified(hold, role, on, at)
  if (why === 'yes') return null
  if (why === 'not a lead') return refusals.lead()
  return why === 'no paper'
    ? refusals.paper({ signer: signerWords(hold) })
    : refusals.over({ of: on!.of, until: on!.until!, by: hold.by })
}

/** A competence as it stands on a record: “certified for refrigerant, no. 12, good until 2027-03-01”. */
export const competenceWords = ({ by, of, number, until }: Competence): string =>
  [`${by} for ${of}`, ...(number ? [`no. ${number}`] : []), ...(until ? [`good until ${until}`] : [])].join(', ')

export const isSameCompetence = (one: Competence, other: Competence): boolean =>
  one.by === other.by && sameWords(one.of, other.of) && one.number === other.number && one.until === other.until
