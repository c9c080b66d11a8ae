import { describe, expect, it } from 'vitest'
import { librarySheet, librarySheetNames, worker } from '../../../tests/sheets.ts'
import { extend, emptyFold, planIn, standingOf } from '../index.ts'

describe('where a job stands', () => {
  it.each(librarySheetNames())(
    '%s: is the same from where it stood before as from nothing, after every act',
    name => {
      const { folded, opened } = worked(name)
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

function worked(name: string) {
  const one = worker(librarySheet(name))
  one.workUntil()
  one.act('note.written', { text: 'owes nothing' })
  return one
}
