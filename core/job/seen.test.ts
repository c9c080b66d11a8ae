import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, entryOf, plan, reading, technician } from '../../tests/pump.ts'
import { librarySheet, worker } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import type { Technician } from '../../demo/technician.ts'
import {
  emptyFold,
  extend,
  fold,
  hadSeen,
  partState,
  recordOf,
  recordTables,
  refusalOf,
  standsMet,
  viewJob,
  type AnyEntry,
  type EntryKind,
  type Payloads,
  type Refusal,
} from './index.ts'

const [RED, BLUE] = ['0198a000-0000-7000-8000-00000000aaaa', '0198a000-0000-7000-8000-00000000bbbb']

/** Two tablets at one job: what each says rests on the ledger as it was when they parted. */
function parted(one: Technician) {
  const seen = one.folded.entries.length
  const entries: AnyEntry[] = []
  return {
    /** Says something from a tablet; `after` is how much of the ledger it has seen by then. */
    says<K extends EntryKind>(tablet: string, by: string, kind: K, payload: Payloads[K], after = seen): Refusal | null {
      const seq = one.folded.entries.length + 1
      const entry = entryOf(kind, payload, { by, seq, seen: after, tablet } as Partial<AnyEntry>)
      const why = refusalOf(one.opened, one.folded, entry)
      if (!why) one.folded = extend(one.opened, one.folded, [entry])
      entries.push(entry)
      return why
    },
    now: () => viewJob(one.plan, one.folded.state),
    seen,
  }
}

describe('whether one had seen the other', () => {
  it('goes by the ledger they had, and by the tablet', () => {
    const later = { seen: 7, tablet: RED }
    expect(hadSeen(later, { seq: 7 })).toBe(true)
    expect(hadSeen(later, { seq: 8 })).toBe(false)
    expect(hadSeen(later, { seq: 8, tablet: RED })).toBe(true)
    expect(hadSeen(later, { seq: 8, tablet: BLUE })).toBe(false)
    expect(hadSeen(later, { seq: null })).toBe(true)
    expect(hadSeen({}, { seq: 99, tablet: BLUE })).toBe(true)
  })
})

describe('a mark made on two tablets that had not seen each other', () => {
  const MATE = 'hub-index'
  const mark = (deg: number) => ({ mate: MATE, deg, seenFrom: 'drive end', carrier: 'paint line' })
  const atHub = () => {
    const one = technician()
    one.workUntil('hub-off')
    return { one, two: parted(one) }
  }
  const kinds = (two: ReturnType<typeof parted>) => two.now().owed.map(each => each.id.kind)
  it('keeps both; marks that differ stop the step that parts them, until one is taken back', () => {
    const { one, two } = atHub()
    expect(two.says(RED, 'rena', 'mark.made', mark(0))).toBeNull()
    expect(two.says(BLUE, 'tove', 'mark.made', mark(90))).toBeNull()
    expect(one.folded.state.flags).toEqual([])
    expect(two.now().owed.find(each => each.id.kind === 'marks apart')).toMatchObject({
      id: { kind: 'marks apart', mate: MATE },
      step: 'hub-off',
      why: 'paint line at 12:00 seen from the drive end, or paint line at 3:00 seen from the drive end',
    })
    const lifts = { parts: ['hub', 'hub-key'], step: 'hub-off' }
    const off = entryOf('part.lifted', lifts, { by: 'rena', seq: one.folded.entries.length + 1 })
    expect(refusalOf(one.opened, one.folded, off)).toMatchObject({ code: 'step.hindered' })
    const concede = { of: { kind: 'marks apart', mate: MATE } as const, why: 'It will do' }
    const given = entryOf('concession.given', concede, { by: 'odd', role: 'lead', seq: one.folded.entries.length + 1 })
    expect(refusalOf(one.opened, one.folded, given)).not.toBeNull()
    const wrong = one.folded.entries.at(-1)!.id
    one.act('entry.corrected', { target: wrong, why: 'That is last year’s line' })
    expect(kinds(two)).not.toContain('marks apart')
    expect(one.folded.state.marks.get(MATE)).toMatchObject({ deg: 0 })
    expect(one.folded.state.marks.get(MATE)!.rivals).toBeUndefined()
  })
  it('two that say the same are one, and both names stand on the record', () => {
    const { one, two } = atHub()
    two.says(RED, 'rena', 'mark.made', mark(0))
    two.says(BLUE, 'tove', 'mark.made', mark(6))
    expect(kinds(two)).not.toContain('marks apart')
    const names = new Map([
      ['rena', 'Rena'],
      ['tove', 'Tove'],
    ])
    const { marks } = recordOf(one.plan, one.folded.entries, names)
    expect(marks.find(each => each.who === 'Rena')!.unseen.join()).toContain('12:12')
    expect(marks.find(each => each.who === 'Rena')!.unseen.join()).toContain('Tove')
  })
  it('parts have to stand by both of them', () => {
    const mate = plan.mates.get(MATE)!
    const { one, two } = atHub()
    two.says(RED, 'rena', 'mark.made', mark(0))
    two.says(BLUE, 'tove', 'mark.made', mark(8))
    const met = (deg: number) => standsMet(one.folded.state, mate, { mate: MATE, deg })
    expect([-5, 0, 5, 9, 12, 15].map(met)).toEqual([false, true, true, true, false, false])
  })
  it('whoever had seen the first corrects it instead', () => {
    const { one, two } = atHub()
    two.says(RED, 'rena', 'mark.made', mark(0))
    expect(two.says(BLUE, 'tove', 'mark.made', mark(90), one.folded.entries.length)).toMatchObject({
      code: 'mark.made',
    })
  })
})

describe('a place read on two tablets that had not seen each other', () => {
  const gap = (mm: number) => reading('hub-gap', 'asFound', [[mm]])
  const atCoupling = () => {
    const one = technician()
    one.workUntil('found-coupling')
    return one
  }
  it('keeps both, and the worse stands, whichever came first', () => {
    for (const figures of [
      [38, 45],
      [45, 38],
    ]) {
      const one = atCoupling()
      const two = parted(one)
      expect(two.says(RED, 'rena', 'reading.taken', gap(figures[0]!))).toBeNull()
      expect(two.says(BLUE, 'tove', 'reading.taken', gap(figures[1]!))).toBeNull()
      const result = two.now().results.get('hub-gap asFound')!
      expect(result).toMatchObject({ value: 45, judgement: { verdict: 'Out' }, complete: true })
      expect(result.rivals[0]!.said.map(each => each.tries[0]![0])).toEqual(['45', '38'])
      const record = recordOf(
        one.plan,
        one.folded.entries,
        new Map([
          ['rena', 'Rena'],
          ['tove', 'Tove'],
        ]),
      )
      const text = JSON.stringify(recordTables(record))
      expect(text).toMatch(/read 45, and .*, not having seen that, 38; the worse stands/)
      expect(text).toContain('Rena')
      expect(text).toContain('Tove')
    }
  })
  it('stands by how its own place is judged, however the others turned out', () => {
    const warm = (station: string, degrees: number) => reading('bearing-heat', 'build', [[degrees]], { station })
    for (const figures of [
      [92, 120],
      [120, 92],
    ]) {
      const one = technician()
      one.workUntil('bearings-on')
      one.act('reading.taken', warm('drive end', 130))
      const two = parted(one)
      expect(two.says(RED, 'rena', 'reading.taken', warm('non-drive end', figures[0]!))).toBeNull()
      expect(two.says(BLUE, 'tove', 'reading.taken', warm('non-drive end', figures[1]!))).toBeNull()
      const { rivals, worked } = two.now().results.get('bearing-heat build')!
      expect(rivals.map(each => each.said.map(read => read.tries[0]![0]))).toEqual([['120', '92']])
      expect(worked.missing).toEqual([])
    }
  })
  it('of the same verdict and near each other counts; too far apart it is taken again', () => {
    const { limits } = plan.checks.get('hub-gap')!
    const width = limits.max! - limits.min!
    const near = atCoupling()
    const first = parted(near)
    first.says(RED, 'rena', 'reading.taken', gap(limits.best ?? (limits.min! + limits.max!) / 2))
    first.says(BLUE, 'tove', 'reading.taken', gap((limits.best ?? (limits.min! + limits.max!) / 2) + width * 0.1))
    expect(first.now().results.get('hub-gap asFound')).toMatchObject({
      complete: true,
      judgement: { verdict: 'Holds' },
    })
    const far = atCoupling()
    const second = parted(far)
    const [low, high] = [limits.min! + width * 0.35, limits.min! + width * 0.65]
    second.says(RED, 'rena', 'reading.taken', gap(low))
    second.says(BLUE, 'tove', 'reading.taken', gap(high))
    const apart = second.now().results.get('hub-gap asFound')!
    expect(apart).toMatchObject({ complete: false, judgement: { verdict: 'Open' } })
    expect(apart.again).toMatch(/too far apart/)
    expect(apart.scatter).toEqual([low, high])
    expect(second.now().owed.map(debt => debt.what)).toContain('Gap between hubs: two readings lie too far apart')
    // Taken again by one who has seen both, that one stands alone.
    const all = far.folded.entries.length
    expect(second.says(RED, 'rena', 'reading.taken', gap(low), all)).toBeNull()
    expect(second.now().results.get('hub-gap asFound')).toMatchObject({ complete: true, rivals: [] })
  })
  it('is a correction once it was seen, and not a second reading', () => {
    const two = parted(atCoupling())
    two.says(RED, 'rena', 'reading.taken', gap(38))
    expect(two.says(RED, 'rena', 'reading.taken', gap(39))).toMatchObject({ code: 'reading.taken' })
    expect(two.says(BLUE, 'tove', 'reading.taken', gap(39), two.seen + 1)).toMatchObject({ code: 'reading.taken' })
  })
  it('where answers are chosen, the worse answer stands', () => {
    const name = 'm8-scraped-surface-exchanger'
    const one = worker(librarySheet(name), WALKS.find(walk => walk.sheet === name)!.figures({}))
    one.workUntil('look-blades')
    const two = parted(one)
    two.says(RED, 'rena', 'reading.taken', answer('edge-a', 'inspect', 'a crack at a slot', 'place 1'))
    two.says(BLUE, 'tove', 'reading.taken', answer('edge-a', 'inspect', 'straight edge, round slots', 'place 1'))
    expect(two.now().results.get('edge-a inspect')!.rivals[0]!.said[0]!.tries).toEqual([['a crack at a slot']])
  })
})

describe('what came late and makes no sense any more', () => {
  it('is taken and flagged, and owed to a lead where it might matter', () => {
    const one = technician()
    one.workUntil('found-coupling')
    const parting = parted(one)
    parting.says(RED, 'rena', 'reading.taken', reading('hub-gap', 'asFound', [[38]]))
    const lost = { check: 'hub-gap', moment: 'asFound', why: 'The spacer is out' } as const
    expect(parting.says(BLUE, 'tove', 'evidence.lost', lost)).toBeNull()
    expect(one.folded.state.evidenceLost.size).toBe(0)
    expect(one.folded.state.flags.at(-1)!.why).toMatchObject({ code: 'evidence.there' })
    const late = parting.now().owed.filter(debt => debt.kind === 'late')
    expect(late).toHaveLength(1)
    expect(late[0]!.why).toMatch(/Not counted\. .*that is there/)
    const record = recordOf(one.plan, one.folded.entries, new Map())
    expect(record.late.map(each => each.why).join()).toMatch(/without having seen .*Not counted\. .*that is there/)
  })
  it('is nothing to look into where it only did what was done', () => {
    const one = technician()
    const id = 'isolate'
    one.workUntil(id)
    const two = parted(one)
    one.doStep(plan.steps.get(id)!)
    expect(two.says(BLUE, 'tove', 'step.done', { step: id })).toMatchObject({ code: 'step.settled' })
    expect(two.says(BLUE, 'tove', 'caution.read', { step: id, caution: 0 })).toBeNull()
    expect(two.says(BLUE, 'tove', 'step.done', { step: id })).toBeNull()
    expect(one.folded.state.flags.map(flag => flag.kind)).toEqual(['step.done'])
    expect(two.now().owed.filter(debt => debt.kind === 'late')).toEqual([])
  })
  it('is refused where it made no sense to its maker, either, and a signature always', () => {
    const one = technician()
    const two = parted(one)
    one.act('note.written', { text: 'meanwhile' })
    expect(two.says(BLUE, 'tove', 'step.done', { step: 'no such step' })).toMatchObject({
      code: 'sheet.unknown',
      values: { what: 'step' },
    })
    expect(two.says(BLUE, 'tove', 'reading.taken', reading('hub-gap', 'asFound', [['a dial']]))).toMatchObject({
      code: 'reading.unreadable',
      values: { why: '“a dial” is not a figure. Type a number, for example 4.25 mm.' },
    })
  })
})

describe('of two that had not seen each other', () => {
  it('the choice that trusts less of the part stands', () => {
    const one = technician()
    one.workUntil('decide')
    const [ref] = [...plan.parts.keys()].filter(
      each => partState(one.folded.state, each).where === 'off' && plan.parts.get(each)!.part.renewal !== 'always',
    )
    const two = parted(one)
    two.says(RED, 'rena', 'part.decided', { parts: [ref!], choice: 'renew' })
    two.says(BLUE, 'tove', 'part.decided', { parts: [ref!], choice: 'reuse' })
    const { decision } = partState(one.folded.state, ref!)
    expect(decision).toMatchObject({ choice: 'renew', by: 'rena', rivals: [{ choice: 'reuse', by: 'tove' }] })
    // Whoever has seen both decides.
    two.says(RED, 'rena', 'part.decided', { parts: [ref!], choice: 'reuse' }, one.folded.entries.length)
    expect(partState(one.folded.state, ref!).decision).not.toHaveProperty('rivals')
  })
  it('the fold is the same however the ledger is cut', () => {
    const one = technician()
    one.workUntil('found-coupling')
    const two = parted(one)
    for (const [tablet, mm] of [
      [RED, 38],
      [BLUE, 41],
      [RED, 39],
    ] as const)
      two.says(tablet, tablet, 'reading.taken', reading('hub-gap', 'asFound', [[mm]]))
    const { entries } = one.folded
    const whole = fold(plan, entries)
    fc.assert(
      fc.property(fc.integer({ min: 1, max: entries.length }), cut => {
        const half = extend(plan, emptyFold(), entries.slice(0, cut))
        const { state } = extend(plan, half, entries.slice(cut))
        expect(state.readings).toEqual(whole.readings)
        expect(state.heard).toEqual(whole.heard)
      }),
      { numRuns: 20 },
    )
  })
})
