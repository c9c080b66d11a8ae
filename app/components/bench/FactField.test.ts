import { mountSuspended } from '@nuxt/test-utils/runtime'
import { expect, it } from 'vitest'
import FactField from './FactField.vue'

const SERIAL = { id: 'serial', name: 'Serial', ask: 'What serial stands on the plate?', example: 'LH 1' }
const fieldOf = (before: string | undefined, text: string, isOther = false) =>
  mountSuspended(FactField, { props: { fact: before === undefined ? SERIAL : { ...SERIAL, before }, text, isOther } })

it('what nobody kept before is written down', async () => {
  const field = await fieldOf(undefined, '')
  expect(field.find('[data-test=still]').exists()).toBe(false)
  await field.find('input').setValue('LH 4471')
  expect(field.emitted('write')).toEqual([['LH 4471']])
})

it('what was kept is confirmed with one touch', async () => {
  const field = await fieldOf('LH 4471', '')
  await field.find('[data-test=still]').trigger('click')
  expect(field.emitted('write')).toEqual([['LH 4471']])
  const same = await fieldOf('LH 4471', 'lh-4471')
  expect(same.find('[role=alert]').exists()).toBe(false)
})

it('another one is named, and said to be another', async () => {
  const field = await fieldOf('LH 4471', 'LH 4477')
  expect(field.find('[role=alert]').text()).toContain('The last job kept LH 4471')
  await field.find('[data-test=another]').trigger('click')
  expect(field.emitted('other')).toEqual([[true]])
  const other = await fieldOf('LH 4471', 'LH 4477', true)
  expect(other.find('[role=alert]').text()).toContain('the record says so')
  expect(other.find('[data-test=another]').exists()).toBe(false)
})
