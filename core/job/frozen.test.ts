import { beforeAll, describe, expect, it } from 'vitest'
import { Technician } from '../../demo/technician.ts'
import { findingsOf, librarySheet, worker } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import { differsIn } from './ledger/state.ts'
import { emptyFold, extend, takeIn, viewJob, type Act, type AnyEntry, type Role } from './index.ts'

const refuse = () => {
  throw new Error('A kept state was written to.')
}

const FROZEN = new WeakSet<object>()

/** Everything that can be reached from a kept state, made so that whoever writes to it is caught. */
function freeze(value: unknown): void {
  if (typeof value !== 'object' || value === null || FROZEN.has(value)) return
  FROZEN.add(value)
  if (value instanceof Map) {
    for (const write of ['set', 'delete', 'clear'] as const) Object.defineProperty(value, write, { value: refuse })
    for (const each of value.values()) freeze(each)
    return
  }
  // A plan is the sheet's, and keeps what it works out once.
  for (const [key, each] of Object.entries(value)) if (key !== 'plan') freeze(each)
  Object.freeze(value)
}

/** Goes through a machine with every state it has kept frozen behind it. */
class OnIce extends Technician {
  override acts(acts: readonly Act[], role?: Role): AnyEntry[] {
    freeze(this.folded.state)
    return super.acts(acts, role)
  }
}

describe.each(WALKS)('$sheet', ({ sheet, figures }) => {
  let one: Technician
  let entries: readonly AnyEntry[]
  beforeAll(() => {
    one = worker(librarySheet(sheet), findingsOf(figures({}), true), {}, OnIce)
    one.workUntil()
    ;({ entries } = one.folded)
  })
  it('is worked through without any act writing to what was kept before it', () => {
    expect(one.folded.state.flags).toEqual([])
    freeze(one.folded.state)
    expect(viewJob(one.plan, one.folded.state).owed).toEqual([])
    const again = entries.map((entry): AnyEntry => ({ ...entry, id: `again ${entry.id}`, seq: null }))
    // Whatever is said once more, taken or not, is taken into a state of its own.
    for (const entry of again) extend(one.opened, one.folded, [entry])
  })
  it('a batch refused at its end leaves what was kept as it was', () => {
    const nonsense = {
      ...entries[1]!,
      id: 'nonsense',
      kind: 'step.done',
      payload: { step: 'no such step' },
    } as AnyEntry
    let kept = emptyFold()
    for (let from = 0; from < entries.length; from += 40) {
      freeze(kept.state)
      const before = extend(one.opened, kept, []).state
      expect(takeIn(one.opened, kept, [...entries.slice(from, from + 40), nonsense])).toMatchObject({ ok: false })
      expect(differsIn(before, kept.state)).toEqual([])
      kept = extend(one.opened, kept, entries.slice(from, from + 40))
    }
  })
})
