import { describe, expect, it } from 'vitest'
import { entryOf, refusal, technician } from '../../tests/pump.ts'
import { librarySheet, sheetNamed, worker } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import { shapeFaults } from '../sheet/examination/shape.ts'
import { dotsTaken, sentenceOf, takeIn, viewJob, type EntryKind } from './index.ts'
import { checkName, stepName } from './ledger/words.ts'
import { workAt } from './parts/holds.ts'

describe('pieces are accounted for', () => {
  it.each([
    ['out', { n: 8, absent: 1 }, '9'],
    ['out', { n: 6, absent: 3 }, '9'],
    ['in', { n: 8, fromStock: 1 }, '9'],
    ['in', { n: 4, fromStock: 5 }, '9'],
  ] as const)('%s: %j is more than the machine has', (way, count, all) => {
    const one = technician()
    one.workUntil(way === 'out' ? 'face-off' : 'face-wet')
    one.doStep(one.plan.steps.get(way === 'out' ? 'face-off' : 'face-wet')!)
    const why = refusal(one, 'pieces.counted', { part: 'springs', way, ...count })
    expect(why).toMatchObject({ code: 'pieces.tooMany' })
    expect(sentenceOf(why!)).toContain(all)
  })
  it.each([
    ['out', { n: 6, absent: 2 }],
    ['in', { n: 5, fromStock: 3 }],
  ] as const)('%s: %j is all of them', (way, count) => {
    const one = technician()
    one.workUntil(way === 'out' ? 'face-off' : 'face-wet')
    one.doStep(one.plan.steps.get(way === 'out' ? 'face-off' : 'face-wet')!)
    expect(refusal(one, 'pieces.counted', { part: 'springs', way, ...count })).toBeNull()
  })
  it.each([
    [[1, 2], 1],
    [[2, 1], 1],
    [[2, 3], 3],
    [[0, 3], 0],
  ])('of what was left in, counted %j on two tablets, the count further from what went in stands', (counts, stands) => {
    const one = technician()
    one.workUntil('studs-out')
    const seen = one.folded.entries.length
    const entries = counts.map((n, i) =>
      entryOf('pieces.counted', { item: 'guide-studs', way: 'out', n }, { seen, tablet: `t${i}`, seq: seen + 1 + i }),
    )
    const taken = takeIn(one.opened, one.folded, entries)
    if (!taken.ok) throw new Error(sentenceOf(taken.why))
    expect(taken.folded.state.counts.get('guide-studs out')?.n).toBe(stands)
  })
})

describe('the work of a step', () => {
  const WORK: EntryKind[] = ['reading.taken', 'pieces.counted', 'lubricant.applied', 'part.refitted', 'mate.answered']
  it('is all that was read, moved, counted, put on and answered at it, and nothing else', () => {
    const walk = WALKS.find(one => one.sheet === 'm14-axially-split-pump')!
    const one = worker(librarySheet(walk.sheet), walk.figures({}))
    const byId = new Map<string, string>()
    for (;;) {
      const step = [...one.plan.sheet.steps].find(each => !one.folded.state.steps.has(each.id))
      if (!step) break
      const before = one.folded.entries.length
      one.workUntil(step.id)
      const at = one.folded.entries.length
      one.doStep(step)
      for (const entry of one.folded.entries.slice(at))
        if (WORK.includes(entry.kind) && !('item' in entry.payload)) byId.set(entry.id, step.id)
      expect(at).toBeGreaterThanOrEqual(before)
      const found = workAt(one.plan, one.folded.state, step)
      expect(found.every(each => typeof each.entry === 'string')).toBe(true)
      const own = [...byId].filter(([, id]) => id === step.id).map(([id]) => id)
      if (step.station !== 'decide')
        expect(
          found.map(each => each.entry),
          step.id,
        ).toEqual(expect.arrayContaining(own))
      const others = [...byId].filter(([, id]) => id !== step.id).map(([id]) => id)
      expect(
        found.filter(each => others.includes(each.entry)),
        step.id,
      ).toEqual([])
    }
    expect(byId.size).toBeGreaterThan(60)
  }, 60_000)
})

describe('punch dots', () => {
  it('are told apart within one kind of part, and free on another', () => {
    const sheet = structuredClone(librarySheet('m14-axially-split-pump'))
    const [first] = sheet.mates.filter(mate => mate.rule.kind === 'dots')
    sheet.mates.push({ ...structuredClone(first!), id: 'other-dots', a: 'shaft' })
    const one = worker(sheet)
    const marks = new Map([[first!.id, { dots: [2, 2] }]])
    const taken = (id: string, n: number) => dotsTaken(one.plan, { marks } as never, one.plan.mates.get(id)!, n)?.id
    const second = sheet.mates.find(
      mate => mate.rule.kind === 'dots' && mate.id !== first!.id && mate.id !== 'other-dots',
    )!
    expect(taken(second.id, 2)).toBe(first!.id)
    expect(taken(second.id, 3)).toBeUndefined()
    expect(taken('other-dots', 2)).toBeUndefined()
    expect(taken(first!.id, 2)).toBeUndefined()
  })
})

it('a fault names the place within an item: lists are counted from one, words stand as they are', () => {
  const stations = Array.from({ length: 12 }, (_, i) => (i === 11 ? { name: 7 } : { name: `place ${i}` }))
  const [fault] = shapeFaults('Check', { ...librarySheet('m14-axially-split-pump').checks[0], stations }, 'check float')
  expect(fault).toMatch(/^check float stations 12 name is 7/)
})

describe('what is wrong is said of the part it is wrong with', () => {
  const walk = WALKS.find(one => one.sheet === 'm8-scraped-surface-exchanger')!
  const stopsOf = (one: ReturnType<typeof worker>, check: string) =>
    viewJob(one.plan, one.folded.state)
      .owed.filter(debt => debt.kind === 'out' && 'check' in debt.id && debt.id.check === check)
      .flatMap(debt => [...(debt.wrong?.stops ?? [])])
  /** The first step that fits a part. */
  const fitting = (one: ReturnType<typeof worker>, ref: string) => one.plan.fittedBy.get(ref)!.id
  it.each([
    ['far', 'driven'],
    ['driven', 'far'],
  ])('of several places the %s one that is out, and not the %s', (out, sound) => {
    const one = worker(librarySheet(walk.sheet), { ...walk.figures({}), [`springs-primary inspect ${out} end`]: 11.2 })
    one.workUntil('decide')
    const stops = stopsOf(one, 'springs-primary')
    expect(stops).toContain(fitting(one, `spring@${out}`))
    expect(stops).not.toContain(fitting(one, `spring@${sound}`))
  })
  it('of a check that is not judged place by place, all it tells of', () => {
    const pump = WALKS.find(each => each.sheet.startsWith('m14'))!
    const one = worker(librarySheet(pump.sheet), { ...pump.figures({}), 'runout inspect': 0.2 })
    one.workUntil('decide')
    expect(stopsOf(one, 'runout')).toContain('rotor-in')
  })
})

describe('names', () => {
  const { plan } = technician()
  it.each([
    ['step', stepName, plan.sheet.steps],
    ['check', checkName, plan.sheet.checks],
  ] as const)('of every %s are its title, and what the sheet does not know stands for itself', (_, name, items) => {
    for (const { id, title } of items) expect(name(plan, id)).toBe(title)
    expect(name(plan, 'moon')).toBe('moon')
  })
})

describe('what is decided on the job', () => {
  const choose = (one: ReturnType<typeof worker>, choice: string) =>
    refusal(one, 'variant.changed', { axis: 'depth', choice, why: 'Clearances are wide' }, 'lead')
  it('is decided when its step is reached, and may be changed once that is done', () => {
    const one = worker(sheetNamed('blower-clearances'))
    const { step } = one.plan.sheet.axes.find(axis => axis.id === 'depth')!.decided!
    expect(choose(one, 'overhaul')).toMatchObject({ code: 'step.outOfReach' })
    one.workUntil(step)
    expect(choose(one, 'overhaul')).toBeNull()
    one.doStep(one.plan.steps.get(step)!)
    const now = one.plan.variants.depth
    expect(choose(one, now === 'close' ? 'overhaul' : 'close')).toBeNull()
  })
})
