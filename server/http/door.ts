import { getHeader, getMethod, setResponseHeader, type H3Event } from 'h3'
import { config } from '../config.ts'
import { refusal } from './answer.ts'

/** Largest body a write may have. */
const MOST_BYTES = 256 * 1024
const READS = ['GET', 'HEAD', 'OPTIONS']

export const isWrite = (event: H3Event) => !READS.includes(getMethod(event))

/** A write says how long it is before it is read, and is of a modest size. */
export function checkSize(event: H3Event): void {
  const length = getHeader(event, 'content-length')
  const refused = (status: number, why: string) => {
    // What is still to come is not read: the connection ends with the answer.
    setResponseHeader(event, 'connection', 'close')
    event.node.res.once('finish', () => event.node.req.socket.destroySoon())
    return refusal(status, why)
  }
  if (getHeader(event, 'transfer-encoding') || (length === undefined && getMethod(event) !== 'DELETE'))
    throw refused(411, 'Say how long the request is.')
  if (Number(length) > MOST_BYTES)
    throw refused(413, 'That is more than one request may hold (256 kB). Send less at a time.')
}

/** A write that rides on a session comes from our own pages: same scheme, same host. */
export function checkOrigin(event: H3Event): void {
  const ours = `${config().isHttps ? 'https' : 'http'}://${getHeader(event, 'host')}`
  const origin = getHeader(event, 'origin')
  if (!origin || origin.toLowerCase() !== ours.toLowerCase())
    throw refusal(403, 'This came from another page. Use Needler itself.')
}
