import { defineEventHandler, getMethod, getRequestPath, setResponseHeader } from 'h3'
import routes from '#needler/routes'
import { refusalsAbout } from '../../core/refusal.ts'
import { refusal } from '../http/answer.ts'

/** A path as it is written in the files, as a pattern of addresses. */
const patternOf = (path: string) => new RegExp(`^${path.replace(/[.]/g, '\\.').replace(/\[\w+\]/g, '[^/]+')}/?$`)

const allowed = [...new Set(routes.map(one => one.path))].map(path => ({
  pattern: patternOf(path),
  methods: routes.filter(one => one.path === path).map(one => one.method),
}))

const refusals = refusalsAbout('address', {
  method: ({ methods }: { methods: string }) => `That is not done here. This address takes: ${methods}.`,
})

/** What may be done at an address is said to whoever asks for something else there. */
export default defineEventHandler(event => {
  const path = getRequestPath(event).split('?')[0]!
  const found = path.startsWith('/api/') ? allowed.find(one => one.pattern.test(path)) : undefined
  if (!found || found.methods.includes(getMethod(event))) return
  setResponseHeader(event, 'allow', found.methods.join(', '))
  throw refusal(405, refusals.method({ methods: found.methods.join(', ') }))
})
