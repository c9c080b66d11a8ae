import type { NextDue } from '~~/core/wear/next'
import type { YardMachine } from '~~/shared/answers'

/** What is due within so many weeks is planned for now. */
export const SOON_WEEKS = 8

/** Something that is due on a machine: its overhaul, or a service between. */
export interface Due {
  what: string
  next: NextDue
}

/** What a machine has coming, the first first. */
export function dueOn({ next, services }: Pick<YardMachine, 'next' | 'services'>): Due[] {
  const all = [
    ...(next ? [{ what: 'Overhaul', next }] : []),
    ...services.flatMap(one => (one.next ? [{ what: one.name, next: one.next }] : [])),
  ]
  return all.toSorted((a, b) => a.next.weeks - b.next.weeks)
}

const DECIDED: Record<NextDue['decidedBy'], string> = {
  hours: 'Running hours decide.',
  calendar: 'The calendar decides.',
  uses: 'Use decides.',
}
export const decidedWords = ({ decidedBy }: NextDue): string => DECIDED[decidedBy]

/** Counts as they were read; what nobody read is left out. */
export const countsRead = (uses: Readonly<Record<string, number | undefined>>): Record<string, number> =>
  Object.fromEntries(Object.entries(uses).flatMap(([of, shown]) => (typeof shown === 'number' ? [[of, shown]] : [])))
