import type { AnyEntry } from '~~/core/job'
import type { AppendAnswer, SentEntry } from '~~/shared/answers'
import type { Batch } from './outbox'

/** An entry as it is sent. */
export const sentAs = ({ id, kind, payload, act, madeAt, seen, tablet, clock }: AnyEntry): SentEntry => ({
  ...{ id, kind, payload, act, madeAt },
  ...(seen === undefined ? {} : { seen }),
  ...(tablet === undefined ? {} : { tablet }),
  ...(clock ? { clock } : {}),
})

/** Whether the server said no to an act itself: not to who is signed in, nor to how much was asked of it. */
export function isRefusal(error: unknown): boolean {
  const { statusCode = 0 } = error as { statusCode?: number }
  return statusCode >= 400 && statusCode < 500 && statusCode !== 401 && statusCode !== 429
}

/** Sends what was done with one press, in the name of whoever is signed in. Sent again, it is answered as the first time. */
export function sendBatch(job: string, { entries, vouched }: Batch): Promise<AppendAnswer> {
  const more = vouched ? { vouched: true } : {}
  const body = entries.map(one => ({ ...sentAs(one), by: one.madeBy, ...more }))
  return $fetch<AppendAnswer>(`/api/jobs/${job}/entries`, { method: 'POST', body })
}
