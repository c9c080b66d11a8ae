import { defineEventHandler, getHeader } from 'h3'
import { refusalsAbout } from '../../core/refusal.ts'
import { config, isOurHost } from '../config.ts'
import { refusal } from '../http/answer.ts'

const refusals = refusalsAbout('name', {
  host: () => 'Needler is not served under that name. Allow it with NEEDLER_HOSTS, or use its address.',
})

/** Pages and answers go out under our own names only: a name that somebody else points here gets nothing. */
export default defineEventHandler(event => {
  if (!isOurHost(getHeader(event, 'host'), config())) throw refusal(403, refusals.host())
})
