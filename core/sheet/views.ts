import type { Plan } from './plan.ts'
import type { Datum, Ref, ShelfSheet } from './types.ts'

type WithEnds = Pick<ShelfSheet, 'ends'>

const ABOVE = 'above'
const BELOW = 'below'

/** From where a machine may be looked at: its two ends as the sheet names them, above and below. */
export const viewsOf = ({ ends }: WithEnds): string[] => [ends.left, ends.right, ABOVE, BELOW]

/** The view from the other side of the same axis; angles are mirrored in it. */
export function oppositeView({ ends }: WithEnds, from: string): string {
  if (from === ABOVE) return BELOW
  if (from === BELOW) return ABOVE
  return from === ends.left ? ends.right : ends.left
}

/** A view as it is said after “from”: “the drive end”, “above”. */
export const viewWords = (from: string): string => (from === ABOVE || from === BELOW ? from : `the ${from}`)

/**
 * What tells where on the clock one is, of the assembly a part belongs to, as it stands from where one looks: from the other
 * side what lies at 3 is at 9.
 */
export function datumSeen({ sheet, parts }: Plan, ref: Ref, from: string): Datum | undefined {
  const assembly = sheet.assemblies.find(one => one.id === parts.get(ref)?.part.assembly)
  if (!assembly) return undefined
  const { datum, seenFrom } = assembly
  // A job goes on under the sheet it was opened with; older ones say it in words alone.
  if (typeof datum !== 'object') return undefined
  return from === oppositeView(sheet, seenFrom) ? { ...datum, at: (24 - datum.at) % 12 || 12 } : datum
}
