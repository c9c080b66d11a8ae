import { getMethod, getResponseStatus, setResponseHeader } from 'h3'
import { log, plainError } from '../http/log.ts'
import { number, requestOf, tookMs } from '../http/requests.ts'

/** Every request has a number, on its answer and in the log; nothing of what it carries is logged. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => setResponseHeader(event, 'x-request-id', number(event)))
  nitro.hooks.hook('afterResponse', event => {
    const route = event.context.matchedRoute?.path
    if (!route) return
    const [request, method, status] = [requestOf(event), getMethod(event), getResponseStatus(event)]
    log().debug({ request, method, route, status, ms: tookMs(event) })
  })
  // What a route did not catch: a page, a plugin.
  nitro.hooks.hook('error', (error, { event }) => {
    const status = (error as { statusCode?: number }).statusCode ?? 500
    if (status >= 500 && (error as { unhandled?: boolean }).unhandled)
      log().error({ request: requestOf(event), err: plainError(error) }, 'a request failed')
  })
})
