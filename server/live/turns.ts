/** Lets those who come for one thing at it one after the other, in the order they came; those for another do not wait. */
export function turns() {
  const last = new Map<string, Promise<unknown>>()
  return <T>(name: string, act: () => Promise<T>): Promise<T> => {
    const mine = (last.get(name) ?? Promise.resolve()).then(act, act)
    const done = mine.catch(() => {})
    last.set(name, done)
    void done.then(() => {
      if (last.get(name) === done) last.delete(name)
    })
    return mine
  }
}

/** Lets so many in at once; the others wait in the order they came. `ready` is waited for before each. */
export function room(most: number, ready: () => Promise<void> = () => Promise.resolve()) {
  let free = most
  const waiting: (() => void)[] = []
  return async <T>(act: () => Promise<T>): Promise<T> => {
    if (free > 0) free--
    else await new Promise<void>(resolve => waiting.push(resolve))
    try {
      await ready()
      return await act()
    } finally {
      const next = waiting.shift()
      if (next) next()
      else free++
    }
  }
}

/** Said to whoever may not even wait: too many do already, of their own or over all. */
export class TooMany extends Error {}

/** Somebody who waits to be let in. */
interface Waiting {
  enter: () => void
  /** Is told how many go before. */
  told: (before: number) => void
}

/**
 * Lets so many in at once; the names that wait are gone through by turns, so that nobody's many keep out another's one.
 * @param most how many are in at once
 * @param waiting how many may wait, of one name and over all
 */
export function fairRoom(most: number, waiting: { each: number; all: number }) {
  let inside = 0
  const lines = new Map<string, Waiting[]>()

  /** All that wait, in the order they will come in. */
  function inOrder(): Waiting[] {
    const queues = [...lines.values()]
    const longest = Math.max(0, ...queues.map(line => line.length))
    return Array.from({ length: longest }, (_, i) => queues.flatMap(line => line[i] ?? [])).flat()
  }
  const tell = () => inOrder().forEach((one, before) => one.told(before + inside))

  function add(name: string, one: Waiting): void {
    const line = lines.get(name) ?? []
    if (line.length >= waiting.each || inOrder().length >= waiting.all) throw new TooMany()
    lines.set(name, [...line, one])
  }
  function remove(name: string, one: Waiting): void {
    const left = (lines.get(name) ?? []).filter(other => other !== one)
    if (left.length) lines.set(name, left)
    else lines.delete(name)
  }
  function next(): void {
    const [first] = lines
    if (inside >= most || !first) return
    const [name, [one, ...rest]] = first
    // A name that has had its turn stands behind the others.
    lines.delete(name)
    if (rest.length) lines.set(name, rest)
    inside++
    one!.enter()
  }

  /** Waits to be let in. Rejected with the signal's reason when it is aborted before that. */
  const turn = (name: string, told: Waiting['told'], gone: AbortSignal) =>
    new Promise<void>((resolve, reject) => {
      const leave = () => {
        remove(name, one)
        tell()
        reject(gone.reason as Error)
      }
      const one: Waiting = {
        told,
        enter: () => {
          gone.removeEventListener('abort', leave)
          resolve()
        },
      }
      add(name, one)
      gone.addEventListener('abort', leave, { once: true })
      next()
      tell()
    })

  return async <T>(
    name: string,
    act: () => Promise<T>,
    told: Waiting['told'] = () => {},
    gone: AbortSignal = new AbortController().signal,
  ): Promise<T> => {
    gone.throwIfAborted()
    await turn(name, told, gone)
    try {
      return await act()
    } finally {
      inside--
      next()
      tell()
    }
  }
}

/**
 * Those who are quick go first: `counted` says that one of them is at work, `quiet` waits until none is, or so long, ms,
 * so that those who wait for them come in however many there are.
 */
export function quickFirst(longestMs: number) {
  let working = 0
  const waiting = new Set<() => void>()
  const counted = async <T>(act: () => Promise<T>): Promise<T> => {
    working++
    try {
      return await act()
    } finally {
      if (--working === 0) for (const one of [...waiting]) one()
    }
  }
  const quiet = (): Promise<void> =>
    working
      ? new Promise(resolve => {
          const go = () => {
            clearTimeout(timer)
            waiting.delete(go)
            resolve()
          }
          const timer = setTimeout(go, longestMs)
          waiting.add(go)
        })
      : Promise.resolve()
  return { counted, quiet }
}

/**
 * An answer, or after so long a fault that says it took too long (`query_canceled`): a connection that was cut at the wrong
 * moment may leave a question without one.
 */
export async function within<T>(longestMs: number, answer: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(Object.assign(new Error('no answer in time'), { code: '57014' })), longestMs)
  })
  return Promise.race([answer, late]).finally(() => clearTimeout(timer))
}
