/** Smaller differences are the network's, not the clock's. */
const SMALL_MS = 2000

let offsetMs = 0

/** This device's clock, set right by the server's. */
export const deviceClock = {
  /** Measures how far this device is off, halfway between asking and hearing. Without an answer the last measure stays. */
  async measure(): Promise<void> {
    const asked = Date.now()
    const answer = await $fetch<{ now: string }>('/api/health').catch(() => null)
    if (!answer) return
    const off = Date.parse(answer.now) - (asked + Date.now()) / 2
    offsetMs = Math.abs(off) > SMALL_MS ? off : 0
  },
  now: (): string => new Date(Date.now() + offsetMs).toISOString(),
}
