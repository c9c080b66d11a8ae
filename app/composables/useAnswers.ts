import type { MateAnswer } from '~~/core/job'
import type { Step } from '~~/core/sheet'

/** Answers on how each part stands, given on the pad and sent when the step is confirmed. Kept through a reload. */
export function useAnswers() {
  const job = useJobStore()
  const given = useLocalStorage<Record<string, MateAnswer>>(() => `needler-answers-${job.about?.job.id}`, {})
  const key = (part: string, mate: string) => `${part} ${mate}`

  const asked = (part: string) => (job.plan?.matesOf.get(part) ?? []).filter(mate => mate.rule.kind !== 'free')
  const of = (part: string) => asked(part).flatMap(mate => given.value[key(part, mate.id)] ?? [])
  const complete = (step: Step) =>
    (step.fits ?? [])
      .filter(part => job.state.parts.get(part)?.where === 'off')
      .every(part => of(part).length === asked(part).length)
  function give(part: string, answer: MateAnswer) {
    given.value = { ...given.value, [key(part, answer.mate)]: answer }
  }
  return { asked, of, complete, give }
}
