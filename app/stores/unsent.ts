import { defineStore } from 'pinia'
import { nextFor, type Outbox } from '~/bench/outbox'
import { pauseAfter } from '~/bench/pauses'
import { sendBatch } from '~/bench/sending'
import { dropBatch, leftOutboxes } from '~/device/outbox'

/**
 * What benches that are not open left on this device. It goes out from whatever page is open; what is refused, or waits for
 * another's PIN, stays until its bench is opened, where it is said.
 */
export const useUnsentStore = defineStore('unsent', () => {
  const session = useSessionStore()
  const waits = useWaitsStore()
  const router = useRouter()
  /** By job: how many presses lie here, refused ones with them. */
  const left = shallowRef<ReadonlyMap<string, number>>(new Map())
  let failures = 0
  let again: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | null = null

  async function look() {
    const all = await leftOutboxes()
    // An open bench sends its own.
    all.delete(String(router.currentRoute.value.params.id))
    left.value = new Map([...all].map(([job, outbox]) => [job, outbox.length]))
    return all
  }

  /** Sends one job's, the oldest first. False where nobody could be asked, and so for the others. */
  async function sendFor(job: string, outbox: Outbox): Promise<boolean> {
    let rest = outbox
    for (let batch = nextFor(rest, session.signedIn); batch; batch = nextFor(rest, session.signedIn)) {
      const { act } = batch
      try {
        await sendBatch(job, batch)
      } catch (error) {
        const { statusCode = 0 } = error as { statusCode?: number }
        return statusCode >= 400 && statusCode < 500 && statusCode !== 401 && statusCode !== 429
      }
      await dropBatch(act)
      rest = rest.filter(one => one.act !== act)
    }
    return true
  }

  async function sendAll(): Promise<void> {
    clearTimeout(again)
    const all = await look()
    if (!all.size || !session.signedIn) return
    for (const [job, outbox] of all) {
      if (await sendFor(job, outbox)) continue
      again = setTimeout(() => void flush(), pauseAfter(++failures, Math.random()))
      break
    }
    await look()
    await waits.ask()
  }

  const flush = () =>
    (sending ??= sendAll().finally(() => {
      sending = null
    }))

  useEventListener(window, 'online', () => void flush())
  watch([() => session.signedIn?.id, () => router.currentRoute.value.path], () => void flush())
  return { left, flush }
})
