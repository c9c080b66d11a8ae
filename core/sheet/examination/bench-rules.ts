import { placesOf, type Plan } from '../plan.ts'

/** What is wrong with what a sheet sends to a bench of its own, as sentences. */
export const benchRules = ({ sheet, removedBy, fittedBy }: Plan): string[] =>
  sheet.parts.flatMap(part => {
    const { id, bench, renewal, joins } = part
    if (!bench) return []
    const says = (words: string) => `part ${id} goes to a bench of its own, and ${words}`
    return [
      ...placesOf(part)
        .filter(({ ref }) => !removedBy.has(ref) || !fittedBy.has(ref))
        .map(({ ref }) => says(`${ref} does not come off and go back by a step`)),
      ...(renewal === 'always' ? [says('is always renewed')] : []),
      ...(joins ? [says('is a connection')] : []),
      ...(bench.sheet === sheet.id ? [says('that by the sheet of the whole machine')] : []),
    ]
  })
