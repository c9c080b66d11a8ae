import { v7 as uuid } from 'uuid'
import { describe, expect, it } from 'vitest'
import { ACTS } from '../core/job/index.ts'
import { plan, technician } from '../tests/pump.ts'
import { entriesSchema, payloadFitting, signInSchema } from './schemas.ts'

const entry = (kind: string, payload: unknown, more = {}) => ({
  id: uuid(),
  kind,
  payload,
  act: uuid(),
  madeAt: '2026-05-01T08:00:00.000Z',
  ...more,
})
const why = (value: unknown) => entriesSchema.validate(value).error?.message

describe('entries', () => {
  it('takes one or many', () => {
    expect(why(entry('note.written', { text: 'x' }))).toBeUndefined()
    expect(why([entry('note.written', { text: 'x' }), entry('step.done', { step: 'isolate' })])).toBeUndefined()
  })
  it.each([
    ['an unknown kind', entry('job.exploded', {})],
    ['an opening', entry('job.opened', {})],
    ['a stranger in the payload', entry('step.done', { step: 'a', admin: true })],
    ['no payload', entry('step.done', undefined)],
    ['a number that is none', entry('bolt.pulled', { joint: 'j', pass: 1, bolt: 1, torqueNm: Number.NaN, text: 'x' })],
    [
      'a number of the wrong version',
      { ...entry('note.written', { text: 'x' }), id: '0b0e6a2e-7f0c-4a57-9d63-2a4d2e1c9f10' },
    ],
    ['nothing', undefined],
    ['junk', 'junk'],
    ['an empty list', []],
    ['a time without a place', entry('note.written', { text: 'x' }, { madeAt: '2026-05-01T08:00:00' })],
    ['a day that is not', entry('note.written', { text: 'x' }, { madeAt: '2026-02-30T08:00:00.000Z' })],
    ['a month that is not', entry('note.written', { text: 'x' }, { madeAt: '2026-13-01T08:00:00.000Z' })],
    ['an hour that is not', entry('note.written', { text: 'x' }, { madeAt: '2026-05-01T25:00:00.000Z' })],
    ['a field more', entry('note.written', { text: 'x' }, { madeBy: 'me' })],
  ])('refuses %s', (_, value) => expect(why(value)).toBeTruthy())
  it('refuses the same number twice', () => {
    const one = entry('note.written', { text: 'x' })
    expect(why([one, one])).toBeTruthy()
  })
})

describe('payloads', () => {
  it('of a whole overhaul fit what their acts say they carry', () => {
    const worker = technician({ general: 0.4, checks: { 'bush-bore': 1.2 }, renewed: ['throttle-bush'] })
    worker.workUntil()
    worker.sign('yes')
    for (const one of worker.folded.entries)
      expect(payloadFitting(one.kind, one.payload), one.kind).toEqual({ payload: one.payload })
    expect(plan.steps.size).toBeGreaterThan(50)
  })
  it('of every kind refuse what they do not carry', () => {
    for (const kind of Object.keys(ACTS) as (keyof typeof ACTS)[])
      expect(payloadFitting(kind, { strange: true }), kind).toHaveProperty('why')
  })
})

it('ids are written one way', () => {
  const one = entry('note.written', { text: 'x' })
  const { value } = entriesSchema.validate({ ...one, id: one.id.toUpperCase() })
  expect((value as { id: string }[])[0]!.id).toBe(one.id)
})

it.each([
  ['12', true],
  ['1234', false],
  ['12345678', false],
  ['123456789', true],
  ['12a4', true],
])('PIN %s refused: %s', (pin, refused) => {
  expect(Boolean(signInSchema.validate({ person: uuid(), pin }).error)).toBe(refused)
})
