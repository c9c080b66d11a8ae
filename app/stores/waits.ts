import { defineStore } from 'pinia'
import type { RunningWait } from '~~/shared/answers'
import { deviceClock } from '~/bench/clock'
import { askOrKept } from '~/device/answers'

const MINUTE = 60_000

/** What waits over all open jobs, and what time it is. Asked for anew every minute; without the network as it was last told. */
export const useWaitsStore = defineStore('waits', () => {
  const session = useSessionStore()
  const running = shallowRef<RunningWait[]>([])
  const now = ref(deviceClock.now())

  async function ask(): Promise<void> {
    if (!session.person) return
    await askOrKept<RunningWait[]>('/api/waits').then(
      ({ value }) => {
        running.value = value
      },
      () => {},
    )
  }

  const over = computed(() => running.value.filter(one => !one.leastAt || one.leastAt <= now.value))
  useIntervalFn(() => {
    now.value = deviceClock.now()
  }, MINUTE / 6)
  useIntervalFn(() => void ask(), MINUTE)
  watch(
    () => session.person?.id,
    () => void ask(),
    { immediate: true },
  )
  return { running, over, now, ask }
})
