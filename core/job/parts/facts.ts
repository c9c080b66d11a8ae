import type { Fact, Plan, Step } from '../../sheet/index.ts'
import type { JobState } from '../ledger/state.ts'

/** A fact that is to be read off the machine, with what the last job on it kept. */
export type FactAsked = Fact & { before?: string }

/** How it is parted, and whether in capitals, does not make it another one. */
const plain = (text: string) => text.toLowerCase().replaceAll(/[\s.\-_/·]+/g, '')

/** Whether two texts say the same of a machine. */
export const isSameFact = (one: string, other: string): boolean => plain(one) === plain(other)

/** Every fact of a sheet, with its step. */
export const factsOf = ({ sheet }: Pick<Plan, 'sheet'>): { fact: Fact; step: Step }[] =>
  sheet.steps.flatMap(step => (step.keeps ?? []).map(fact => ({ fact, step })))

/** What the last job on this machine kept of a fact; undefined where none did. */
export const keptBefore = ({ opened }: Pick<JobState, 'opened'>, fact: string): string | undefined =>
  opened?.payload.kept?.find(one => one.fact === fact)?.text

/** What a step asks to be read off the machine, and nobody has read yet. */
export const factsAsked = (state: JobState, { keeps = [] }: Step): FactAsked[] =>
  keeps
    .filter(({ id }) => !state.facts.has(id))
    .map(fact => {
      const before = keptBefore(state, fact.id)
      return before === undefined ? fact : { ...fact, before }
    })

/** What is wrong with what was read: nothing is written, or another one than was kept and nobody says so. Null when nothing is. */
export function factFault({ ask, before }: FactAsked, text: string | undefined, isOther: boolean): string | null {
  const said = text?.trim()
  if (!said) return `Write down what it says. ${ask}`
  return before === undefined || isOther || isSameFact(before, said)
    ? null
    : `${ask} It says “${said}”, and the last job kept “${before}”. Look again; where it is another one, say so.`
}
