import { proxy, wrap, type Remote } from 'comlink'
import type { Answer } from '~~/core/sums'
import type { Result } from '~~/core/result'
import type { SumDesk } from '~/workers/sums.worker'

/** Works a long sum out in a web worker: how far it is, and a way to stop it. One at a time; a new one ends the old. */
export function useSumWorker() {
  const progress = ref<number | null>(null)
  const stopped = ref(false)
  let worker: Worker | null = null
  let desk: Remote<SumDesk> | null = null
  let turn = 0
  let release: ((none: null) => void) | null = null

  function end() {
    // An ended worker never answers: whoever waits for it is let go.
    release?.(null)
    worker?.terminate()
    worker = null
    desk = null
    progress.value = null
  }

  /** The answer, or null when it was stopped or overtaken. */
  async function run(name: string, input: unknown): Promise<Result<Answer> | null> {
    const mine = ++turn
    if (progress.value !== null) end()
    stopped.value = false
    progress.value = 0
    worker ??= new Worker(new URL('../workers/sums.worker.ts', import.meta.url), { type: 'module' })
    desk ??= wrap<SumDesk>(worker)
    const ended = new Promise<null>(resolve => {
      release = resolve
    })
    const answer = await Promise.race([
      ended,
      desk.run(
        name,
        JSON.parse(JSON.stringify(input)),
        proxy(share => {
          // A report may come after the answer.
          if (mine === turn && progress.value !== null) progress.value = share
        }),
      ) as Promise<Result<Answer>>,
    ])
    if (mine !== turn) return null
    progress.value = null
    return answer
  }
  function stop() {
    turn++
    end()
    stopped.value = true
  }
  onScopeDispose(() => {
    turn++
    end()
  })
  return { progress, stopped, run, stop }
}
