import { expose } from 'comlink'
import { runSum, sumNamed, type Answer, type Progress } from '~~/core/sums'
import { refuse, type Result } from '~~/core/result'

/** Long sums, off the interface thread. To stop one, the worker is ended. */
const desk = {
  run(name: string, input: unknown, progress: Progress): Result<Answer> {
    const sum = sumNamed(name)
    return sum ? runSum(sum, input, progress) : refuse(`There is no sum “${name}”. Reload the page.`)
  },
}
export type SumDesk = typeof desk
expose(desk)
