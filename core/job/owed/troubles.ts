import type { Owing, Source } from './owing.ts'

/** What is wrong at a step, and not known yet: the step waits for it. */
export const troubles: Source = ({ plan, state }) =>
  [...state.troubles.values()].flatMap(({ step: id, sign, cleared }): Owing[] => {
    const step = plan.steps.get(id)
    if (cleared || !step || state.steps.has(id)) return []
    return [
      {
        id: { kind: 'trouble', step: id, sign },
        station: step.station,
        what: sign,
        why: `At: ${step.title}. Look again before anything is forced`,
        step: id,
        settle: { to: 'trouble', step: id },
      },
    ]
  })
