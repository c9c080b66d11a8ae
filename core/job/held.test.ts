import { describe, expect, it } from 'vitest'
import { librarySheet, sheetNamed, worker } from '../../tests/sheets.ts'
import { entryOf, plan, refusal, technician } from '../../tests/pump.ts'
import { planFor, type Mate, type Sheet } from '../sheet/index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { canBeSeen } from './parts/mates.ts'
import { holdHindrances, workOf } from './parts/holds.ts'
import {
  clockOf,
  consequencesOf,
  effectiveEntries,
  emptyFold,
  entryWords,
  extend,
  isLocked,
  leadingDigits,
  mateMet,
  missedBy,
  obligations,
  recordOf,
  rootOf,
  shoppingOf,
  takeIn,
  viewJob,
  type AnyEntry,
  type Folded,
} from './index.ts'

/** Small laws that something rests on and that nothing else would miss: each was broken once, and no test saw it. */

describe('an angle between two marks', () => {
  const mate = (deg: number, symmetry?: number) =>
    ({ id: 'm', title: 'M', rule: { kind: 'aligned', deg, ...(symmetry ? { symmetry } : {}) } }) as Mate
  it.each([
    [90, 0, 90, true],
    [90, 0, 270, false],
    [90, 350, 80, true],
    [90, 80, 350, false],
    [120, 10, 130, true],
    [120, 130, 10, false],
  ])('%s° on from a mark at %s° is %s°: %s', (deg, mark, stands, met) => {
    expect(mateMet(mate(deg), { deg: mark }, { mate: 'm', deg: stands })).toBe(met)
    expect(missedBy(mate(deg), { deg: mark }, { mate: 'm', deg: stands })! < 1).toBe(met)
  })
})

describe('an act is late', () => {
  const at = (minutes: number) => ({
    madeAt: '2026-05-01T08:00:00.000Z',
    receivedAt: new Date(Date.UTC(2026, 4, 1, 8, minutes)).toISOString(),
  })
  it.each([
    [0, 'live'],
    [9, 'live'],
    [10, 'live'],
    [11, 'late'],
    [60, 'late'],
    [-1, 'live'],
    [-2, 'live'],
    [-3, 'ahead'],
  ] as const)('%s minutes after it was done: %s', (minutes, clock) => expect(clockOf(at(minutes))).toBe(clock))
})

it('of two corrections that had not seen each other the newer counts', () => {
  const note = entryOf('note.written', { text: 'first' })
  const fix = (text: string) =>
    entryOf('entry.corrected', { target: note.id, why: 'slip', replacement: { text } }, { role: 'lead' })
  const texts = (entries: AnyEntry[]) => effectiveEntries(entries).map(one => (one.payload as { text: string }).text)
  const [older, newer] = [fix('older'), fix('newer')]
  expect(texts([note, older, newer])).toEqual(['newer'])
  expect(texts([note, newer, older])).toEqual(['older'])
})

it('what corrections of corrections are about is the first of them', () => {
  const note = entryOf('note.written', { text: 'first' })
  const fix = entryOf('entry.corrected', { target: note.id, why: 'slip', replacement: { text: 'second' } })
  const again = entryOf('entry.corrected', { target: fix.id, why: 'slip' })
  expect(rootOf([note, fix, again], again.id)).toBe(note)
  expect(rootOf([note, fix, again], note.id)).toBe(note)
  expect(rootOf([note, fix, again], 'none')).toBeUndefined()
})

describe('leading digits', () => {
  const of = (limits: object) => leadingDigits({ limits, unit: 'mm', decimals: 3 })
  it.each([
    [{ min: 60.002, max: 60.021 }, '60.0'],
    [{ min: 0, max: 0.005 }, '0.0'],
    [{ min: -0.021, max: -0.011 }, null],
    [{ min: 60.002 }, null],
    [{ max: 60.021 }, null],
  ])('of %j: %s', (limits, lead) => expect(of(limits)).toBe(lead))
})

describe('a mark is refused by name', () => {
  const lying = { seenFrom: 'above', carrier: 'paint' }
  it('where the maker put it, where nothing says where it lies, and where nothing is read of it', () => {
    const gears = worker(librarySheet('m10-gear-unit'))
    const marked = (kind: string) =>
      gears.plan.sheet.mates.find(one => one.rule.kind === kind && one.mark && !one.mark.stamped)!
    const label = marked('label')
    expect(refusal(gears, 'mark.made', { mate: label.id, deg: 5, ...lying })).toMatchObject({
      code: 'mate.noLabel',
      values: { mate: label.title },
    })
    const hub = plan.mates.get('hub-index')!
    expect(refusal(technician(), 'mark.made', { mate: hub.id, ...lying })).toEqual({
      code: 'mark.where',
      values: { mate: hub.title },
    })
    const stamped = gears.plan.sheet.mates.find(one => one.mark?.stamped)
    if (stamped)
      expect(refusal(gears, 'mark.made', { mate: stamped.id, deg: 0, ...lying })).toEqual({
        code: 'mark.stamped',
        values: { mate: stamped.title },
      })
  })
  it('where it is made, and where its parts have parted', () => {
    const one = technician()
    const hub = plan.mates.get('hub-index')!
    const mark = { mate: hub.id, deg: 0, ...lying }
    one.workUntil('hub-off')
    one.act('mark.made', mark)
    expect(refusal(one, 'mark.made', mark)).toEqual({ code: 'mark.made', values: { mate: hub.title } })
    one.workUntil('case-pull')
    expect(refusal(one, 'mark.made', mark)).toMatchObject({ code: 'mark.parted', values: { mate: hub.title } })
  })
})

it('a joint that is slackened by nobody’s step is owed again by the step that drew it up', () => {
  const one = technician()
  one.workUntil('left-float')
  const owed = () =>
    viewJob(one.plan, one.folded.state).owed.filter(debt => debt.id.kind === 'joint' && debt.id.joint === 'case-joint')
  expect(owed()).toEqual([])
  one.act('joint.slackened', { joint: 'case-joint', why: 'A drop at the corner' })
  expect(owed().map(debt => debt.step)).toEqual(['case-pull'])
})

it('a lock is met by what is said of it and by new pieces, and by nothing else', () => {
  const locking = {
    ask: 'How?',
    choices: [
      { say: 'tight', met: true },
      { say: 'slack', met: false },
    ],
    ifWrong: 'x',
  }
  const joint = (newPieces?: object) => ({ locking: { ...locking, ...(newPieces ? { newPieces } : {}) } }) as never
  const wire = { what: 'wire', pieces: 2 }
  expect(isLocked({} as never)).toBe(true)
  expect(isLocked(joint())).toBe(false)
  expect(isLocked(joint(), { locked: { say: 'tight' } })).toBe(true)
  expect(isLocked(joint(), { locked: { say: 'slack' } })).toBe(false)
  expect(isLocked(joint(wire), { locked: { say: 'tight' } })).toBe(false)
  expect(isLocked(joint(wire), { locked: { say: 'tight', newPieces: 1 } })).toBe(false)
  expect(isLocked(joint(wire), { locked: { say: 'tight', newPieces: 2 } })).toBe(true)
  expect(isLocked(joint(wire))).toBe(false)
})

describe('a hold over decisions', () => {
  const step = plan.sheet.steps.find(one => one.station === 'decide' && one.hold)!
  const says = (one: ReturnType<typeof technician>) => holdHindrances(one.plan, one.folded.state, step, 'odd')
  it('names the part that is not decided, and how many more', () => {
    const one = technician()
    one.workUntil(step.id)
    const open = () =>
      [...one.plan.parts.values()].filter(
        ({ ref, part }) =>
          one.folded.state.parts.get(ref)?.where === 'off' &&
          part.renewal !== 'always' &&
          !one.folded.state.parts.get(ref)!.decision,
      )
    const many = open()
    expect(many.length).toBeGreaterThan(2)
    one.act('part.decided', { parts: [many[0]!.ref], choice: 'reuse' })
    expect(says(one)).toEqual([
      { code: 'hold.undecided', values: { parts: `${many[1]!.name} and ${many.length - 2} more` } },
    ])
    one.act('part.decided', { parts: many.slice(1, -1).map(each => each.ref), choice: 'reuse' })
    expect(says(one)).toEqual([{ code: 'hold.undecided', values: { parts: many.at(-1)!.name } }])
  })
})

it('a hold over a step before it is signed for that step’s confirmation, too', () => {
  const one = worker(sheetNamed('hub-off-taper'))
  const step = one.plan.sheet.steps.find(each => each.hold?.covers)!
  one.workUntil(step.id)
  const [covered] = step.hold!.covers!
  const work = workOf(one.plan, one.folded.state, step).map(stamp => stamp.entry)
  expect(work).toContain(one.folded.state.steps.get(covered!)!.entry)
})

it('what was fitted is said with the place it went to, where that is not its own', () => {
  const says = (payload: object) =>
    entryWords(plan, entryOf('part.refitted', { part: 'bearing@nde', step: 'bearings-on', ...payload }))
  expect(says({})).toBe('Fitted: Bearing, non-drive end')
  expect(says({ place: 'bearing@nde' })).toBe('Fitted: Bearing, non-drive end')
  expect(says({ place: 'bearing@de' })).toBe('Fitted: Bearing, non-drive end in the place of Bearing, drive end')
})

it('a part in another’s place says what comes of it, and where to go', () => {
  const one = technician()
  one.workUntil('bearings-on')
  one.act('part.refitted', { part: 'bearing@nde', step: 'bearings-on', place: 'bearing@de' })
  expect(viewJob(one.plan, one.folded.state).owed.find(debt => debt.id.kind === 'wrong place')).toMatchObject({
    why: plan.parts.get('bearing@nde')!.part.ifSwapped ?? 'Parts go back to the place they came from',
    settle: { to: 'part', part: 'bearing@nde' },
  })
})

it('why something new is got is said', () => {
  const one = technician({ 'throttle-bush': 1.4 } as never)
  one.workUntil('decide')
  one.act('part.decided', { parts: ['sleeve'], choice: 'renew', why: 'scored' })
  const lines = shoppingOf(one.plan, one.folded.state).flatMap(from => from.lines)
  expect(lines.find(line => line.part === 'sleeve')).toMatchObject({ why: 'scored', taken: false })
  for (const line of lines.filter(each => one.plan.parts.get(each.part)!.part.renewal === 'always'))
    expect(line.why).toBe(`always new: ${one.plan.parts.get(line.part)!.part.renewalWhy}`)
})

it('a note stands on the record as it was written', () => {
  const one = technician()
  one.act('note.written', { text: 'The floor is wet' })
  const { notes } = recordOf(one.plan, one.folded.entries, new Map([['rena', 'Rena']]))
  expect(notes).toMatchObject([{ text: 'The floor is wet', who: 'Rena' }])
})

it('a choice says how much more it leaves owed, either way', () => {
  const one = worker(sheetNamed('blower-clearances'))
  one.workUntil('decide-depth')
  const owed = () => obligations(one.plan, one.folded.state).length
  const more = (choice: string) => consequencesOf(one.plan, one.folded.state, 'depth', choice).owed
  const [before, said] = [owed(), more('overhaul')]
  expect(said).toBeGreaterThan(more('close'))
  one.act('variant.changed', { axis: 'depth', choice: 'overhaul', why: 'as the gaps say' }, 'lead')
  expect(owed() - before).toBe(said)
})

it('how two parts stand is asked once one of them has been put back, not while both have never moved', () => {
  const one = technician()
  const mate = plan.sheet.mates.find(each => each.mark && !each.asked)!
  expect(canBeSeen(plan, one.folded.state, mate)).toBe(false)
  expect(canBeSeen(plan, one.folded.state, mate, [mate.a])).toBe(true)
})

describe('another round', () => {
  /** The fit-up with a check read by gauge among its goals. */
  function gauged(): Sheet {
    const sheet = structuredClone(sheetNamed('four-bearing-fit-up'))
    const loop = sheet.loops![0]!
    const sum = sheet.checks.find(one => loop.until.includes(one.id))!
    const check = { ...sum, id: 'gauged', title: 'Gauged', kind: 'single' as const, unit: 'mm' as const, decimals: 2 }
    delete (check as { sum?: unknown }).sum
    return {
      ...sheet,
      checks: [...sheet.checks, { ...check, span: [0, 5], limits: { max: 1, best: 0.5 }, instrument: 'gauge' }],
      loops: [
        {
          ...loop,
          until: [...loop.until, 'gauged'],
          changes: loop.changes.map(change => ({ ...change, voids: [...change.voids, 'gauged'] })),
        },
      ],
    }
  }
  it('takes what was read by gauge out of force like what was worked out', () => {
    const one = worker(gauged())
    const loop = one.opened.sheet.loops![0]!
    const last = loop.steps.at(-1)!
    one.workUntil(last)
    one.doStep(one.plan.steps.get(last)!)
    const read = () => [...one.folded.state.readings.keys()]
    const goals = () => read().filter(key => loop.until.some(check => key.startsWith(`${check} `)))
    expect(goals().some(key => key.startsWith('gauged '))).toBe(true)
    one.act('round.begun', { loop: loop.id, changed: [loop.changes[0]!.say] })
    expect(one.folded.state.flags).toEqual([])
    expect(goals().filter(key => loop.changes[0]!.voids.some(check => key.startsWith(`${check} `)))).toEqual([])
    expect(one.folded.state.voided.some(gone => gone.check === 'gauged' && gone.cells.size)).toBe(true)
    const [first, second] = recordOf(one.plan, one.folded.entries, new Map()).rounds
    expect(first!.voided.some(words => /^Gauged: .*; void: /.test(words))).toBe(true)
    expect(first!.read.some(words => words.startsWith('Gauged'))).toBe(false)
    expect(second!.voided).toEqual([])
  })
})

/** A value with everything in it, as text. */
const written = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) =>
    one instanceof Map ? { map: [...one] } : one instanceof Set ? { set: [...one] } : one,
  )
/** A state without what is never part of it by value. */
const stateOf = ({ state }: Folded) => written({ ...state, plan: state.plan?.variants })

describe('what is kept of a job is not touched by what comes after', () => {
  const sheets = [
    librarySheet('m10-gear-unit'),
    librarySheet('m8-scraped-surface-exchanger'),
    sheetNamed('drawn-up-joints'),
  ]
  const seen = new Set<string>()
  it.each(sheets.map(sheet => [sheet.title, sheet] as const))(
    '%s: entry by entry, whole or refused half way',
    (_, sheet) => {
      const one = worker(sheet)
      one.workUntil()
      const [own, entries] = [planFor(sheet, {}, SUMS_BY_NAME), one.folded.entries]
      const refused = entryOf('step.done', { step: 'no such step' })
      const kinds = new Set<string>()
      let folded = emptyFold()
      for (const entry of entries) {
        // Each kind is looked at some times: after that it would only take longer.
        const isNew = !kinds.has(entry.kind) || entry.seq! % 40 === 0
        kinds.add(entry.kind)
        const before = isNew ? stateOf(folded) : ''
        if (isNew) {
          expect(takeIn(own, folded, [entry, refused]).ok).toBe(false)
          expect(stateOf(folded), entry.kind).toBe(before)
        }
        const next = extend(own, folded, [entry])
        if (isNew) expect(stateOf(folded), entry.kind).toBe(before)
        folded = next
      }
      for (const kind of kinds) seen.add(kind)
    },
  )
  it('nor by a second reader of the same caution, whose batch is refused', () => {
    const one = technician()
    const read = one.act('caution.read', { step: 'isolate', caution: 0 })
    const before = stateOf(one.folded)
    const again = entryOf('caution.read', { step: 'isolate', caution: 0 }, { by: 'somebody else' })
    expect(takeIn(plan, one.folded, [again, entryOf('step.done', { step: 'no such step' })]).ok).toBe(false)
    expect(stateOf(one.folded), read.kind).toBe(before)
  })
  it('in nearly every kind there is', () =>
    expect([...seen]).toEqual(
      expect.arrayContaining([
        'caution.read',
        'hold.signed',
        'step.done',
        'part.refitted',
        'bolt.eased',
        'reading.taken',
      ]),
    ))
})
