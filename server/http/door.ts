import { getHeader, getMethod, setResponseHeader, type H3Event } from 'h3'
import { refusalsAbout, type Refusal } from '../../core/refusal.ts'
import { config } from '../config.ts'
import { refusal } from './answer.ts'

const refusals = refusalsAbout('door', {
  length: () => 'Say how long the request is.',
  tooLarge: ({ most }: { most: string }) => `That is more than one request may hold (${most}). Send less at a time.`,
  origin: () => 'This came from another page. Use Needler itself.',
})

/** Largest body a write may have, where its route does not say otherwise. */
export const MOST_BYTES = 256 * 1024
const READS = ['GET', 'HEAD', 'OPTIONS']

export const isWrite = (event: H3Event) => !READS.includes(getMethod(event))

const sizeWords = (bytes: number) => (bytes < 1024 * 1024 ? `${bytes / 1024} kB` : `${bytes / (1024 * 1024)} MB`)

/** A write says how long it is before it is read, and is no larger than its route takes, bytes. */
export function checkSize(event: H3Event, most: number): void {
  const length = getHeader(event, 'content-length')
  const refused = (status: number, what: Refusal) => {
    // What is still to come is not read: the connection ends with the answer.
    setResponseHeader(event, 'connection', 'close')
    event.node.res.once('finish', () => event.node.req.socket.destroySoon())
    return refusal(status, what)
  }
  if (getHeader(event, 'transfer-encoding') || (length === undefined && getMethod(event) !== 'DELETE'))
    throw refused(411, refusals.length())
  if (Number(length) > most) throw refused(413, refusals.tooLarge({ most: sizeWords(most) }))
}

/** A write that rides on a session comes from our own pages: same scheme, same host. */
export function checkOrigin(event: H3Event): void {
  const ours = `${config().isHttps ? 'https' : 'http'}://${getHeader(event, 'host')}`
  const origin = getHeader(event, 'origin')
  if (!origin || origin.toLowerCase() !== ours.toLowerCase()) throw refusal(403, refusals.origin())
}
