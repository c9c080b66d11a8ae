import { describe, expect, it } from 'vitest'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import { fromOtherEnd } from '../../marks/index.ts'
import type { Mate } from '../../sheet/index.ts'
import { laidOver } from './laid-over.ts'
import { seenOn } from '../../../tests/seen.ts'

const sheet = sheetNamed('dual-seal')
const index = worker(sheet).plan.sheet.mates.find(mate => mate.rule.kind === 'index')!
const { left, right } = sheet.ends

/** The seal with this seen on one of its parts, its faces tied by a rule. */
function seen(
  { part, ...where }: { part: string; deg?: number; toDeg?: number; seenFrom?: string },
  rule: Mate['rule'] = { kind: 'index' },
) {
  const changed = structuredClone(sheet)
  changed.mates.find(mate => mate.id === index.id)!.rule = rule
  const one = worker(changed)
  one.act('part.looked', seenOn(part, 'heat checks', where))
  return (ref: string, from = left) => laidOver(one.plan, one.folded.state, ref, from)
}

describe('the dial of one part laid over that of another', () => {
  it('shows what was found on it, at the same hours, from either of the two', () => {
    const over = seen({ part: index.b, deg: 90, toDeg: 150, seenFrom: left })
    expect(over(index.a)).toEqual([
      expect.objectContaining({ part: index.b, finding: 'heat checks (worn)', deg: 90, toDeg: 150 }),
    ])
    expect(over(index.b)).toEqual([])
    expect(seen({ part: index.a, deg: 90, seenFrom: left })(index.b)).toMatchObject([{ deg: 90 }])
  })
  it('from the other end runs the other way round', () => {
    const [one] = seen({ part: index.b, deg: 90, toDeg: 150, seenFrom: left })(index.a, right)
    expect([one!.deg, one!.toDeg]).toEqual([fromOtherEnd(150), fromOtherEnd(90)])
  })
  it.each([
    [180, 90, 270],
    [30, 350, 20],
  ])('is turned where one belongs %s° round from the other: %s° lies at %s°', (deg, found, lies) => {
    const rule: Mate['rule'] = { kind: 'aligned', deg }
    expect(seen({ part: index.b, deg: found, seenFrom: left }, rule)(index.a)[0]!.deg).toBe(lies)
    expect(seen({ part: index.a, deg: lies, seenFrom: left }, rule)(index.b)[0]!.deg).toBe(found)
  })
  it('without an hour, or where no angle ties them, says nothing', () => {
    expect(seen({ part: index.b })(index.a)).toEqual([])
    const free: Mate['rule'] = { kind: 'free', why: 'round' }
    expect(seen({ part: index.b, deg: 90, seenFrom: left }, free)(index.a)).toEqual([])
  })
})
