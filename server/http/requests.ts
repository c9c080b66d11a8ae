import type { H3Event } from 'h3'
import { v7 as uuid } from 'uuid'

interface Numbered {
  needlerRequest?: { id: string; from: number }
}

/** Gives a request its number, and starts its clock. */
export function number(event: H3Event): string {
  const id = uuid()
  ;(event.context as Numbered).needlerRequest = { id, from: performance.now() }
  return id
}

export const requestOf = (event: H3Event | undefined): string | undefined =>
  (event?.context as Numbered | undefined)?.needlerRequest?.id

/** How long a request has taken so far, ms. */
export const tookMs = (event: H3Event): number =>
  Math.round(performance.now() - ((event.context as Numbered).needlerRequest?.from ?? performance.now()))
