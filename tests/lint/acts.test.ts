import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { ACTS } from '../../core/job/index.ts'

const filesIn = (folder: string) =>
  readdirSync(new URL(`../../core/job/${folder}/`, import.meta.url)).map(file => file.replace(/\.ts$/, ''))

describe('one file an entry kind', () => {
  it('every act has its file, and every file its act', () => {
    const kinds = Object.keys(ACTS).map(kind => kind.replace('.', '-'))
    expect(
      filesIn('acts')
        .filter(file => !['index', 'sense'].includes(file))
        .sort(),
    ).toEqual(kinds.sort())
  })
})
