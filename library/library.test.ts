import { answersOf, choicesOf } from '../core/job/index.ts'
import { readdirSync } from 'node:fs'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { describe, expect, it } from 'vitest'
import { librarySheet, sourceOf } from '../tests/sheets.ts'
import { everyVariant, placesOf, planFor, type SheetFrame } from '../core/sheet/index.ts'
import { examineSheet } from '../core/sheet/examination/index.ts'

const files = readdirSync(import.meta.dirname).filter(file => file.endsWith('.yaml'))
const written = (file: string) => sourceOf<SheetFrame>(`library/${file}`)
/** Families that are taken apart on a bench of their own, and fit in two hands. */
const IN_TWO_HANDS = new Set(['M4', 'M18', 'M20'])
const load = (file: string) => librarySheet(file.replace(/\.yaml$/, ''))

describe.each(files)('%s', file => {
  const sheet = load(file)
  it('is sound in every variant', () => expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([]))
  it('is a machine, not a sketch', () => {
    const between = (n: number, least: number, most: number, what: string) => {
      expect(n, what).toBeGreaterThanOrEqual(least)
      expect(n, what).toBeLessThanOrEqual(most)
    }
    // What fits on a bench and in two hands has fewer parts, and is whole with them.
    const whole = IN_TWO_HANDS.has(sheet.family)
      ? { parts: 12, steps: 15, mates: 8 }
      : { parts: 20, steps: 25, mates: 8 }
    // What is decided on the job may be to close it up again, or to scrap it: then it is taken apart less far, or not at all.
    const short = sheet.axes.some(axis => axis.decided) ? { parts: 12, steps: 2, mates: 0 } : whole
    const plans = everyVariant(sheet).map(variants => planFor(sheet, variants))
    const most = Math.max(...plans.map(({ sheet: own }) => own.steps.length))
    for (const { parts, sheet: own } of plans) {
      const least = own.steps.length > most * 0.8 ? whole : short
      // Wires and hoses come by the dozen: neither they nor their labels make a machine.
      const isLabel = (b: string) => parts.get(b)?.part.joins !== undefined
      between(own.parts.filter(part => !part.joins).length, least.parts, 90, 'parts as they are written')
      between(own.mates.filter(mate => !isLabel(mate.b)).length, least.mates, 40, 'mates')
      const back = own.steps.filter(step => step.station === 'build' || step.station === 'prove').length
      between(own.steps.length - back, least.steps, 60, 'steps off')
      between(back, least.steps, 60, 'steps back')
      // Most of how parts stand is told by more than yes or no.
      const bare = own.mates.filter(one => one.rule.kind === 'seen' && one.rule.choices.length < 3)
      expect(bare.length).toBeLessThanOrEqual(0.2 * own.mates.length)
    }
    between(written(file).checks.length, 10, 50, 'checks as they are written')
    expect(sheet.notice).toMatch(/maker's manual/)
  })
  it('has the right answer first, and longest, no oftener than chance would have it', () => {
    const { whole } = planFor(sheet)
    const questions = [
      ...whole.mates.map(mate => choicesOf(mate).map(({ say, met }) => ({ say, isRight: met }))),
      ...whole.checks.map(check => answersOf(check).map(({ say, verdict }) => ({ say, isRight: verdict === 'Holds' }))),
    ].filter(answers => answers.length)
    const longest = (answers: { say: string }[]) => Math.max(...answers.map(one => one.say.length))
    const chance = questions.reduce((sum, one) => sum + one.filter(({ isRight }) => isRight).length / one.length, 0)
    expect(questions.filter(([first]) => first!.isRight).length).toBeLessThanOrEqual(chance)
    expect(
      questions.filter(one => one.some(({ say, isRight }) => isRight && say.length === longest(one))).length,
    ).toBeLessThanOrEqual(chance)
  })
  it('asks at its last step what its machine is left like, or has it looked at by another', () => {
    for (const variants of everyVariant(sheet)) {
      const { checksAt, sheet: own } = planFor(sheet, variants)
      const { id, fits, found, hold } = own.steps.at(-1)!
      expect(checksAt.has(id) || fits || found || hold, id).toBeTruthy()
    }
  })
  it('says why every always-new part is always new', () => {
    for (const part of sheet.parts.filter(one => one.renewal === 'always'))
      expect(part.renewalWhy, part.id).toBeTruthy()
  })
  it('says what being out does, for every side that can be out', () => {
    for (const { id, limits, low, high } of sheet.checks) {
      if (limits.min !== undefined) expect(low, `${id} low`).toBeTruthy()
      if (limits.max !== undefined) expect(high, `${id} high`).toBeTruthy()
    }
  })
  it('gives every part place its own drawing item or place', () => {
    for (const variants of everyVariant(sheet)) {
      const items = planFor(sheet, variants).sheet.parts.map(part => part.item)
      expect(new Set(items).size).toBe(items.length)
    }
    expect(new Set(sheet.parts.flatMap(placesOf).map(one => one.ref)).size).toBe(sheet.parts.flatMap(placesOf).length)
  })
})
