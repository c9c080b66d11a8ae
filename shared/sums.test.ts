import { readdirSync, readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runSum, SUMS, sumNamed } from '../core/sums/index.ts'
import type { Field, Fields } from '../core/sums/index.ts'
import { answerOne, answerSum, listSums, MOST_INPUTS } from './sums.ts'

interface VectorFile {
  cases: { input: Record<string, unknown>; expect: Record<string, unknown>; tolerance: number | string }[]
}
const FOLDER = new URL('../tests/vectors/', import.meta.url)
const files = readdirSync(FOLDER).map(file => ({
  name: file.replace('.json', ''),
  ...(JSON.parse(readFileSync(new URL(file, FOLDER), 'utf8')) as VectorFile),
}))

/** Numbers within the case's own tolerance, everything else exactly. */
function meets(got: unknown, wanted: unknown, tolerance: number | string): boolean {
  if (typeof wanted !== 'number') return got === wanted
  const [size, relative] = [Number.parseFloat(String(tolerance)), String(tolerance).includes('relative')]
  return typeof got === 'number' && Math.abs(got - wanted) <= Math.max(size * (relative ? Math.abs(wanted) : 1), 1e-12)
}

describe.each(files)('worked cases of $name', ({ name, cases }) => {
  const answers = answerSum(
    name,
    cases.map(one => one.input),
  )
  it('answers a list in its order', () => expect(answers).toMatchObject({ ok: true, value: { length: cases.length } }))
  it.each(cases.map((one, at) => ({ at, ...one })))('case $at', ({ at, input, expect: wanted, tolerance }) => {
    const got = (answers as { value: Record<string, unknown>[] }).value[at]!
    for (const [key, value] of Object.entries(wanted))
      expect(meets(got[key], value, tolerance), `${key}: ${String(got[key])} for ${String(value)}`).toBe(true)
    if (wanted.refused) expect(String(got.why).length).toBeGreaterThan(20)
    expect(answerSum(name, input)).toMatchObject({ ok: true, value: got })
  })
})

describe.each(SUMS.map(sum => ({ name: sum.name, sum })))('$name', ({ name, sum }) => {
  const { example } = sum
  const answer = answerOne(sum, example)
  it('works its own example out, with a working', () => {
    expect(answer).not.toHaveProperty('refused')
    const working = (answer as { working: { what: string; rule: string; sum: string; gives: string }[] }).working
    expect(working.length).toBeGreaterThan(0)
    for (const line of working)
      expect(
        [line.what, line.rule, line.sum, line.gives].every(one => one.length > 0),
        JSON.stringify(line),
      ).toBe(true)
  })
  it('judges with a source and never an empty word', () => {
    for (const one of (answer as { judged?: { verdict: string; source: string; consequence: string | null }[] })
      .judged ?? []) {
      expect(['Holds', 'Thin', 'Out', 'Open']).toContain(one.verdict)
      expect(one.source.length).toBeGreaterThan(4)
      if (one.verdict === 'Out') expect(one.consequence, 'an Out says what it does').toBeTruthy()
    }
  })
  it('is listed with a schema that takes its example and refuses an unknown key', () => {
    const { input } = listSums().find(one => one.name === name)!
    const takes = new Ajv({ strict: false }).compile(input)
    expect(takes(sum.example), JSON.stringify(takes.errors)).toBe(true)
    expect(takes({ ...sum.example, nonsense: 1 })).toBe(false)
  })
  it('never shows NaN, Infinity or an empty verdict, whatever fits its fields', () => {
    fc.assert(
      fc.property(arbitraryOf(sum.fields), input => {
        const got = runSum(sum, input)
        if (!got.ok) return void expect(got.why.length).toBeGreaterThan(15)
        const text = JSON.stringify(got.value, (_, value: unknown) =>
          typeof value === 'number' && !Number.isFinite(value) ? 'not finite' : value,
        )
        expect(text).not.toMatch(/not finite|NaN|Infinity|undefined|"verdict":""/)
        for (const { key, held } of got.value.figures) {
          if (!held) continue
          expect(held.source.length, `${key}: held against what?`).toBeGreaterThan(4)
          if (held.verdict === 'Out') expect(held.consequence, `${key}: what does it do?`).toBeTruthy()
        }
      }),
      { numRuns: sum.cost ? 8 : 40 },
    )
  })
})

/** Any input that fits a sum's fields, edges of the spans included. */
function arbitraryOf(fields: Fields): fc.Arbitrary<Record<string, unknown>> {
  const entries = Object.entries(fields).map(
    ([key, field]) =>
      [key, field.optional ? fc.option(valueOf(key, field), { nil: undefined }) : valueOf(key, field)] as const,
  )
  return fc
    .record(Object.fromEntries(entries))
    .map(input => Object.fromEntries(Object.entries(input).filter(([, value]) => value !== undefined)))
}
function valueOf(key: string, field: Field): fc.Arbitrary<unknown> {
  switch (field.type) {
    case 'number': {
      const [low, high] = key === 'samples' ? [100, 300] : field.span
      return field.whole
        ? fc.integer({ min: low, max: Math.min(high, 3000) })
        : fc.oneof(
            fc.constantFrom(low, high),
            fc.double({ min: low, max: high, noNaN: true }),
            fc.double({ min: low, max: Math.min(high, low + 10), noNaN: true }),
          )
    }
    case 'list':
      return fc.array(fc.double({ min: field.span[0], max: field.span[1], noNaN: true }), {
        minLength: field.least,
        maxLength: Math.min(field.most, Math.max(field.least, 12)),
      })
    case 'choice':
      return fc.constantFrom(...field.choices)
    case 'many':
      return fc.uniqueArray(fc.constantFrom(...field.choices), { minLength: 1, maxLength: 3 })
    case 'flag':
      return fc.boolean()
    case 'text':
      return fc.oneof(fc.constantFrom('H7', 'k6', 'M16', '6312 C3', '12 mm', 'A', 'B'), fc.string({ maxLength: 8 }))
    case 'rows':
      return fc.array(arbitraryOf(field.columns), {
        minLength: field.least,
        maxLength: Math.min(field.most, Math.max(field.least, 5)),
      })
  }
}

describe('what the wire refuses', () => {
  const gear = (input: unknown) => answerOne(sumNamed('gear-mesh')!, input)
  it.each([
    [{ pinionTeeth: 22 }, /“wheelTeeth” is missing/],
    [{ pinionTeeth: 2, wheelTeeth: 30 }, /less than 5\. Count again/],
    [{ pinionTeeth: '22', wheelTeeth: 30 }, /must be a number/],
    [{ pinionTeeth: 22.5, wheelTeeth: 30 }, /whole number/],
    [{ pinionTeeth: 22, wheelTeeth: 30, teeth: 1 }, /not an input of “gear-mesh”\. It takes: pinionTeeth/],
    [null, /must be an object/],
    [[1], /must be an object/],
    ['x', /must be an object/],
  ])('%j', (input, why) => expect(gear(input)).toMatchObject({ refused: true, why: expect.stringMatching(why) }))
  it('names the unit and the span of a figure that cannot be', () =>
    expect(
      answerOne(sumNamed('mounting-temperature')!, {
        boreMm: 60000,
        interferenceUm: 20,
        assemblyClearanceUm: 20,
        ambientC: 20,
      }),
    ).toMatchObject({ why: expect.stringMatching(/more than 1000 mm/) }))
  it('names a class that is not defined for a size', () =>
    expect(answerSum('limits-and-fits', { nominalMm: 60, hole: 'K9', shaft: 'h6' })).toMatchObject({
      value: { refused: true, why: expect.stringMatching(/K9 is not defined for 60 mm/) },
    }))
  it('keeps the good ones of a list', () =>
    expect(answerSum('gear-mesh', [{ pinionTeeth: 22, wheelTeeth: 110 }, {}])).toMatchObject({
      value: [{ meshes: 22 }, { refused: true }],
    }))
  it('knows no other sum, and says which there are', () =>
    expect(answerSum('divination', {})).toMatchObject({
      ok: false,
      status: 404,
      refusal: { code: 'sum.unknown', values: { name: 'divination', known: expect.stringMatching(/gear-mesh/) } },
    }))
  it.each([undefined, 'text', 7, null])('wants an object or a list: %s', body =>
    expect(answerSum('gear-mesh', body)).toMatchObject({ ok: false, status: 400 }),
  )
  it('limits a list', () =>
    expect(answerSum('gear-mesh', new Array(MOST_INPUTS + 1).fill({}))).toMatchObject({ ok: false, status: 400 }))
  it('does a second of work and no more', () => {
    const trial = { ...sumNamed('stack-trial')!.example, samples: 400_000 }
    const answer = answerSum('stack-trial', new Array(20).fill(trial)) as unknown as {
      value: { refused?: true; why?: string }[]
      work: number
    }
    const refused = answer.value.findIndex(one => one.refused)
    expect(refused).toBeGreaterThan(1)
    expect(answer.value.at(-1)).toMatchObject({ refused: true, why: expect.stringMatching(/Gauge room/) })
    expect(answer.work).toBeGreaterThan(1e7)
    const shims = sumNamed('shim-choice')!
    const fine = {
      ...shims.example,
      openMm: 90,
      mostPieces: 20,
      stock: Array.from({ length: 60 }, (_, i) => ({ thicknessMm: 1 + i * 0.0137, count: 200 })),
    }
    expect(answerOne(shims, fine)).toMatchObject({ refused: true })
    expect(runSum(shims, { ...fine, openMm: 99 }).ok).toBe(false)
  })
  it('gives every sum a name of its own', () => expect(new Set(SUMS.map(one => one.name)).size).toBe(SUMS.length))
})
