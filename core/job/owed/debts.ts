import type { Owing, Source } from './owing.ts'

/** What a step left loose, parked or put in for the time being. It is paid by its own step, so it holds up only what comes after. */
export const debts: Source = ({ plan, state }) =>
  plan.sheet.steps
    .filter(step => state.steps.has(step.id))
    .flatMap(step =>
      (step.leaves ?? [])
        .filter(debt => !state.steps.has(debt.until))
        .map((debt): Owing => ({
          id: { kind: 'debt', debt: debt.id },
          station: plan.steps.get(debt.until)!.station,
          what: debt.what,
          why: `Until: ${plan.steps.get(debt.until)!.title}`,
          step: plan.closing?.before.has(debt.until) ? plan.closing.step.id : null,
          settle: { to: 'step', step: debt.until },
        })),
    )
