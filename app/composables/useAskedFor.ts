import { competenceFor, qualified, signerWords, type Competence, type Role } from '~~/core/job'
import type { Doer, Hold } from '~~/core/sheet'
import { deviceClock } from '~/bench/clock'

/** Whom a sheet asks for, to do a step or to sign for it: whoever is here, or somebody else. */
export function useAskedFor() {
  const session = useSessionStore()

  /** Somebody as the one who is asked for: on which paper, and whether they may. */
  function as(wanted: Hold | Doer, { role, competences }: { role: Role; competences: readonly Competence[] }) {
    const now = deviceClock.now()
    const on = competenceFor(wanted, competences, now)
    return { on, may: qualified(wanted, role, on, now) === 'yes' }
  }

  /** Whoever is here as the one who is asked for; null where nobody is here. */
  const here = (wanted: Hold | Doer) =>
    session.person && as(wanted, { role: session.person.role, competences: session.papers })

  /** Who is asked for, in words, where that is not whoever is here. */
  const other = (wanted: Hold | Doer | undefined): string | null =>
    wanted && here(wanted)?.may === false ? signerWords(wanted) : null

  return { as, here, other }
}
