import { describe, expect, it } from 'vitest'
import { worker } from '../../tests/sheets.ts'
import { librarySheets } from '../../server/db/library.ts'
import { extend, emptyFold, planIn, standingOf } from './index.ts'

describe('where a job stands', () => {
  it.each(librarySheets().map(one => [one.id, one] as const))(
    '%s: is the same from where it stood before as from nothing, after every act',
    (_, sheet) => {
      const { folded, opened } = worked(sheet)
      let now = emptyFold()
      let earlier: { state: typeof now.state; stands: ReturnType<typeof standingOf> } | undefined
      folded.entries.forEach((entry, i) => {
        now = extend(opened, now, [entry])
        // Every third act is looked at: in between more than one has happened.
        if (i % 3) return
        const plan = planIn(opened, now.state)
        const stands = standingOf(plan, now)
        expect(standingOf(plan, now, earlier)).toEqual(stands)
        earlier = { state: now.state, stands }
      })
    },
    60_000,
  )
})

function worked(sheet: ReturnType<typeof librarySheets>[number]) {
  const one = worker(sheet)
  one.workUntil()
  one.act('note.written', { text: 'owes nothing' })
  return one
}
