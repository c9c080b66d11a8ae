import { v7 as uuid } from 'uuid'
import { describe, expect, it } from 'vitest'
import { ACTS, type EntryKind, type Fields, type Shape } from '../core/job/index.ts'
import { plan, technician } from '../tests/pump.ts'
import { entriesSchema, idSchema, payloadFitting, signInSchema } from './schemas.ts'

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
      expect(payloadFitting(kind, { strange: true }), kind).toHaveProperty('misfit')
  })
})

/** Spellings that PostgreSQL, or a library, reads as the same id. */
const spellings = (id: string): string[] => {
  const bare = id.replaceAll('-', '')
  const around = (text: string) => [text, `{${text}}`, `[${text}]`, `(${text})`]
  return [
    id.toUpperCase(),
    id.replace(/[a-f]/, letter => letter.toUpperCase()),
    ` ${id}`,
    `${id}\n`,
    bare,
    bare.toUpperCase(),
    id.replaceAll('-', ':'),
    bare.match(/.{4}/g)!.join('-'),
    ...[id, bare, id.toUpperCase(), bare.toUpperCase()].flatMap(around).slice(1),
  ].filter(text => text !== id)
}

/** An example of what a shape carries, and where ids of entries stand in it. */
function exampleOf(shape: Shape, at: string[], ids: string[][]): unknown {
  switch (shape.is) {
    case 'entry':
      ids.push(at)
      return uuid()
    case 'list':
      return [exampleOf(shape.of, [...at, '0'], ids)]
    case 'record':
      return examplesOf(shape.of, at, ids)
    case 'number':
      return Math.max(shape.least ?? 1, (shape.over ?? 0) + 1)
    case 'flag':
      return true
    case 'choice':
      return shape.of[0]
    case 'names':
    case 'payload':
      return {}
    default:
      return 'x'
  }
}
const examplesOf = (fields: Fields, at: string[], ids: string[][]): Record<string, unknown> =>
  Object.fromEntries(Object.entries(fields).map(([key, shape]) => [key, exampleOf(shape, [...at, key], ids)]))

const put = (value: unknown, [key, ...rest]: string[], id: string): unknown =>
  key === undefined
    ? id
    : Object.assign(Array.isArray(value) ? [...value] : { ...(value as object) }, {
        [key]: put((value as Record<string, unknown>)[key], rest, id),
      })

describe('ids are written one way, small letters with hyphens, or not taken', () => {
  const id = uuid()
  it('in what every entry carries beside its payload', () => {
    const one = entry('note.written', { text: 'x' })
    for (const key of ['id', 'act', 'by'])
      for (const spelling of spellings(id))
        expect(why({ ...one, [key]: spelling }), `${key} ${spelling}`).toMatch(/small letters/)
  })
  it('in the payload of every kind', () => {
    const found = (Object.keys(ACTS) as EntryKind[]).flatMap(kind => {
      const ids: string[][] = []
      const example = examplesOf(ACTS[kind].shape, [], ids)
      return ids.map(at => ({ kind, at, example }))
    })
    expect(found.map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['entry.corrected', 'hold.signed', 'concession.given']),
    )
    for (const { kind, at, example } of found) {
      const told = (text: string) => {
        const fits = payloadFitting(kind, put(example, at, text))
        return 'misfit' in fits ? fits.misfit : ''
      }
      expect(told(id), `${kind} ${at.join('.')}`).not.toMatch(/small letters/)
      for (const spelling of spellings(id))
        expect(told(spelling), `${kind} ${at.join('.')} ${spelling}`).toMatch(/small letters/)
    }
  })
  it('of persons and in addresses', () => {
    for (const spelling of spellings(id)) {
      expect(idSchema.validate(spelling).error, spelling).toBeDefined()
      expect(signInSchema.validate({ person: spelling, pin: '123456' }).error, spelling).toBeDefined()
    }
    expect(idSchema.validate(id).error).toBeUndefined()
  })
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
