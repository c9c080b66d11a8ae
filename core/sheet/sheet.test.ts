import { SUMS_BY_NAME } from '../sums/index.ts'
import { beforeEach, describe, expect, it } from 'vitest'
import { librarySheet } from '../../tests/sheets.ts'
import { coupledVariants, everyVariant, planFor, stepsBefore, type Sheet } from './index.ts'
import { examineSheet } from './examination/index.ts'

let sheet: Sheet
beforeEach(() => {
  sheet = structuredClone(librarySheet('m14-axially-split-pump'))
})
const step = (id: string) => sheet.steps.find(one => one.id === id)!

describe('examination', () => {
  it('passes a sound sheet', () => expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([]))
  it.each<[string, () => void, RegExp]>([
    [
      'a step that waits for itself',
      () => {
        step('isolate').needs = ['guard-on']
      },
      /waits for itself/,
    ],
    [
      'an unknown step',
      () => {
        step('drain').needs = ['nowhere']
      },
      /needs an unknown step nowhere/,
    ],
    [
      'a mark seen from an end the machine has not',
      () => {
        sheet.mates.find(one => one.mark)!.mark!.seenFrom = 'gear end'
      },
      /is seen from gear end, which is none of: non-drive end, drive end, above, below/,
    ],
    [
      'a joint seen from nowhere',
      () => {
        sheet.joints[0]!.seenFrom = 'behind'
      },
      /joint .* is seen from behind/,
    ],
    [
      'a title that hangs on what is decided only on the job',
      () => {
        sheet.axes[0]!.decided = { step: 'decide', ask: 'Which?' }
        step('drain').title = { by: sheet.axes[0]!.id, of: {} } as never
      },
      /step drain title hangs on/,
    ],
    [
      'an unknown part',
      () => {
        step('guard-off').removes = ['moon']
      },
      /unknown part moon/,
    ],
    [
      'a part that never goes back',
      () => {
        step('guard-on').fits = []
      },
      /guard comes off and never goes back/,
    ],
    [
      'a part fitted before it is off',
      () => {
        step('guard-on').needs = []
        step('guard-off').needs = ['guard-on']
      },
      /fits guard without first needing it off/,
    ],
    [
      'a mark never made',
      () => {
        step('hub-off').marks = []
      },
      /no step makes the mark of hub-index/,
    ],
    [
      'a check without limits',
      () => {
        sheet.checks[0]!.limits = {}
      },
      /float has no limits/,
    ],
    [
      'a check that does not say whose limits',
      () => {
        sheet.checks[0]!.source = ''
      },
      /does not say where/,
    ],
    [
      'a joint that stops short',
      () => {
        sheet.joints[0]!.passes = [0.3, 0.6]
      },
      /cannot be drawn up as written/,
    ],
    [
      'evidence gone before it is asked for',
      () => {
        step('spacer-off').needs = ['found-coupling']
      },
      /destroys float without first needing found-float/,
    ],
    [
      'a debt that nobody pays',
      () => {
        step('top-off').leaves = [{ id: 'x', what: 'x', until: 'isolate' }]
      },
      /does not come after/,
    ],
    [
      'two parts of one name',
      () => {
        sheet.parts.push({ ...sheet.parts[0]! })
      },
      /two parts are called/,
    ],
    [
      'a case that is never shut',
      () => {
        step('top-on').closes = false
      },
      /no step shuts the case/,
    ],
    [
      'an unknown kit',
      () => {
        sheet.parts[0]!.kit = 'none'
      },
      /unknown kit/,
    ],
  ])('names %s', (_, break_, words) => {
    break_()
    expect(examineSheet(sheet, SUMS_BY_NAME).join('\n')).toMatch(words)
  })
})

describe('variants', () => {
  it('are looked at in those combinations that hang together', () => {
    // Faces and flush hang on nothing in common: each is tried by itself.
    expect(coupledVariants(sheet)).toHaveLength(3)
    step('pipe-off').when = { flush: 'water', faces: 'hard' }
    expect(coupledVariants(sheet)).toHaveLength(4)
  })
  it('hang together where one names the other', () => {
    sheet.axes.push({ id: 'size', title: 'Size', choices: ['30', '45'].map(id => ({ id, title: id })) })
    expect(coupledVariants(sheet)).toHaveLength(4)
    step('pipe-on').text = { by: 'size', of: { 30: 'x', 45: 'y' } } as never
    // The pipe hangs on the flush, and now on the size as well: 2 × 2, and the faces by themselves.
    expect(coupledVariants(sheet)).toHaveLength(5)
  })
  it('not by figures alone, which change nothing for what names them', () => {
    sheet.axes.push({ id: 'size', title: 'Size', choices: ['30', '45'].map(id => ({ id, title: id })) })
    const [pipe] = step('pipe-on').fits!
    sheet.parts.find(one => one.id === pipe)!.massKg = { by: 'size', of: { 30: 4, 45: 6 } } as never
    sheet.parts.find(one => one.id === pipe)!.when = undefined
    expect(coupledVariants(sheet)).toHaveLength(4)
  })
  it('are every combination of choices', () => expect(everyVariant(sheet)).toHaveLength(4))
  it('go through each step that is left out once, however many ways lead to it', () => {
    const when = { flush: 'water' }
    const layer = (i: number) => ['a', 'b'].map(side => `out-${i}-${side}`)
    const needs = (i: number) => (i ? layer(i - 1) : ['isolate'])
    for (let i = 0; i < 40; i++)
      for (const id of layer(i)) sheet.steps.push({ ...step('drain'), id, title: id, needs: needs(i), when })
    step('leak-test').needs!.push(...layer(39))
    expect(planFor(sheet, { flush: 'none' }).steps.get('leak-test')!.needs).toEqual(['plate-pull', 'drain', 'isolate'])
  })
  it('leave out what does not apply, and what points to it', () => {
    const plan = planFor(sheet, { flush: 'none' })
    expect(plan.steps.has('pipe-off')).toBe(false)
    expect(plan.steps.get('leak-test')!.needs).toEqual(['plate-pull', 'drain'])
    expect(plan.variants).toEqual({ faces: 'carbon', flush: 'none' })
  })
})

it('knows everything that comes before a step', () => {
  const before = stepsBefore(planFor(sheet).steps, 'top-on')
  expect(before.has('isolate')).toBe(true)
  expect(before.has('run')).toBe(false)
  expect(before.has('top-on')).toBe(false)
})
