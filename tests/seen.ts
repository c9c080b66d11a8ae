import type { Finding, Payloads } from '../core/job/index.ts'
import { OTHER } from '../core/looks/index.ts'

/** Something seen on a part in passing, in words; grade 2 where nothing else is said. */
export const seenOn = (
  part: string,
  note: string,
  { seenFrom, ...where }: Partial<Finding> & { seenFrom?: string } = {},
): Payloads['part.looked'] => ({
  part,
  findings: [{ code: OTHER.id, grade: 2, note, ...where }],
  ...(seenFrom === undefined ? {} : { seenFrom }),
})
