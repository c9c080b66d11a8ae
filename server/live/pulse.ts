import { letGo, whichDatabase } from '../db/client.ts'
import { forgetJobs } from '../db/folded.ts'
import { forgetSheets } from '../db/sheets.ts'

export type Change = 'away' | 'back'

/** How a pulse is taken: what to ask, how often, how long to wait, and what to do when the answer changes. */
export interface PulseWays {
  /** Which database answers: another start of it is another one. */
  ask: () => Promise<string>
  /** It is gone or hangs: let go of the connections. */
  lost: () => Promise<unknown>
  /** It is back, or another: nothing that was known of it holds. */
  found: () => unknown
  everyMs?: number
  deadlineMs?: number
}

/**
 * Asks again and again whether the database answers. It is away after one question that failed or was not answered in
 * time, and back with the first answer.
 */
export class Pulse {
  private timer: ReturnType<typeof setTimeout> | undefined
  private asking: Promise<void> | undefined
  private isStopped = false
  private which: string | undefined
  private readonly listeners = new Set<(how: Change) => void>()
  isAway = false

  constructor(private readonly ways: PulseWays) {}

  start(): this {
    void this.look()
    return this
  }

  stop(): void {
    this.isStopped = true
    clearTimeout(this.timer)
  }

  /** Looks now; who looks while somebody looks already gets the same answer. */
  look(): Promise<void> {
    clearTimeout(this.timer)
    return (this.asking ??= this.once().finally(() => {
      this.asking = undefined
      if (this.isStopped) return
      this.timer = setTimeout(() => void this.look(), this.isAway ? 300 : (this.ways.everyMs ?? 750))
      this.timer.unref?.()
    }))
  }

  private async once(): Promise<void> {
    const which = await inTime(this.ways.ask, this.ways.deadlineMs ?? 1250)
    if (this.isStopped) return
    const was = this.isAway
    this.isAway = which === null
    if (which === null) {
      // A question that hangs keeps its connection: let go of it each time, and of all that waits behind it.
      await this.ways.lost()
      if (!was) this.tell('away')
      return
    }
    const isAnother = this.which !== undefined && this.which !== which
    this.which = which
    if (!was && !isAnother) return
    this.ways.found()
    this.tell('back')
  }

  private tell(how: Change): void {
    for (const listener of [...this.listeners]) listener(how)
  }

  /** Calls back when the database goes and when it comes; returns what ends that. */
  onChange(listener: (how: Change) => void): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
}

/**
 * The answer, or null when it failed or did not come before the deadline. A process that was busy itself gives what has
 * arrived meanwhile its chance first.
 */
function inTime(ask: () => Promise<string>, ms: number): Promise<string | null> {
  return new Promise(resolve => {
    const timer = setTimeout(() => setImmediate(() => setImmediate(() => resolve(null))), ms)
    ask()
      .then(resolve, () => resolve(null))
      .finally(() => clearTimeout(timer))
  })
}

function forgetAll(): void {
  forgetJobs()
  forgetSheets()
}

let taken: Pulse | undefined

/** The pulse of this process's database. */
export const pulse = (): Pulse => (taken ??= new Pulse({ ask: whichDatabase, lost: letGo, found: forgetAll }))
