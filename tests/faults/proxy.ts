import { connect, createServer, type Socket } from 'node:net'

/** A way to a port of this machine that can be cut, held up and mended again. */
export interface Way {
  port: number
  /** Ends every connection, and lets nobody in. */
  cut: () => void
  /** Lets everybody in and passes nothing on, as a machine does that has stopped. */
  hold: () => void
  mend: () => void
  /** Ends every connection there is; new ones are let in. */
  shake: () => void
  close: () => Promise<void>
}

export function wayTo(target: number): Promise<Way> {
  let how: 'open' | 'cut' | 'held' = 'open'
  const pairs = new Set<[Socket, Socket]>()
  const server = createServer(near => {
    near.on('error', () => {})
    if (how === 'cut') return near.destroy()
    const far = connect(target, '127.0.0.1')
    const pair: [Socket, Socket] = [near, far]
    pairs.add(pair)
    far.on('error', () => near.destroy())
    for (const [from, to] of [pair, [far, near] as const]) {
      from.on('close', () => {
        pairs.delete(pair)
        to.destroy()
      })
      from.pipe(to)
      if (how === 'held') from.pause()
    }
    if (how === 'held') pair.forEach(one => one.unpipe())
  })
  const destroyAll = () => pairs.forEach(pair => pair.forEach(one => one.destroy()))
  return new Promise(resolve => {
    server.listen(0, '127.0.0.1', () =>
      resolve({
        port: (server.address() as { port: number }).port,
        cut: () => {
          how = 'cut'
          destroyAll()
        },
        hold: () => {
          how = 'held'
          for (const pair of pairs)
            for (const one of pair) {
              one.unpipe()
              one.pause()
            }
        },
        mend: () => {
          // What was held is lost, as it is when a machine is restarted.
          if (how === 'held') destroyAll()
          how = 'open'
        },
        shake: destroyAll,
        close: () =>
          new Promise(done => {
            destroyAll()
            server.close(() => done())
          }),
      }),
    )
  })
}
