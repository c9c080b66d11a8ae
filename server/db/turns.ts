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
