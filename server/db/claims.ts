import { payloadFitting } from '../../shared/schemas.ts'
import type { Person, SentEntry, SignedInPerson } from '../../shared/answers.ts'
import {
  ACTS,
  competenceWords,
  isSameCompetence,
  rolesWords,
  rootOf,
  type ActKind,
  type AnyEntry,
} from '../../core/job/index.ts'
import { refusalsAbout, sentenceOf, type Refusal } from '../../core/refusal.ts'
import type { Transaction } from './client.ts'
import { everybody, isOnlyLead } from './people.ts'

/** What is claimed by who sends entries: that they may, that they did it, and that it is true of them. */

export type RefusalStatus = 400 | 403 | 404 | 409 | 422

/** Thrown to roll a whole batch back; caught where it started. */
export class Refused extends Error {
  constructor(
    readonly status: RefusalStatus,
    readonly refusal: Refusal,
    readonly entry: string | null,
  ) {
    super(sentenceOf(refusal))
  }
}

const refusals = refusalsAbout('claim', {
  role: ({ roles }: { roles: string }) => `This is done by ${roles}. Ask one to do it.`,
  misfit: ({ what }: { what: string }) => `The replacement does not fit: ${what}.`,
  nobody: () => 'There is nobody of that name here. Reload the page.',
  takenOut: ({ name }: { name: string }) =>
    `${name} is taken out here, so nobody can vouch for them. A lead lets them in again first, if they still work here.`,
  another: ({ name }: { name: string }) => `${name} did that. They sign in, or a lead vouches for it.`,
  vouching: ({ name }: { name: string }) => `Only a lead vouches for what ${name} did.`,
  ownPin: ({ name }: { name: string }) => `A signature is given with one’s own PIN: ${name} signs it.`,
  paper: ({ paper }: { paper: string }) =>
    `“${paper}” does not stand by your name. A lead writes it down under People; sign in again then.`,
  anotherLead: () => 'There is another lead here: they sign it, or concede it.',
})

/** What of an entry can be refused before the ledger is asked: a role, or a replacement that does not fit its kind. */
export function checked(entries: () => readonly AnyEntry[], one: SentEntry, by: Person): SentEntry {
  const act = ACTS[one.kind]
  if (!act.by.includes(by.role)) throw new Refused(403, refusals.role({ roles: rolesWords(act.by) }), one.id)
  if (one.kind !== 'entry.corrected') return one
  const correction = one as SentEntry & { payload: { target: string; replacement?: unknown } }
  const { replacement } = correction.payload
  const root = replacement ? rootOf(entries(), correction.payload.target) : undefined
  if (!replacement || !root) return one
  const fits = payloadFitting(root.kind, replacement)
  if ('misfit' in fits) throw new Refused(422, refusals.misfit({ what: fits.misfit }), one.id)
  return { ...correction, payload: { ...correction.payload, replacement: fits.payload } }
}

/**
 * Who did what is sent: whoever is signed in, or, where they lead and say so, somebody they vouch for. What another did
 * is never taken for an act of whoever happens to be signed in.
 */
export async function doersOf(tx: Transaction, by: Person, fresh: SentEntry[]): Promise<(one: SentEntry) => Person> {
  const others = fresh.filter(one => one.by && one.by !== by.id)
  if (!others.length) return () => by
  const people = new Map((await everybody(tx)).map(one => [one.id, one]))
  for (const one of others) {
    const who = people.get(one.by!)
    if (!who) throw new Refused(422, refusals.nobody(), one.id)
    const { name } = who
    if (!who.active) throw new Refused(409, refusals.takenOut({ name }), one.id)
    if (!one.vouched) throw new Refused(409, refusals.another({ name }), one.id)
    if (by.role !== 'lead') throw new Refused(403, refusals.vouching({ name }), one.id)
    // What rests on a paper is said by whoever holds it.
    if (ACTS[one.kind].signature || claimsOf(one).length) throw new Refused(403, refusals.ownPin({ name }), one.id)
  }
  return one => (one.by && people.get(one.by)) || by
}

/** What an entry says of whoever is signed in is looked up: a paper by their name, or that nobody else leads. */
export async function checkClaims(tx: Transaction, by: SignedInPerson, fresh: SentEntry[]): Promise<void> {
  for (const one of fresh) {
    const unheld = unheldBy(by, one)
    if (unheld) throw new Refused(403, unheld, one.id)
    if (claimsOf(one).some(claim => !('competence' in claim)) && !(await isOnlyLead(tx, by.id)))
      throw new Refused(403, refusals.anotherLead(), one.id)
  }
}

/** Why something is not done on a paper: whoever did it does not hold it. Null where they do, or none is asked for. */
export function unheldBy({ competences }: SignedInPerson, one: Pick<SentEntry, 'kind' | 'payload'>): Refusal | null {
  for (const claim of claimsOf(one))
    if ('competence' in claim && !competences.some(held => isSameCompetence(held, claim.competence)))
      return refusals.paper({ paper: competenceWords(claim.competence) })
  return null
}

const claimsOf = (one: Pick<SentEntry, 'kind' | 'payload'>) =>
  (ACTS[one.kind] as ActKind<unknown>).claims?.(one.payload) ?? []

/** Whether nothing of what is sent has to be looked up: all of it is done by who sends it, and claims nothing of them. */
export const isPlain = (by: Person, fresh: readonly SentEntry[]): boolean =>
  fresh.every(one => (!one.by || one.by === by.id) && !claimsOf(one).length)
