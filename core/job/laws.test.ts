import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { entryOf, plan, reading, sheet } from '../../tests/pump.ts'
import { planFor, type Check, type Mate } from '../sheet/index.ts'
import {
  checkResults,
  emptyFold,
  extend,
  asksOf,
  hindrances,
  isWanted,
  lacks,
  mateMet,
  nextStep,
  refusalOf,
  stepsLeft,
  trayOf,
  viewJob,
  type AnyEntry,
  type EntryKind,
  sentenceOf,
} from './index.ts'

const entry = (kind: EntryKind, payload: unknown): AnyEntry => entryOf(kind, payload as never, { role: 'lead' })
const refs = [...plan.parts.keys()]
const steps = [...plan.steps.keys()]
const mates = [...plan.mates.keys()]

/** Any act a hand might try, sensible or not. */
const anyAct = fc.oneof(
  fc.constantFrom(...steps).map(step => entry('step.done', { step })),
  fc.tuple(fc.constantFrom(...steps), fc.nat(2)).map(([step, caution]) => entry('caution.read', { step, caution })),
  fc
    .tuple(fc.subarray(refs, { minLength: 1, maxLength: 3 }), fc.constantFrom(...steps))
    .map(([parts, step]) => entry('part.lifted', { parts, step })),
  fc
    .constantFrom(...steps.filter(id => plan.steps.get(id)!.removes))
    .map(step => entry('part.lifted', { parts: plan.steps.get(step)!.removes, step })),
  fc
    .tuple(fc.constantFrom(...refs), fc.constantFrom('guard-on', 'cap-on-de', 'bush-on'))
    .map(([part, step]) => entry('part.refitted', { part, step })),
  fc
    .tuple(fc.constantFrom(...mates), fc.constantFrom<object>({ deg: 30 }, { say: 'nowhere' }, { notYet: true }, {}))
    .map(([mate, answer]) => entry('mate.answered', { mate, ...answer })),
  fc
    .tuple(fc.constantFrom(...refs), fc.nat(12), fc.constantFrom('out', 'in'))
    .map(([part, n, way]) => entry('pieces.counted', { part, n, way })),
  fc.constantFrom(...refs).map(part => entry('part.renewed', { part, from: 'stock' })),
  fc
    .tuple(fc.constantFrom(...refs), fc.constantFrom('reuse', 'renew'))
    .map(([part, choice]) => entry('part.decided', { parts: [part], choice })),
  fc
    .tuple(fc.constantFrom(...mates), fc.nat(359))
    .map(([mate, deg]) => entry('mark.made', { mate, deg, seenFrom: 'drive end', carrier: 'paint' })),
  fc
    .tuple(fc.nat(12), fc.nat(4), fc.nat(100))
    .map(([bolt, pass, torqueNm]) =>
      entry('bolt.pulled', { joint: 'case-joint', bolt, pass, torqueNm, text: String(torqueNm) }),
    ),
  fc
    .double({ min: -10, max: 10, noNaN: true })
    .map(value => entry('reading.taken', reading('seal-setting', 'asFound', [[value], [42]]))),
)

describe('what the server takes', () => {
  it('is never flagged by the fold, and what it refuses changes nothing', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { maxLength: 40 }), acts => {
        let folded = emptyFold()
        for (const act of acts) {
          const why = refusalOf(plan, folded, act)
          const after = extend(plan, folded, [act])
          if (why === null) {
            expect(after.state.flags).toEqual([])
            folded = after
          } else expect(sentenceOf(why)).toMatch(/[.)?]$/)
        }
        const { steps: done } = folded.state
        const unwanted = [...plan.steps.values()].filter(
          step => !done.has(step.id) && !isWanted(plan, folded.state, step),
        )
        expect(done.size + stepsLeft(plan, folded.state).length + unwanted.length).toBe(plan.steps.size)
      }),
      { numRuns: 60 },
    )
  })
  it('a step that hides behind nothing may be done, and one that hides may not', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { maxLength: 25 }), fc.constantFrom(...steps), (acts, id) => {
        let folded = emptyFold()
        for (const act of acts) if (refusalOf(plan, folded, act) === null) folded = extend(plan, folded, [act])
        const step = plan.steps.get(id)!
        // Parts to move, and what is asked with the step, stand beside the hindrances.
        if (folded.state.steps.has(id) || step.removes?.length || step.fits?.length) return
        if (lacks(plan, asksOf(plan, folded.state, step), {}).length) return
        const free = hindrances(plan, folded.state, viewJob(plan, folded.state).owed, step).length === 0
        expect(refusalOf(plan, folded, entry('step.done', { step: id })) === null).toBe(free)
      }),
      { numRuns: 60 },
    )
  })
  it('the card always shows a step whose needs are met, until none is left', () => {
    fc.assert(
      fc.property(fc.subarray(steps), done => {
        const act = { by: 'a', role: 'fitter' as const, at: '', entry: '', n: 1, seq: 1 }
        const state = { ...emptyFold().state, steps: new Map(done.map(step => [step, act])) }
        const next = nextStep(plan, state)
        const wanted = steps.filter(id => isWanted(plan, state, plan.steps.get(id)!))
        expect(next === null).toBe(wanted.every(id => done.includes(id)))
        if (!next) return
        expect(done).not.toContain(next.id)
        expect((next.needs ?? []).every(id => done.includes(id) || !wanted.includes(id))).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})

describe('mating rules', () => {
  const mate = (rule: Mate['rule']) =>
    ({ id: 'm', title: 'm', a: 'a', b: 'b', rule, carriedBy: 'mark', ifWrong: '' }) as Mate
  const met = (rule: Mate['rule'], mark: number, at: number) =>
    mateMet(mate(rule), { deg: mark }, { mate: 'm', deg: at })
  it.each([
    ['in line', { kind: 'aligned' }, 90, 90, true],
    ['within five degrees', { kind: 'aligned' }, 90, 95, true],
    ['outside them', { kind: 'aligned' }, 90, 95.1, false],
    ["across twelve o'clock", { kind: 'aligned' }, 358, 2, true],
    ['opposed', { kind: 'aligned', deg: 180 }, 10, 190, true],
    ['opposed, but in line', { kind: 'aligned', deg: 180 }, 10, 10, false],
    ['a part of three, one step on', { kind: 'aligned', symmetry: 3 }, 0, 120, true],
    ['a part of three, half a step on', { kind: 'aligned', symmetry: 3 }, 0, 60, false],
    ['its own tolerance', { kind: 'aligned', toleranceDeg: 20 }, 0, 19, true],
  ] as [string, Mate['rule'], number, number, boolean][])('%s', (_, rule, mark, at, wanted) =>
    expect(met(rule, mark, at)).toBe(wanted),
  )
  it('what is seen is met as the sheet says, a distance within its tolerance, a lost mark by what was written', () => {
    const seen = mate({
      kind: 'seen',
      ask: '?',
      choices: [
        { say: 'whole', met: true },
        { say: 'half', met: false },
      ],
    })
    expect(['whole', 'half', 'else'].map(say => mateMet(seen, undefined, { mate: 'm', say }))).toEqual([
      true,
      false,
      false,
    ])
    const line = mate({ kind: 'distance', toleranceMm: 0.3, span: [0, 90] })
    expect([42, 42.3, 42.31].map(mm => mateMet(line, { mm: 42 }, { mate: 'm', mm }))).toEqual([true, true, false])
    expect(mateMet(mate({ kind: 'aligned' }), undefined, { mate: 'm', say: 'by the drawing' })).toBe(true)
    expect(mateMet(seen, undefined, { mate: 'm', notYet: true })).toBe(false)
  })
})

describe('results by kind of check', () => {
  const base: Check = {
    id: 'x',
    title: 'X',
    kind: 'single',
    of: [],
    unit: 'mm',
    decimals: 2,
    span: [-100, 100],
    limits: { max: 0.3 },
    source: 's',
    at: [{ moment: 'asFound', step: 'found-float' }],
    instrument: 'dial',
    high: 'bad',
  }
  const result = (
    check: Partial<Check>,
    ...readings: {
      tries: (number | string)[][]
      station?: string
      plane?: string
      style?: 'travels' | 'signed readings'
    }[]
  ) => {
    const own = planFor({
      ...sheet,
      checks: [{ ...base, ...check }],
      steps: sheet.steps.map(step => ({ ...step, destroys: [] })),
    })
    const folded = extend(
      own,
      emptyFold(),
      readings.map(({ tries, ...more }) => entry('reading.taken', reading('x', 'asFound', tries, more))),
    )
    expect(folded.state.flags).toEqual([])
    return checkResults(own, folded.state).get('x asFound')!
  }
  it('nothing measured is open and has no value', () =>
    expect(result({})).toMatchObject({ value: null, judgement: { verdict: 'Open' }, missing: [{}] }))
  it('a lift is written one of two ways', () => {
    expect(result({ kind: 'lift' }, { tries: [[0.12, -0.09]], style: 'signed readings' }).value).toBeCloseTo(0.21, 9)
    expect(result({ kind: 'lift' }, { tries: [[0.12, 0.09]], style: 'travels' }).value).toBeCloseTo(0.21, 9)
    const signed = entry('reading.taken', reading('lift-de', 'asFound', [[0.12, -0.09]], { style: 'travels' }))
    expect(extend(plan, emptyFold(), [signed]).state.flags[0]!.why).toMatchObject({
      code: 'reading.unreadable',
      values: { why: 'A travel has no sign. If the dial went below zero, choose signed readings.' },
    })
  })
  it('a sweep gives its run-out and says when it is coarse', () => {
    const sweep = result({ kind: 'runout', sweep: 4 }, { tries: [[0, 0.2, 0.4, 0.2]] })
    expect(sweep).toMatchObject({ judgement: { verdict: 'Out' }, consequence: 'bad' })
    expect(sweep.value).toBeCloseTo(0.4, 9)
    expect(sweep.notes().join()).toMatch(/three lobes/)
  })
  it('a round part is judged by its worst reading, not by its mean', () => {
    const journal = result(
      {
        kind: 'round',
        stations: [{ name: '1' }, { name: '2' }],
        planes: ['A'],
        span: [50, 70],
        limits: { min: 59.98, max: 60, best: 60 },
        low: 'creeps',
      },
      { station: '1', plane: 'A', tries: [[60]] },
      { station: '2', plane: 'A', tries: [[59.97]] },
    )
    expect(journal.value).toBeCloseTo(59.985, 9)
    expect(journal).toMatchObject({
      span: [59.97, 60],
      judgement: { verdict: 'Out', side: 'low' },
      consequence: 'creeps',
    })
    expect(journal.working().at(-1)!.gives).toMatch(/open: one plane/)
  })
  it('is open while a place is missing, however bad the others are', () => {
    expect(
      result(
        {
          kind: 'round',
          stations: [{ name: '1' }, { name: '2' }],
          planes: ['A'],
          span: [50, 70],
          limits: { min: 59.98, max: 60 },
        },
        { station: '1', plane: 'A', tries: [[55]] },
      ),
    ).toMatchObject({ judgement: { verdict: 'Open' }, missing: [{ place: '2', column: 'A' }] })
  })
})

it('the tray gives the newest part first and forgets nothing', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([...plan.removedBy.keys()]), order => {
      const folded = extend(
        plan,
        emptyFold(),
        order.map(ref => entry('part.lifted', { parts: [ref], step: plan.removedBy.get(ref)!.id })),
      )
      expect(trayOf(plan, folded.state).off.map(one => one.ref)).toEqual([...order].reverse())
    }),
  )
})
