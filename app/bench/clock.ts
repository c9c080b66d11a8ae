/** Smaller differences are the network's, not the clock's. */
const SMALL_MS = 2000

interface Measured {
  behindMs: number
  measuredAt: string
}

const KEPT = 'needler-clock'
/** As it was measured before this page was opened: without the network it may not be for long. */
function kept(): Measured | null {
  try {
    const { behindMs, measuredAt } = JSON.parse(localStorage.getItem(KEPT)!) as Measured
    return Number.isInteger(behindMs) && Date.parse(measuredAt) > 0 ? { behindMs, measuredAt } : null
  } catch {
    return null
  }
}

/** How far this device was behind the server when that was last measured, and when that was. */
let measured = kept()
const offMs = () => (measured && Math.abs(measured.behindMs) > SMALL_MS ? measured.behindMs : 0)

/** This device's clock, set right by the server's. */
export const deviceClock = {
  /** Measures how far this device is off, halfway between asking and hearing. Without an answer the last measure stays. */
  async measure(): Promise<void> {
    const asked = Date.now()
    const answer = await $fetch<{ now: string }>('/api/health').catch(() => null)
    if (!answer) return
    const behindMs = Math.round(Date.parse(answer.now) - (asked + Date.now()) / 2)
    measured = { behindMs, measuredAt: answer.now }
    try {
      localStorage.setItem(KEPT, JSON.stringify(measured))
    } catch {
      // A browser that keeps nothing measures anew.
    }
  },
  now: (): string => new Date(Date.now() + offMs()).toISOString(),
  /** What was last measured; null where the server never answered. */
  measured: () => measured,
}
