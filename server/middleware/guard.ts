import { defineEventHandler, getHeader, getMethod, getRequestURL } from 'h3'
import { refusal } from '../http/answer.ts'
import { signedIn } from '../http/person.ts'

/** Largest body a write may have. */
const MOST_BYTES = 256 * 1024
const OPEN_ROUTES = ['/api/health', '/api/sign-in', '/api/_auth/session']
/** Sums read nothing and change nothing: scripts and spreadsheets ask without a session, from anywhere on the network. */
const isSum = (pathname: string) => /^\/api\/sums(\/|$)/.test(pathname)
const READS = ['GET', 'HEAD', 'OPTIONS']

/** Every API route needs a session save sign-in, health and sums; every write comes from our own pages and has a known, modest size. */
export default defineEventHandler(async event => {
  const { pathname } = getRequestURL(event)
  if (!pathname.startsWith('/api/')) return
  if (!READS.includes(getMethod(event))) {
    const origin = getHeader(event, 'origin')
    if (!isSum(pathname) && (!origin || hostOf(origin) !== getHeader(event, 'host')))
      throw refusal(403, 'This came from another page. Use Needler itself.')
    const length = getHeader(event, 'content-length')
    if (getHeader(event, 'transfer-encoding') || (length === undefined && getMethod(event) !== 'DELETE'))
      throw refusal(411, 'Say how long the request is.')
    if (Number(length) > MOST_BYTES)
      throw refusal(413, 'That is more than one request may hold (256 kB). Send less at a time.')
  }
  if (!OPEN_ROUTES.includes(pathname) && !isSum(pathname)) await signedIn(event)
})

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null
}
