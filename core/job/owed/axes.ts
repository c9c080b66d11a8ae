import type { Owing, Source } from './owing.ts'

/** What is still to be decided of the machine or of how far it is taken; what hangs on it waits. */
export const axes: Source = ({ plan }) =>
  plan.sheet.axes.flatMap(({ id, title, decided }): Owing[] => {
    const step = decided && !plan.variants[id] ? plan.steps.get(decided.step) : undefined
    return step
      ? [
          {
            id: { kind: 'axis', axis: id },
            station: step.station,
            what: title,
            why: decided!.ask,
            step: step.id,
            settle: { to: 'axis', axis: id },
            who: decided!.by ?? 'fitter',
          },
        ]
      : []
  })
