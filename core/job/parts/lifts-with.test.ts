import { describe, expect, it } from 'vitest'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import type { Sheet } from '../../sheet/index.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { offWith, readingKey, viewJob } from '../index.ts'

const GIVEN = { known: 'the angle of equal legs', legs: 2, fromVerticalDeg: 30, equalised: false }

/** The clamp and the nut ride on the cover; the clamp is taken off it on the bench. */
function sheet(): Sheet {
  const own = sheetNamed('drawn-up-joints')
  const masses = { cover: 20, nut: 2, clamp: 3 }
  const along = { clamp: 'cover', nut: 'clamp' } as Partial<Record<string, string>>
  return {
    ...own,
    parts: own.parts.map(part => ({ ...part, massKg: masses[part.id as 'nut'], liftsWith: along[part.id] })),
    checks: [
      {
        ...sheetNamed('hub-off-taper').checks[0]!,
        id: 'sling',
        of: ['cover'],
        unit: 'kg',
        limits: {},
        sum: { name: 'lifting', from: { massKg: 'mass@all-off' }, given: GIVEN, trend: 'hangsKN' },
        at: [{ moment: 'inspect', step: 'all-off' }],
      } as Sheet['checks'][number],
    ],
    steps: own.steps.flatMap(step =>
      step.id === 'all-off'
        ? [
            { ...step, removes: ['cover'] },
            {
              ...step,
              id: 'clamp-off',
              title: 'Take the clamp off the cover',
              needs: ['all-off'],
              removes: ['clamp', 'nut'],
            },
          ]
        : step.id === 'decide' || step.id === 'nut-on'
          ? [{ ...step, needs: [...step.needs!, 'clamp-off'] }]
          : [step],
    ),
  }
}

describe('what comes along', () => {
  const at = (step: string) => {
    const one = worker(sheet())
    one.workUntil(step)
    return (ref: string) => offWith(one.plan, one.folded.state, ref)
  }
  it('is off the machine with what it lifts with, until it is taken off itself', () => {
    expect(at('all-off')('clamp')).toBeNull()
    const lifted = at('clamp-off')
    expect(lifted('clamp')).toBe('cover')
    expect(lifted('nut')).toBe('cover')
    expect(lifted('cover')).toBeNull()
    expect(at('decide')('clamp')).toBeNull()
  })
  it('is built up on the bench, and comes back with it', () => {
    // Nut and clamp go on while the cover lies on the bench.
    expect(at('cover-on')('clamp')).toBe('cover')
    expect(at('cover-up')('clamp')).toBeNull()
  })
  it('weighs with it, and no more once it was taken off first', () => {
    const one = worker(sheet())
    one.workUntil('all-off')
    const derived = () =>
      viewJob(one.plan, one.folded.state).results.get(readingKey('sling', 'inspect'))!.worked!.derived
    expect(derived().massKg).toBe(25)
    one.workUntil('decide')
    // What was weighed at the lift stays what hung on the hook then.
    expect(derived().massKg).toBe(25)
    const bare = sheet()
    bare.checks[0]!.sum!.from = { massKg: 'mass@clamp-off' }
    const other = worker(bare)
    other.workUntil('all-off')
    const { worked } = viewJob(other.plan, other.folded.state).results.get(readingKey('sling', 'inspect'))!
    expect(worked!.derived.massKg).toBe(5)
  })
  it('lifts with a part there is, and not with itself', () => {
    const wrong = (along: Record<string, string>) => {
      const own = sheet()
      return examineSheet(
        { ...own, parts: own.parts.map(part => ({ ...part, liftsWith: along[part.id] })) },
        SUMS_BY_NAME,
      )
    }
    expect(wrong({ clamp: 'lid' })).toContain('clamp lifts with an unknown part lid')
    expect(wrong({ clamp: 'nut', nut: 'clamp' })).toEqual(
      expect.arrayContaining(['clamp lifts with itself', 'nut lifts with itself']),
    )
  })
})
