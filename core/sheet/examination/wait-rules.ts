import { durationMs } from '../duration.ts'
import type { Plan } from '../plan.ts'

/** What is wrong with what a sheet lets stand for a time, as sentences. */
export const waitRules = ({ sheet, checksAt }: Plan): string[] =>
  sheet.steps.flatMap(({ id, wait, starts, trial }) => {
    if (!wait) return []
    const { least, most, once = [] } = wait
    const here = new Set((checksAt.get(id) ?? []).map(({ check }) => check.id))
    const says = (words: string) => `the wait of step ${id} ${words}`
    return [
      ...(least === undefined && most === undefined ? [says('has neither a shortest nor a longest time')] : []),
      ...([least, most].some(one => one !== undefined && !durationMs(one)) ? [says('takes no time')] : []),
      ...(least !== undefined && most !== undefined && durationMs(least) > durationMs(most)
        ? [says(`is shorter at the longest than at the shortest: ${least} to ${most}`)]
        : []),
      ...once
        .filter(check => !here.has(check))
        .map(check => says(`begins once ${check} is read, which is not read there`)),
      ...(starts || trial ? [says('belongs to a step of its own, beside what is started or tried')] : []),
    ]
  })
