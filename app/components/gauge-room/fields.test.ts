import { mountSuspended } from '@nuxt/test-utils/runtime'
import { beforeEach, describe, expect, it } from 'vitest'
import { choice, fallback, flag, list, number, optional, rows, text } from '../../../core/sums/fields'
import { runSum, sumNamed, type RowsField } from '../../../core/sums/index'
import { must } from '../../../tests/must'
import { withChanges } from '../../../tests/sums'
import ContactGrid from './ContactGrid.vue'
import FieldFigures from './FieldFigures.vue'
import FieldRows from './FieldRows.vue'
import SumAnswer from './SumAnswer.vue'
import SumFields from './SumFields.vue'

beforeEach(() => localStorage.clear())

describe('several figures of one kind', () => {
  const field = list('Readings', 'mm', [0, 100], [1, 4])
  const mount = (texts: string[]) =>
    mountSuspended(FieldFigures, { props: { id: 'readings', field, texts, unit: 'mm' } })
  async function typed(start: string[], words: string) {
    const got = await mount(start)
    await got.find('input').setValue(words)
    await got.find('form').trigger('submit')
    return got
  }
  it.each([
    ['59.98', ['59.98']],
    ['59.98 59.99;60', ['59.98', '59.99', '60']],
    ['2 3/8 in', ['2 3/8 in']],
    ['1 1/4 in 1 1/2 in', ['1 1/4 in', '1 1/2 in']],
    ['59,98', ['59,98']],
  ])('takes “%s”', async (words, taken) => {
    const got = await typed([], words)
    expect(got.emitted('change')).toEqual([[taken]])
    expect((got.find('input').element as HTMLInputElement).value).toBe('')
  })
  it.each([
    ['12 Nm', /unit of torque/],
    ['1000', /expected is 0 to 100 mm/],
    ['1 2 3', /At most 4/],
  ])('“%s” is refused in words and stays', async (words, why) => {
    const got = await typed(['1', '2'], words)
    expect(got.emitted('change')).toBeUndefined()
    expect(got.find('[role=alert]').text()).toMatch(why)
    expect((got.find('input').element as HTMLInputElement).value).toBe(words)
  })
  it('a touch takes one away; a full list takes no more', async () => {
    const got = await mount(['1', '2', '3', '4'])
    expect(got.find('input').exists()).toBe(false)
    await got.findAll('button')[1]!.trigger('click')
    expect(got.emitted('change')).toEqual([[['1', '3', '4']]])
  })
})

describe('a short table', () => {
  const field = rows(
    'Parts',
    {
      part: text('Part', 20),
      mm: number('Reads', 'mm', [0, 100]),
      sign: choice('Gap', ['opens', 'closes']),
      renewed: optional(flag('Renewed')),
    },
    [1, 3],
  ) as unknown as RowsField
  const mount = (list: Record<string, string | boolean>[]) =>
    mountSuspended(FieldRows, { props: { id: 'parts', field, rows: list } })
  const row = { part: 'ring', mm: '12', sign: 'closes', renewed: false }
  it('another row repeats what is chosen, and no figure', async () => {
    const got = await mount([row])
    await got.find('[data-test=field-parts]').trigger('click')
    expect(got.emitted('change')).toEqual([[[row, { part: '', mm: '', sign: 'closes', renewed: false }]]])
  })
  it('what is typed goes to its own cell', async () => {
    const got = await mount([row, row])
    await got.find('[aria-label="Reads, row 2"]').setValue('13')
    got.findComponent({ name: 'ElSelect' }).vm.$emit('change', 'opens')
    await got.findComponent({ name: 'ElCheckbox' }).find('input').setValue(true)
    expect(got.emitted('change')).toEqual([
      [[row, { ...row, mm: '13' }]],
      [[{ ...row, sign: 'opens' }, row]],
      [[{ ...row, renewed: true }, row]],
    ])
  })
  it('says under its row what is wrong, and takes a row away', async () => {
    const got = await mount([row, { ...row, mm: '500' }])
    expect(got.findAll('[role=alert]').map(one => one.text())).toEqual([
      expect.stringMatching(/expected is 0 to 100 mm/),
    ])
    await got.find('[aria-label="Take row 2 away"]').trigger('click')
    expect(got.emitted('change')).toEqual([[[row]]])
  })
  it('heads its columns with the unit, and ends when it is full', async () => {
    const got = await mount([row, row, row])
    expect(got.findAll('th')[1]!.text()).toMatch(/^Reads\smm$/)
    expect(got.find('[data-test=field-parts]').exists()).toBe(false)
  })
})

describe('the half on which contact is ticked', () => {
  it('goes from empty to full to half and back', async () => {
    const got = await mountSuspended(ContactGrid, { props: { squares: ['0', '1', '0.5'] } })
    const squares = got.findAll('button')
    expect(squares).toHaveLength(24)
    expect(squares.slice(0, 4).map(one => one.attributes('aria-label'))).toEqual([
      'Row 1, square 1: empty',
      'Row 1, square 2: full',
      'Row 1, square 3: half',
      'Row 1, square 4: empty',
    ])
    for (const at of [0, 1, 2]) await squares[at]!.trigger('click')
    expect(got.emitted('change')!.map(([squares], at) => (squares as string[])[at])).toEqual(['1', '0.5', '0'])
  })
})

describe('the fields of a sum', () => {
  const sum = {
    ...sumNamed('shrink-fit')!,
    fields: {
      boreMm: number('Bore', 'mm', [1, 500]),
      material: optional(choice('It is of', ['steel', 'bronze'])),
      dry: flag('It is dry'),
      friction: fallback(number('Friction', '1', [0, 1]), 0.14),
      samples: fallback(number('Samples', '1', [0, 1e7]), 100000),
      roughUm: fallback(number('Roughness Rz', 'µm', [0, 100]), 6),
    },
  }
  const mount = (texts: Record<string, string | boolean>) =>
    mountSuspended(SumFields, { props: { sum, texts, errors: {} } })
  it('says its defaults in one line, and opens it', async () => {
    const got = await mount({ boreMm: '60', roughUm: '8' })
    expect(got.find('.assumed').text()).toMatch(/Defaults: friction 0.14, samples 100 000, roughness Rz 8 µm\./)
    expect(got.find('[data-test=field-friction]').exists()).toBe(false)
    await got.find('.assumed button').trigger('click')
    expect(got.find('[data-test=field-friction]').exists()).toBe(true)
  })
  it('echoes what was understood, and only where it was not plain', async () => {
    const echo = async (boreMm: string) => (await mount({ boreMm })).find('[data-test=echo-boreMm]')
    expect((await echo('2 3/8 in')).text()).toBe('= 60.325 mm')
    expect((await echo('60')).exists()).toBe(false)
    expect((await echo('60 Nm')).exists()).toBe(false)
  })
  it('a choice that may be left out can be said not to be known again', async () => {
    const got = await mount({ material: 'bronze', dry: false })
    const choices = got.findAll('[aria-label="It is of"] input')
    await choices[0]!.setValue(true)
    await choices.at(-1)!.setValue(true)
    await got.find('[data-test=field-dry] input, input[data-test=field-dry]').setValue(true)
    expect(got.emitted('set')).toEqual([
      ['material', 'steel'],
      ['material', ''],
      ['dry', true],
    ])
  })
  it('asks only for what applies', async () => {
    const asked = async (layout: string) => {
      const got = await mountSuspended(SumFields, {
        props: { sum: sumNamed('bolt-order')!, texts: { layout }, errors: {} },
      })
      return ['bolts', 'along', 'across'].filter(key => got.find(`[data-test=field-${key}]`).exists())
    }
    expect(await asked('on a circle')).toEqual(['bolts'])
    expect(await asked('round a rectangle')).toEqual(['along', 'across'])
    expect(await asked('along a split line')).toEqual(['along'])
  })
})

describe('what a sum gives', () => {
  async function given(name: string, changes: Record<string, unknown> = {}) {
    const sum = sumNamed(name)!
    return mountSuspended(SumAnswer, {
      props: { sum, input: { ...sum.example, ...changes }, answer: must(withChanges(name, changes)) },
    })
  }
  it('judged figures first, each with what it was held against and what being out does', async () => {
    const got = await given('runout', { maxUm: 50 })
    expect(got.find('[data-test=verdict-tirUm]').text()).toBe('Failed')
    expect(got.find('.says').text()).toBe(
      '116 % of the allowance is gone. Limit maximum 50.0 µm, typed here, from the maker’s manual. The shaft is bent or its centres are off: seals leak and bearings run hot.',
    )
  })
  it('notes stand before the schools, and the working comes on demand', async () => {
    const got = await given('preload')
    const html = got.html()
    expect(html.indexOf('half as much load again')).toBeLessThan(html.indexOf('kN at this torque'))
    expect(got.find('table').exists()).toBe(false)
    await got.find('[data-test=working]').trigger('click')
    expect(got.findAll('tr')).toHaveLength(must(withChanges('preload')).working.length)
    expect(got.find('table').text()).toContain('(120 − 0)·1000/(0.2·16)')
  })
  it('the school that was taken is marked', async () => {
    const chosen = (await given('elastic-interaction')).findAll('.schools .chosen')
    expect(chosen).toHaveLength(1)
  })
  it('a figure that is not to be had is not shown', async () => {
    const got = await given('gaps', { gapsMm: [0.4, 0.5, 0.6], maxOffsetMm: undefined })
    expect(got.find('[data-test=value-offsetMm]').exists()).toBe(false)
    expect(runSum(sumNamed('gaps')!, { gapsMm: [0.4] }).ok).toBe(false)
  })
})
