import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sheetOf, type RandomMachine } from '../../tests/sheets/random.ts'
import { worker } from '../../tests/sheets.ts'
import { refusal } from '../../tests/pump.ts'
import { examineSheet } from '../sheet/examination/index.ts'
import { emptyFold, extend, fold, stepsLeft, trayOf, unmetNeeds, viewJob } from './index.ts'

const machines = fc.integer({ min: 2, max: 6 }).chain(n =>
  fc.record({
    under: fc.tuple(...Array.from({ length: n }, (_, i) => fc.subarray(Array.from({ length: i }, (_unused, j) => j)))),
    spoils: fc.array(fc.boolean(), { minLength: n, maxLength: n }),
    gates: fc.integer({ min: 0, max: 2 }),
    joints: fc.array(fc.constantFrom('torque', 'turn', 'felt', 'nip', null), { minLength: n, maxLength: n }),
    holds: fc.array(fc.constantFrom('lead', 'certified', null, null), { minLength: n, maxLength: n }),
  }),
) as fc.Arbitrary<RandomMachine>

/** Works a machine through in any order its needs allow, as the numbers pick; `tell` sees every step before it is done. */
function work(
  machine: RandomMachine,
  picks: readonly number[],
  tell: (one: ReturnType<typeof worker>, step: string) => void,
) {
  const one = worker(sheetOf(machine))
  for (let i = 0; ; i++) {
    const free = stepsLeft(one.plan, one.folded.state).filter(
      step => !unmetNeeds(one.plan, one.folded.state, step).length,
    )
    const step = free[(picks[i % picks.length] ?? 0) % Math.max(1, free.length)]
    if (!step) return one
    tell(one, step.id)
    one.doStep(step)
  }
}
const picking = fc.array(fc.nat(50), { minLength: 5, maxLength: 30 })

describe('machines that nobody drew', () => {
  it('are sound, and reach the end in any order their needs allow', () =>
    fc.assert(
      fc.property(machines, picking, (machine, picks) => {
        expect(examineSheet(sheetOf(machine))).toEqual([])
        // The naive model: a part is off between its two steps, and nowhere else.
        const off = new Set<string>()
        const one = work(machine, picks, (now, step) => {
          expect(new Set(trayOf(now.plan, now.folded.state).off.map(part => part.ref))).toEqual(off)
          // A joint is owed from the step that can reach it until it is drawn up, and its hold until it is signed.
          const owed = viewJob(now.plan, now.folded.state).owed
          const i = Number(step.split('-')[1])
          if (step.startsWith('up-')) {
            expect(owed.some(debt => debt.kind === 'joint' && debt.step === step)).toBe(Boolean(machine.joints![i]))
            expect(owed.some(debt => debt.kind === 'hold' && debt.step === step)).toBe(Boolean(machine.holds![i]))
          }
          if (step.startsWith('off-')) off.add(step.replace('off-', 'p'))
          if (step.startsWith('on-')) off.delete(step.replace('on-', 'p'))
          // A gate is open for the step that shuts it exactly when everything before it is done.
          if (step.startsWith('shut')) expect(viewJob(now.plan, now.folded.state).gate.open).toBe(true)
        })
        expect(one.folded.state.flags).toEqual([])
        expect(viewJob(one.plan, one.folded.state).owed).toEqual([])
      }),
      { numRuns: 40 },
    ))

  it('lose nothing perishable silently: what was not read keeps its part on', () =>
    fc.assert(
      fc.property(machines, picking, fc.nat(5), (machine, picks, which) => {
        const i = which % machine.under.length
        const skipped = `read-${i}`
        const one = worker(sheetOf({ ...machine, spoils: machine.spoils.map((_, j) => j === i || machine.spoils[j]!) }))
        for (let n = 0; n < 60; n++) {
          const free = stepsLeft(one.plan, one.folded.state).filter(
            step => step.id !== skipped && !unmetNeeds(one.plan, one.folded.state, step).length,
          )
          const step = free[(picks[n % picks.length] ?? 0) % Math.max(1, free.length)]
          if (!step) break
          one.doStep(step)
        }
        expect(one.folded.state.parts.get(`p${i}`)).toBeUndefined()
        expect(refusal(one, 'part.lifted', { parts: [`p${i}`], step: `off-${i}` })).toMatchObject({
          code: 'step.hindered',
          values: { what: expect.stringMatching(`read-${i}|Reading ${i}`) },
        })
        expect(
          viewJob(one.plan, one.folded.state).owed.some(debt => debt.perishable && debt.what === `Reading ${i}`),
        ).toBe(true)
      }),
      { numRuns: 40 },
    ))

  it('stand the same however their ledger is cut', () =>
    fc.assert(
      fc.property(machines, picking, fc.array(fc.nat(400), { maxLength: 5 }), (machine, picks, cuts) => {
        const { folded, opened } = work(machine, picks, () => {})
        const whole = fold(opened, folded.entries)
        let piece = emptyFold()
        const ends = [...cuts.map(cut => cut % folded.entries.length), folded.entries.length].sort((a, b) => a - b)
        for (const [n, to] of ends.entries()) piece = extend(opened, piece, folded.entries.slice(ends[n - 1] ?? 0, to))
        expect(piece.state).toEqual(whole)
      }),
      { numRuns: 20 },
    ))
})
