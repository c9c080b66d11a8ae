import { getHeader, getRouterParam, readBody } from 'h3'
import { answerSum } from '#shared/sums'
import { refusal } from '../../http/answer.ts'
import { route } from '../../http/route.ts'
import { spendSums } from '../../live/limits.ts'

export default route('signed in or key', async (event, by) => {
  const caller = by?.id ?? getHeader(event, 'authorization')!
  if (!(await spendSums(caller)))
    throw refusal(429, 'Too many requests from here this minute. Send the inputs as one list, or wait a minute.')
  const body: unknown = await readBody(event).catch(() => undefined)
  const answer = answerSum(getRouterParam(event, 'name') ?? '', body)
  if (!answer.ok) throw refusal(answer.status, answer.why)
  // Long sums count for more of the minute.
  if (answer.work > 1e6) await spendSums(caller, Math.ceil(answer.work / 1e6))
  return answer.value
})
