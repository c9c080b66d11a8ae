import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expandSheet, leftOver, settledFor } from './expand.ts'

const lists = {
  brg: [
    { id: 'de', name: 'drive end', seenFrom: 'drive end', bore: 60 },
    { id: 'nde', name: 'non-drive end', seenFrom: 'non-drive end', bore: 50 },
  ],
  half: [
    { id: 'up', name: 'upper' },
    { id: 'low', name: 'lower' },
  ],
}

describe('writing out', () => {
  it('an item for each of a list, its holes filled, a number for a number', () =>
    expect(
      expandSheet({
        lists,
        checks: [
          { each: 'brg', id: 'lift-{brg}', title: 'Lift, {brg.name}', span: [0, '{brg.bore}'], of: ['bearing@{brg}'] },
          { id: 'float' },
        ],
      }),
    ).toEqual({
      checks: [
        { id: 'lift-de', title: 'Lift, drive end', span: [0, 60], of: ['bearing@de'] },
        { id: 'lift-nde', title: 'Lift, non-drive end', span: [0, 50], of: ['bearing@nde'] },
        { id: 'float' },
      ],
      parts: [],
    }))
  it('over two lists, every pair', () => {
    const { parts } = expandSheet({
      lists,
      parts: [{ each: ['brg', 'half'], id: 'shell-{brg}-{half}', name: 'Shell, {half.name}, {brg.name}' }],
    })
    expect(parts.map(one => one.id)).toEqual(['shell-de-up', 'shell-de-low', 'shell-nde-up', 'shell-nde-low'])
  })
  it('a value by the list it is written out for', () => {
    const { checks } = expandSheet({
      lists,
      checks: [{ each: 'brg', id: 'warm-{brg}', limits: { max: { by: 'brg', of: { de: 75, nde: 70 } } } }],
    })
    expect(checks.map(one => one.limits)).toEqual([{ max: 75 }, { max: 70 }])
  })
  it('one of a list that is not always there takes its condition to all that is written out for it', () => {
    const five = { stages: 'five' }
    const { parts, checks, steps } = expandSheet({
      lists: {
        stage: [
          { id: 's1', name: 'stage 1' },
          { id: 's5', name: 'stage 5', when: five },
        ],
        half: lists.half,
      },
      parts: [{ id: 'bowl', places: { each: 'stage', name: '{stage.name}' } }],
      checks: [
        { each: ['stage', 'half'], id: 'bore-{stage}-{half}', when: { column: 'long' } },
        { id: 'lift', stations: { each: 'stage', name: '{stage.name}' } },
      ],
      steps: [
        { each: 'stage', inTurn: ['s5', 's1'], id: 'off-{stage}', when: { stages: ['three', 'five'] } },
        { each: 'stage', id: 'never-{stage}', when: { stages: 'three' } },
      ],
    })
    expect(parts[0]!.places).toEqual([
      { id: 's1', name: 'stage 1' },
      { id: 's5', name: 'stage 5', when: five },
    ])
    expect(checks.map(one => one.when)).toEqual([
      { column: 'long' },
      { column: 'long' },
      { column: 'long', ...five },
      { column: 'long', ...five },
      undefined,
    ])
    expect(checks.at(-1)).toMatchObject({ stations: [{ name: 'stage 1' }, { name: 'stage 5', when: five }] })
    expect(steps.map(one => one.when)).toEqual([
      { stages: ['five'] },
      { stages: ['three', 'five'] },
      { stages: 'three' },
      { stages: [] },
    ])
  })
  it('“all of them” in references, alone or within a row', () => {
    const { steps } = expandSheet({
      lists,
      parts: [{ id: 'bearing', places: { each: 'brg', name: '{brg.name}' } }],
      steps: [
        { each: 'brg', id: 'lay-{brg}', station: 'build' },
        {
          id: 'close',
          needs: ['wash', 'lay-{*}'],
          fits: ['bearing@{*}'],
          destroys: [{ check: 'lay-{*}', moment: 'build' }],
        },
      ],
    }) as { steps: Record<string, unknown>[] }
    expect(steps.at(-1)).toEqual({
      id: 'close',
      needs: ['wash', 'lay-de', 'lay-nde'],
      fits: ['bearing@de', 'bearing@nde'],
      destroys: [
        { check: 'lay-de', moment: 'build' },
        { check: 'lay-nde', moment: 'build' },
      ],
    })
  })
  it('steps in turn, all for the one before any for the other, and known by their name', () => {
    const { steps } = expandSheet({
      lists,
      steps: [
        { each: 'brg', inTurn: ['nde', 'de'], id: 'open-{brg}', needs: ['drain'] },
        { each: 'brg', inTurn: ['nde', 'de'], id: 'out-{brg}', needs: ['open-{brg}'] },
        { each: 'brg', inTurn: ['de', 'nde'], id: 'in-{brg}' },
        { id: 'shut', needs: ['out-{*}', 'in-{*}'] },
      ],
    }) as { steps: unknown }
    expect(steps).toEqual([
      { id: 'open-nde', needs: ['drain'] },
      { id: 'out-nde', needs: ['open-nde'] },
      { id: 'open-de', needs: ['drain'] },
      { id: 'out-de', needs: ['open-de'] },
      { id: 'in-de' },
      { id: 'in-nde' },
      { id: 'shut', needs: ['out-nde', 'out-de', 'in-de', 'in-nde'] },
    ])
  })
  it('all places of a part where the sheet has no list', () => {
    const parts = [{ id: 'ring', places: [{ id: 'front' }, { id: 'rear' }] }]
    expect(expandSheet({ parts, steps: [{ id: 'off', removes: ['ring@{*}'] }] }).steps).toEqual([
      { id: 'off', removes: ['ring@front', 'ring@rear'] },
    ])
  })
  it('places by their number', () => {
    const { parts } = expandSheet({
      parts: [{ id: 'blade', places: { count: 3, name: 'blade {n}', numbered: 'from the drive end' } }],
    })
    expect(parts[0]!.places).toEqual([
      { id: '1', name: 'blade 1', numbered: 'from the drive end' },
      { id: '2', name: 'blade 2', numbered: 'from the drive end' },
      { id: '3', name: 'blade 3', numbered: 'from the drive end' },
    ])
  })
  it('is the same as writing by hand, for any list and any order of items', () => {
    const ids = fc.uniqueArray(fc.stringMatching(/^[a-z]{1,6}$/), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(ids, ids, (over, others) => {
        const plain = others.map(id => ({ id: `x-${id}`, needs: [] }))
        const short = {
          lists: { one: over.map(id => ({ id, name: id.toUpperCase() })) },
          parts: [],
          steps: [...plain, { each: 'one', id: 's-{one}', title: '{one.name}' }, { id: 'end', needs: ['s-{*}'] }],
        }
        const long = {
          parts: [],
          steps: [
            ...plain,
            ...over.map(id => ({ id: `s-${id}`, title: id.toUpperCase() })),
            { id: 'end', needs: over.map(id => `s-${id}`) },
          ],
        }
        expect(expandSheet(short)).toEqual(long)
        // Written out once, nothing is left to be written out.
        expect(expandSheet(expandSheet(short))).toEqual(long)
      }),
    )
  })
})

describe('settling for a machine', () => {
  it('takes values by their axis and leaves out what does not hold, wherever it stands', () =>
    expect(
      settledFor(
        {
          limits: { max: { by: 'size', of: { 30: 0.1, 45: 0.2 } } },
          tools: [{ say: 'puller', when: { size: '30' } }, { say: 'press', when: { size: '45' } }, 'bar'],
        },
        { size: '45' },
      ),
    ).toEqual({ limits: { max: 0.2 }, tools: [{ say: 'press', when: { size: '45' } }, 'bar'] }))
  it('a choice that the value says nothing for leaves it out, and that is found', () => {
    const settled = settledFor({ max: { by: 'size', of: { 30: 1 } } }, { size: '45' })
    expect(settled).toEqual({})
  })
})

describe('what is left over', () => {
  it.each([
    [{ title: 'Lift, {brg.name}' }, /title has a hole \{brg\.name\} that nothing fills/],
    [{ needs: ['lay-{*}'] }, /needs names all of lay-\{\*\}: that stands in a list/],
    [{ limits: { max: { by: 'moon', of: {} } } }, /limits hangs on moon, which is no axis/],
  ])('%j is said', (value, words) => expect(leftOver(value, 'check lift').join()).toMatch(words))
  it('nothing, of a sheet written out', () => expect(leftOver({ title: 'Lift', needs: ['a'] }, 'x')).toEqual([]))
})
