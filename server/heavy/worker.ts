import { setPriority } from 'node:os'
import { workerData } from 'node:worker_threads'
import workerpool from 'workerpool'
import type { Fonts } from '../reports/fonts.ts'
import { TASKS } from './tasks.ts'

/** A worker thread of the server, built into a file of its own (`nuxt.config.ts`). It gives way to whoever answers requests. */
try {
  setPriority(10)
} catch {
  // Where that may not be said, the system shares as it thinks fit.
}

const { fonts } = workerData as { fonts: Fonts }
/** How far a piece of work is is told no oftener than somebody could see. */
const TELL_EVERY_MS = 150

const served = Object.fromEntries(
  Object.entries(TASKS).map(([name, task]) => [
    name,
    (given: never) => {
      let last = performance.now()
      return task(given, fonts, share => {
        if (performance.now() - last < TELL_EVERY_MS) return
        last = performance.now()
        workerpool.workerEmit({ share })
      })
    },
  ]),
)
workerpool.worker(served)
