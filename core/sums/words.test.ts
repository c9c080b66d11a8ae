import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { figure, figures, withChanges } from '../../tests/sums.ts'
import { runSum, SUMS } from './index.ts'

const value = (name: string, key: string, changes: Record<string, unknown> = {}) =>
  Number(figure(name, key, changes).value)
const held = (name: string, key: string, changes: Record<string, unknown> = {}) => figure(name, key, changes).held!

describe('words of the right part', () => {
  const one = (mm: number) => ({ readings: [{ station: 's', plane: 'A', mm }] })
  it.each([
    ['journal', 59.97, 'leastMm', /journal is worn/],
    ['bore', 59.97, 'leastMm', /bore is under size/],
    ['bore', 60.01, 'greatestMm', /bore is worn/],
    ['journal', 60.01, 'greatestMm', /journal is over size/],
    [undefined, 59.97, 'leastMm', /under its minimum size/],
  ])('%s at %s', (part, mm, key, says) =>
    expect(held('round-part', key, { ...one(mm), part }).consequence).toMatch(says),
  )
  it('one plane leaves out of round open, where it is asked for', () => {
    expect(held('round-part', 'outOfRoundUm', one(59.99)).verdict).toBe('Open')
    expect(held('round-part', 'outOfRoundUm', { maxOutOfRoundUm: 3 })).toMatchObject({ verdict: 'Out' })
    expect(held('round-part', 'taperUm', { maxTaperUm: 4 }).consequence).toMatch(/one end carries/)
  })
  it('cooling too long attacks no rubber', () => {
    const late = (what: string) => held('wait', 'doneMin', { what, doneMin: 400 }).consequence
    expect(late('soak')).toMatch(/rubber/)
    expect(late('cool')).toMatch(/cooled past/)
    expect(late('cure')).toMatch(/set/)
  })
  it('thin never borrows the sentence of out', () => {
    for (const sum of SUMS.filter(
      ({ name }) => !['felt-fit', 'hand-turn', 'vibration', 'pump-vibration', 'shaft-vibration'].includes(name),
    ))
      for (const { key, held: judged } of must(runSum(sum, sum.example)).figures)
        if (judged?.verdict === 'Thin') expect(judged.consequence, `${sum.name} ${key}`).toBeNull()
  })
  it('thin says what would follow, and only thin', () => {
    const steep = held('lifting', 'fromVerticalDeg', { fromVerticalDeg: 50 })
    expect(steep).toMatchObject({ verdict: 'Thin', consequence: null, would: expect.stringMatching(/together/) })
    expect(held('lifting', 'fromVerticalDeg', { fromVerticalDeg: 70 }).would).toBeNull()
    for (const sum of SUMS)
      for (const { key, held: judged } of must(runSum(sum, sum.example)).figures)
        if (judged?.would) expect(judged.verdict, `${sum.name} ${key}`).toBe('Thin')
  })
  it('stainless says which', () => {
    for (const sum of SUMS)
      for (const field of Object.values(sum.fields))
        if (field.type === 'choice') expect(field.choices).not.toContain('stainless steel')
  })
  it('angular contact has no radial group', () => {
    figures('bearing-designation', { designation: '7208' }, { group: null })
    refused(
      withChanges('bearing-designation', { designation: '7208 C3' }),
      /angular contact ball has no radial clearance group such as C3/,
    )
  })
  it('a feeler is for rollers with room', () => {
    const said = (changes: Record<string, unknown>) => must(withChanges('internal-clearance', changes)).notes![0]
    expect(said({})).toMatch(/By dial/)
    expect(said({ kind: 'spherical roller', boreMm: 40 })).toMatch(/By dial/)
    expect(said({ kind: 'spherical roller', boreMm: 100 })).toMatch(/By feeler/)
  })
  it('four equal gaps point nowhere; two opposite ones say one component', () => {
    figures('gaps', { gapsMm: [0.5, 0.5, 0.5, 0.5] }, { offsetMm: 0, towardDeg: null })
    figures('gaps', { gapsMm: [0.4, 0.6] }, { offsetMm: 0.1, towardDeg: 0 })
    expect(held('gaps', 'offsetMm', { gapsMm: [0.45, 0.55] }).verdict).toBe('Open')
    expect(held('gaps', 'offsetMm', { gapsMm: [0.3, 0.7] }).verdict).toBe('Out')
    expect(held('gaps', 'offsetMm', { gapsMm: [0.5, 0.5, 0.5] }).verdict).toBe('Open')
  })
  it('no check passes, no word of twelve', () => {
    const { figures: all, schools, working } = must(withChanges('elastic-interaction', { noCheckPasses: true }))
    expect(JSON.stringify([all, schools, working])).not.toMatch(/twelve|check passes wanted/i)
  })
})

describe('refusals by name', () => {
  it.each([
    ['thread', { thread: '1/2 UNC', boltClass: '8.8' }, /8\.8 is a class of metric threads/],
    ['thread', { thread: 'M16', boltClass: 'Grade 5' }, /Grade 5 is a class of inch threads/],
    ['bolt-torque', { boltClass: 'Grade 8' }, /inch threads/],
    ['bearing-designation', { designation: '6312 C3 C4' }, /two clearance groups, C3 and C4/],
    ['bearing-designation', { designation: '6312 2RS ZZ' }, /twice how it is closed/],
    ['bearing-fit', { outsideMm: 55 }, /not above the bore/],
    ['measured-fit', { shaft: 'H7' }, /hole class/],
    ['measured-fit', { hole: 'k6' }, /shaft class/],
    ['lift-check', { toDialMm: undefined }, /two lengths: give “Pivot to dial”/],
    ['lift-check', { toBearingMm: undefined }, /two lengths: give “Pivot to bearing”/],
    ['bolt-order', { pattern: 'middle outwards' }, /circle has no middle/],
    ['thread', { thread: '2-6 UN' }, /eight an inch/],
  ] as const)('%s %j', (name, changes, why) => refused(withChanges(name, changes), why))
  it('a lever needs neither length where the dial stands on the bearing', () =>
    figures('lift-check', { toDialMm: undefined, toBearingMm: undefined }, { liftMm: 0.14 }))
  it('B7 has its metric strengths on metric studs, and its own in inches', () => {
    // ASTM A193M: 720 MPa to M64; ASTM A193: 105 ksi to 2½ in, 95 ksi to 4 in.
    figures('thread', { thread: 'M36', boltClass: 'B7' }, { strengthMPa: 720 })
    figures('thread', { thread: '2-8 UN', boltClass: 'B7' }, { strengthMPa: 105 * 6.894757293168361 })
    figures('thread', { thread: '3-8 UN', boltClass: 'B7' }, { strengthMPa: 95 * 6.894757293168361 })
  })
  it('threads of small screws and large studs', () => {
    // ISO 898-1 gives 5.03 mm² for M3 and 8.78 mm² for M4; ASME B1.1 gives 2.77 in² for 2-8 UN.
    expect(value('thread', 'stressAreaMm2', { thread: 'M3' })).toBeCloseTo(5.03, 2)
    expect(value('thread', 'stressAreaMm2', { thread: 'M4' })).toBeCloseTo(8.78, 2)
    expect(value('thread', 'stressAreaMm2', { thread: '2-8 UN', boltClass: 'B7' }) / 645.16).toBeCloseTo(2.77, 2)
  })
  it('on the limit is inside: a gap that wants no shim', () =>
    figures('shim-choice', { openMm: 0.2 }, { pack: 'no shim', gapMm: 0.2 }))
})
