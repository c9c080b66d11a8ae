import { ACTS, type EntryKind } from '~~/core/job'

/** Whether the one who is signed in may do an act of a kind; the act itself says who. */
export function useMay(): (kind: EntryKind) => boolean {
  const session = useSessionStore()
  return kind => session.person !== null && ACTS[kind].by.includes(session.person.role)
}
