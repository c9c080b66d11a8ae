import { v7 as uuid } from 'uuid'
import { describe, expect, it } from 'vitest'
import { entriesSchema, signInSchema } from './schemas.ts'

const entry = (kind: string, payload: unknown, more = {}) => ({
  id: uuid(),
  kind,
  payload,
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
    ['evidence of nothing', entry('evidence.lost', { why: 'x' })],
    [
      'a replacement by a signature',
      entry('entry.corrected', {
        target: uuid(),
        why: 'x',
        replacement: { kind: 'job.signed', payload: { cured: 'yes' } },
      }),
    ],
    [
      'a replacement that does not fit',
      entry('entry.corrected', { target: uuid(), why: 'x', replacement: { kind: 'step.done', payload: {} } }),
    ],
    ['a field more', entry('note.written', { text: 'x' }, { madeBy: 'me' })],
  ])('refuses %s', (_, value) => expect(why(value)).toBeTruthy())
  it('refuses the same number twice', () => {
    const one = entry('note.written', { text: 'x' })
    expect(why([one, one])).toBeTruthy()
  })
})

it.each([
  ['12', true],
  ['1234', false],
  ['123456789', true],
  ['12a4', true],
])('PIN %s refused: %s', (pin, refused) => {
  expect(Boolean(signInSchema.validate({ person: uuid(), pin }).error)).toBe(refused)
})
