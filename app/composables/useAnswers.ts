import { refitsOf, type MateAnswer } from '~~/core/job'
import type { Step } from '~~/core/sheet'

/** Answers on how each part of a step stands, given on the pad and sent when the step is confirmed. Kept through a reload. */
export function useAnswers() {
  const job = useJob()
  const given = useLocalStorage<Record<string, MateAnswer>>(`needler-answers-${job.id}`, {})
  const key = (part: string, mate: string) => `${part} ${mate}`

  const asked = (step: Step) => refitsOf(job.plan, job.state, step)
  const of = (part: string) => (job.plan.matesOf.get(part) ?? []).flatMap(mate => given.value[key(part, mate.id)] ?? [])
  const complete = (step: Step) =>
    asked(step).every(({ part, asked: mates }) => mates.every(mate => given.value[key(part, mate.id)]))
  function give(part: string, answer: MateAnswer) {
    given.value = { ...given.value, [key(part, answer.mate)]: answer }
  }
  /** What was answered is kept with the step; the next time it is asked anew. */
  function forget(step: Step) {
    const parts = new Set(step.fits ?? [])
    given.value = Object.fromEntries(Object.entries(given.value).filter(([name]) => !parts.has(name.split(' ')[0]!)))
  }
  return { asked, of, complete, give, forget }
}
