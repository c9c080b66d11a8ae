import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { FEATURES } from '../../core/job/features/index.ts'
import { ALL } from '../../core/job/kinds.ts'

const filesIn = (folder: string) => readdirSync(new URL(`../../${folder}/`, import.meta.url))
const named = (declared: 'acts' | 'owes' | 'sections' | 'pads') =>
  Object.values(ALL).flatMap(feature =>
    declared in feature ? Object.keys((feature as Record<string, object>)[declared]!) : [],
  )

describe('features of the bench', () => {
  it('each has a file or a folder, and every file is one', () => {
    const files = filesIn('core/job/features').map(file => file.replace(/\.ts$/, ''))
    expect(files.filter(file => !['index', 'sense'].includes(file)).sort()).toEqual(Object.keys(FEATURES).sort())
  })
  it.each(['acts', 'owes', 'sections', 'pads'] as const)('no two declare the same %s', declared => {
    const names = named(declared)
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([])
  })
  it('no two keep the same in the state of a job', () => {
    const names = Object.values(ALL).flatMap(feature => ('slice' in feature ? Object.keys(feature.slice()) : []))
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([])
  })
  it('every pad has its component, found by its name', () => {
    const files = filesIn('app/components/bench')
    const missing = named('pads').filter(name => !files.includes(`${name[0]!.toUpperCase()}${name.slice(1)}Pad.vue`))
    expect(missing).toEqual([])
  })
})
