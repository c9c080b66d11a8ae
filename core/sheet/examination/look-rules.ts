import { codesOf } from '../../looks/index.ts'
import { stepsBefore } from '../before.ts'
import type { Plan } from '../plan.ts'
import type { Look } from '../types.ts'

const repeated = (ids: readonly string[]) => ids.filter((id, i) => ids.indexOf(id) !== i)

/** Where what is found is said to be, is there to be said. */
const placeFaults = ({ on, zones = [], faces = [] }: Look): (string | false)[] => [
  on === 'zones' && zones.length < 2 && 'is told by zones, and has not two of them',
  on !== 'zones' && zones.length > 0 && `has zones, and is told ${on === 'dial' ? 'by the hour' : 'as a whole'}`,
  faces.length === 1 && 'has one face: say which ones it has, or none',
  ...repeated(zones).map(zone => `has the zone “${zone}” twice`),
  ...repeated(faces).map(face => `has the face “${face}” twice`),
]

/** What is wrong with what a sheet has looked at, as sentences. */
export const lookRules = ({ sheet, parts, steps, removedBy }: Plan): string[] =>
  (sheet.looks ?? []).flatMap(look => {
    const { id, of, codes, also, step, gone } = look
    const before = gone !== undefined && steps.has(gone) ? stepsBefore(steps, gone) : null
    return [
      ...of.filter(ref => !parts.has(ref)).map(ref => `is of an unknown part ${ref}`),
      ...repeated(of).map(ref => `names ${ref} twice`),
      // A part that never comes off is not decided, and what is found of it leads nowhere.
      ...of.filter(ref => parts.has(ref) && !removedBy.has(ref)).map(ref => `is of ${ref}, which never comes off`),
      ...repeated(codesOf(codes, also).map(one => one.id)).map(one => `has the code “${one}” twice`),
      ...placeFaults(look),
      !steps.has(step) && `is taken at an unknown step ${step}`,
      gone !== undefined && !before && `is gone with an unknown step ${gone}`,
      before !== null && !before.has(step) && `is gone with ${gone}, which does not come after ${step}`,
    ].flatMap(why => (why ? [`look ${id} ${why}`] : []))
  })
