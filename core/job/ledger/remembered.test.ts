import { describe, expect, it } from 'vitest'
import { librarySheet, worker } from '../../../tests/sheets.ts'
import { WALKS } from '../../../tests/walks/index.ts'
import { emptyFold, extend, obligations, type AnyEntry } from '../index.ts'
import { planFor } from '../../sheet/index.ts'
import { emptyState } from '../kinds.ts'
import { branchState } from './state.ts'
import type { Scene } from '../owed/owing.ts'
import { remembering } from './remembered.ts'

/** The library's machines, worked through, one part renewed and one step taken up again. */
function lived(name: string): { plan: ReturnType<typeof planFor>; entries: readonly AnyEntry[] } {
  const walk = WALKS.find(one => one.sheet === name)!
  const one = worker(librarySheet(name), walk.figures({}))
  one.workUntil()
  return { plan: one.opened, entries: one.folded.entries }
}

describe('what is worked out of a state', () => {
  const plan = planFor(librarySheet('m14-axially-split-pump'))
  const scene = (change: Partial<Scene['state']> = {}): Scene => ({
    plan,
    state: { ...emptyState(), ...change },
    results: new Map(),
  })
  it('is worked out anew only once something it looked at has become another', () => {
    const asked = { flags: 0, late: 0 }
    const both = remembering<Scene, unknown>([
      ({ state }) => (asked.flags++, state.flags.length),
      ({ state, results }) => (asked.late++, state.late.length + results.size),
    ])
    const flag = { entry: 'a', kind: 'b', why: { code: 'c', values: {} } } as never
    expect([both(scene()), both(scene()), both(scene({ flags: [flag] })), both(scene({ flags: [flag] }))]).toEqual([
      [0, 0],
      [0, 0],
      [1, 0],
      [1, 0],
    ])
    expect(asked).toEqual({ flags: 2, late: 1 })
    expect(both({ ...scene({ flags: [flag] }), results: new Map([['a', {} as never]]) })).toEqual([1, 1])
    expect(asked).toEqual({ flags: 2, late: 2 })
  })
  it('also where it is the plan that a choice has led the job to', () => {
    const led = remembering([({ state }: Scene) => state.plan?.variants ?? null])
    const other = { ...plan, variants: { seal: 'other' } }
    expect([led(scene({ plan: undefined })), led(scene({ plan: other }))]).toEqual([[null], [{ seal: 'other' }]])
  })
  it('and what an act adds in place counts as another, looked at from outside or by the act itself', () => {
    const counted = remembering([({ state }: Scene) => state.parts.size])
    const { state, draft } = branchState(scene().state)
    const asRead = () => counted({ ...scene(), state })
    const asWritten = () => counted({ ...scene(), state: draft })
    const seen = [asRead(), asWritten()]
    draft.parts.set('shaft', {} as never)
    seen.push(asRead())
    draft.parts.set('wheel', {} as never)
    seen.push(asWritten())
    draft.parts.set('cover', {} as never)
    seen.push(asWritten(), asRead())
    expect(seen).toEqual([[0], [0], [1], [2], [3], [3]])
  })
})

describe.each(['m10-gear-unit', 'm12-turbo-blower', 'm14-axially-split-pump', 'm20-dual-seal'])('%s', name => {
  it('owes after every act what it would owe to somebody who remembers nothing', () => {
    const { plan, entries } = lived(name)
    let folded = emptyFold()
    for (const [i, entry] of entries.entries()) {
      folded = extend(plan, folded, [entry])
      const now = folded.state.plan ?? plan
      const remembered = obligations(now, folded.state)
      if (i % 9 === 0) expect(remembered).toEqual(obligations({ ...now }, folded.state))
    }
  })
})
