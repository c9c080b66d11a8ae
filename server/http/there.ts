import { awayFault } from '../db/faults.ts'
import { pulse } from '../live/pulse.ts'
import { refusal } from './answer.ts'

/** Refuses at once while the database is known to be away: nobody waits for what cannot come. */
export async function checkThere(): Promise<void> {
  if (!pulse().isAway) return
  const away = await awayFault()
  throw refusal(away.status, away.refusal)
}
