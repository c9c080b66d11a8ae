import type { Debt } from '../../sheet/index.ts'
import { countKey, type JobState } from '../ledger/state.ts'
import type { Owing, Source } from './owing.ts'

const isStillIn = ({ id, pieces }: Debt, { counts }: JobState) =>
  pieces !== undefined && (counts.get(countKey(id, 'out'))?.n ?? 0) < (counts.get(countKey(id, 'in'))?.n ?? pieces)

/** What a step left loose, parked or put in for the time being. It is paid by its own step, so it holds up only what comes after. */
export const debts: Source = ({ plan, state }) =>
  plan.sheet.steps
    .filter(step => state.steps.has(step.id))
    .flatMap(step =>
      (step.leaves ?? [])
        .filter(debt => !state.steps.has(debt.until) || isStillIn(debt, state))
        .map((debt): Owing => ({
          id: { kind: 'debt', debt: debt.id },
          station: plan.steps.get(debt.until)!.station,
          what: debt.what,
          why: `Until: ${plan.steps.get(debt.until)!.title}`,
          step: plan.gates.find(gate => gate.before.has(debt.until))?.step.id ?? null,
          settle: { to: 'step', step: debt.until },
        })),
    )
