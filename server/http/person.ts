import type { H3Event } from 'h3'
import type { Role } from '../../core/job/index.ts'
import type { Person } from '../db/people.ts'
import { refusal } from './answer.ts'

/** Who is signed in; 401 otherwise. */
export async function signedIn(event: H3Event): Promise<Person> {
  const { user } = await getUserSession(event)
  if (!user) throw refusal(401, 'Sign in first: choose your name and give your PIN.')
  return user as Person
}

/** Who is signed in, when their role may write; 403 otherwise. */
export async function mayWrite(
  event: H3Event,
  roles: readonly Role[] = ['fitter', 'lead', 'planner', 'stores'],
): Promise<Person> {
  const person = await signedIn(event)
  if (!roles.includes(person.role)) throw refusal(403, 'Your role only looks. Ask a fitter or a lead to do it.')
  return person
}
