import { defineEventHandler, getRequestIP, getRouterParam, readBody } from 'h3'
import { answerSum } from '#shared/sums'
import { refusal } from '../../http/answer.ts'
import { sumLimit } from '../../live/limits.ts'

export default defineEventHandler(async event => {
  const address = getRequestIP(event) ?? 'unknown'
  const isFree = await sumLimit()
    .consume(address)
    .then(
      () => true,
      (full: unknown) => {
        if (full instanceof Error) throw full
        return false
      },
    )
  if (!isFree)
    throw refusal(429, 'Too many requests from here this minute. Send the inputs as one list, or wait a minute.')
  const body: unknown = await readBody(event).catch(() => undefined)
  const answer = answerSum(getRouterParam(event, 'name') ?? '', body)
  if (!answer.ok) throw refusal(answer.status, answer.why)
  // Long sums count for more of the minute.
  if (answer.work > 1e6) await sumLimit().penalty(address, Math.ceil(answer.work / 1e6))
  return answer.value
})
