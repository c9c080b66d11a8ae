import { expect, it } from 'vitest'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { sumsNamed } from './sums'

it('every sum is found by its name, and by no other', async () => {
  const names = [...SUMS_BY_NAME.values()].filter(sum => !sum.bench).map(sum => sum.name)
  for (const name of names) expect((await sumsNamed([name])).get(name), name).toBe(SUMS_BY_NAME.get(name))
  expect([...(await sumsNamed(['input end', 'no such sum'])).keys()]).toEqual([])
})
