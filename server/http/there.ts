import { awayWords } from '../db/faults.ts'
import { pulse } from '../live/pulse.ts'
import { refusal } from './answer.ts'

/** Refuses at once while the database is known to be away: nobody waits for what cannot come. */
export async function checkThere(): Promise<void> {
  if (!pulse().isAway) return
  const { status, why } = await awayWords()
  throw refusal(status, why)
}
