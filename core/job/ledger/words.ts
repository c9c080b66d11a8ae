import { placesOf, type Moment, type Plan, type Ref, type Station, type Step } from '../../sheet/index.ts'

export const MOMENT_WORDS: Record<Moment, string> = {
  asFound: 'as found',
  inspect: 'at inspection',
  build: 'at build',
  asLeft: 'as left',
}
export const STATION_WORDS: Record<Station, string> = {
  'make-safe': 'Make safe',
  'as-found': 'As found',
  'strip': 'Strip',
  'clean': 'Clean',
  'inspect': 'Inspect',
  'decide': 'Decide',
  'build': 'Build',
  'prove': 'Prove',
}

const titled = (list: { id: string; title: string }[], id: string) => list.find(one => one.id === id)?.title ?? id

// Names by their ids in a sheet, what this machine leaves out included; an id that the sheet does not have stands for itself.
export const partName = (plan: Plan, ref: Ref) =>
  plan.parts.get(ref)?.name ?? plan.whole.parts.flatMap(placesOf).find(one => one.ref === ref)?.name ?? ref
/** The step that comes before, and what comes of it where it does not. */
export const firstWords = ({ title, ifEarly }: Step): string => `First: ${title}${ifEarly ? `. ${ifEarly}` : ''}`

export const stepName = (plan: Plan, id: string) => plan.steps.get(id)?.title ?? titled(plan.whole.steps, id)
export const checkName = (plan: Plan, id: string) => plan.checks.get(id)?.title ?? titled(plan.whole.checks, id)
export const mateName = (plan: Plan, id: string) => plan.mates.get(id)?.title ?? titled(plan.whole.mates, id)
export const loopName = (plan: Plan, id: string) => titled(plan.whole.loops ?? [], id)
export const jointName = (plan: Plan, id: string) => plan.joints.get(id)?.title ?? titled(plan.whole.joints, id)
export const axisName = (plan: Plan, id: string) => titled(plan.whole.axes, id)
export const choiceName = (plan: Plan, axis: string, choice: string) =>
  `${axisName(plan, axis)}: ${titled(plan.whole.axes.find(one => one.id === axis)?.choices ?? [], choice)}`

/** Where a new part comes from that is in no kit. */
export const STOCK = 'stock'
/** Where a new one of a part comes from, as its act says it: its kit by its name in the sheet, or stock. */
export const newFrom = ({ kit }: { kit?: string }): string => kit ?? STOCK
/** Where a new part comes from, in words: its kit by name, or stock. */
export const kitWords = ({ whole }: Plan, id: string = STOCK): string =>
  whole.kits.find(one => one.id === id)?.name.toLowerCase() ?? id

/** Something put in for the time being, as the step that leaves it says. */
export const itemName = (plan: Plan, id: string) =>
  plan.sheet.steps.flatMap(step => step.leaves ?? []).find(debt => debt.id === id)?.what ?? id

/** A few parts by name, many by the first and their number. */
export const partNames = (plan: Plan, refs: readonly Ref[]) =>
  refs.length > 2
    ? `${partName(plan, refs[0]!)} and ${refs.length - 1} more`
    : refs.map(ref => partName(plan, ref)).join(' and ')

/** Where a check is taken: station and plane. */
export const placeName = ({ station, plane }: { station?: string; plane?: string }) =>
  [station, plane && `plane ${plane}`].filter(Boolean).join(', ')

/** A moment on the record where no site's clock is at hand, to the minute. @param iso ISO 8601 UTC */
export const utcText = (iso: string): string => `${iso.slice(0, 16).replace('T', ' ')} UTC`
