import { defineStore } from 'pinia'
import { nextFor, type Outbox } from '~/bench/outbox'
import { pauseAfter } from '~/bench/pauses'
import { isRefusal, sendBatch } from '~/bench/sending'
import { dropBatch, leftOutboxes } from '~/device/outbox'

/**
 * What benches that are not open left on this device. It goes out from whatever page is open; what is refused, or waits for
 * another's PIN, stays until its bench is opened, where it is said.
 */
export const useUnsentStore = defineStore('unsent', () => {
  const session = useSessionStore()
  const waits = useWaitsStore()
  const router = useRouter()
  /** By job: how many acts lie here, those that were refused with them. */
  const left = shallowRef<ReadonlyMap<string, number>>(new Map())
  /** Acts that were refused once, by number: asked again only from their bench. */
  const refused = new Set<string>()
  let failures = 0
  let again: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | null = null
  let isAskedMeanwhile = false

  async function look(): Promise<Map<string, Outbox>> {
    const all = await leftOutboxes()
    // An open bench sends its own.
    all.delete(String(router.currentRoute.value.params.id))
    left.value = new Map([...all].map(([job, outbox]) => [job, outbox.length]))
    return all
  }

  /** Sends what one job has waiting, the oldest first; over at the first that is refused. */
  async function sendFor(job: string, outbox: Outbox): Promise<void> {
    const batch = nextFor(outbox, session.signedIn)
    if (!batch || refused.has(batch.act)) return
    try {
      await sendBatch(job, batch)
    } catch (error) {
      if (!isRefusal(error)) throw error
      refused.add(batch.act)
      return
    }
    failures = 0
    await dropBatch(batch.act)
    await sendFor(
      job,
      outbox.filter(one => one !== batch),
    )
  }

  async function sendAll(): Promise<void> {
    clearTimeout(again)
    const all = await look()
    if (!all.size || !session.signedIn) return
    try {
      for (const [job, outbox] of all) await sendFor(job, outbox)
    } catch (error) {
      // Nobody is signed in any more: it goes once somebody is.
      const isSignedOut = (error as { statusCode?: number }).statusCode === 401
      if (!isSignedOut) again = setTimeout(() => void flush(), pauseAfter(++failures, Math.random()))
    }
    const now = await look()
    if (now.size < all.size) await waits.ask()
  }

  /** Sends what lies here; asked for while that goes on, it is gone through once more. */
  function flush(): Promise<void> {
    if (sending) isAskedMeanwhile = true
    return (sending ??= sendAll().finally(() => {
      sending = null
      if (!isAskedMeanwhile) return
      isAskedMeanwhile = false
      void flush()
    }))
  }

  useEventListener(window, 'online', () => void flush())
  watch([() => session.signedIn?.id, () => router.currentRoute.value.path], () => void flush())
  return { left, flush }
})
