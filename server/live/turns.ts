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
