import type { Plan } from '../plan.ts'

/** What is wrong with what a sheet has done between overhauls, as sentences. */
export const serviceRules = ({ sheet, steps }: Plan): string[] => {
  const also = sheet.service.also ?? []
  return [
    ...also.flatMap(({ id, hours, months, uses, step }) => {
      const says = (words: string) => `service ${id} ${words}`
      const counted = [hours, months, uses?.every].filter(one => one !== undefined)
      const done = step === undefined ? undefined : steps.get(step)
      return [
        ...(counted.length ? [] : [says('has no interval: hours, months or uses')]),
        ...counted.filter(one => one <= 0).map(one => says(`comes round every ${one}`)),
        ...(step !== undefined && !done ? [says(`is done at an unknown step ${step}`)] : []),
        // An overhaul that is signed has done all its steps but those that were left out.
        ...(done?.skip ? [says(`is done at step ${step}, which may be left out`)] : []),
      ]
    }),
    ...[sheet.service.hours, sheet.service.months]
      .filter(one => one <= 0)
      .map(one => `an overhaul comes round every ${one}`),
  ]
}
