import type { H3Event } from 'h3'

const signals = new WeakMap<H3Event, AbortSignal>()

/** Tells when whoever asked is gone before they have their answer; also where they went before anybody looked. */
export function gone(event: H3Event): AbortSignal {
  const known = signals.get(event)
  if (known) return known
  const { res, req } = event.node
  const left = new AbortController()
  const look = () => res.writableFinished || left.abort()
  if (req.socket.destroyed || res.destroyed) left.abort()
  else res.once('close', look)
  signals.set(event, left.signal)
  return left.signal
}
