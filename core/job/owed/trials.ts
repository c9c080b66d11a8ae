import { onTrial } from '../parts/rounds.ts'
import { partName } from '../ledger/words.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

/** What is on for a trial comes off again: it went on with nothing new, no gasket and no locking. */
export const trials: Source = ({ plan, state }) =>
  onTrial(plan, state).map((part): Owing => {
    const off = plan.sheet.steps.find(step => step.trial?.off?.includes(part))
    return {
      id: { kind: 'trial', part },
      station: off?.station ?? 'build',
      what: `On for a trial: ${partName(plan, part)}`,
      why: 'Off again before anything is closed for good',
      step: beforeCover(plan, off?.id),
      settle: { to: 'step', step: off?.id ?? '' },
    }
  })
