import { getRouterParam, readBody } from 'h3'
import { answerSum, isLong, type Answered } from '#shared/sums'
import { refusalsAbout } from '../../../core/refusal.ts'
import { refusal } from '../../http/answer.ts'
import { answerHeavily } from '../../http/heavy.ts'
import { staysOpen } from '../../http/queues.ts'
import { route } from '../../http/route.ts'
import { spendSums } from '../../live/limits.ts'

const refusals = refusalsAbout('sums', {
  tooMany: () => 'Too many requests from here this minute. Send the inputs as one list, or wait a minute.',
})

/** A short sum is worked out here, a long one in a worker thread. */
export default route(
  'signed in or key',
  async (event, by) => {
    const caller = by?.id ?? (event.context.needlerKey as string)
    if (!(await spendSums(caller))) throw refusal(429, refusals.tooMany())
    const name = getRouterParam(event, 'name') ?? ''
    const body: unknown = await readBody(event).catch(() => undefined)
    const answered = async (answer: Answered) => {
      if (!answer.ok) throw refusal(answer.status, answer.refusal)
      // Long sums count for more of the minute.
      if (answer.work > 1e6) await spendSums(caller, Math.ceil(answer.work / 1e6))
      return answer.value
    }
    return isLong(name, body)
      ? answerHeavily(event, { task: 'sum', who: caller, given: async () => ({ name, body }) }, answered)
      : answered(answerSum(name, body))
  },
  staysOpen,
)
