import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { diskWords } from './disk.ts'
import { databaseFault, faultSaid } from './faults.ts'

const coded = (code: string, message = 'x') => Object.assign(new Error(message), { code })

describe('what a fault of the database is', () => {
  it.each([
    ['CONNECT_TIMEOUT', 'away'],
    ['CONNECTION_CLOSED', 'away'],
    ['CONNECTION_DESTROYED', 'away'],
    ['ECONNREFUSED', 'away'],
    ['08006', 'away'],
    ['57P01', 'away'],
    ['57P03', 'away'],
    ['53300', 'away'],
    ['57014', 'slow'],
    ['55P03', 'slow'],
    ['53100', 'full'],
  ] as const)('%s: %s', (code, kind) => expect(databaseFault(coded(code))).toBe(kind))
  it('is found in what caused an error', () =>
    expect(databaseFault(Object.assign(new Error('query failed'), { cause: coded('ECONNRESET') }))).toBe('away'))
  it('a disk that is full is said by the system as well', () =>
    expect(databaseFault(coded('58030', 'could not write: No space left on device'))).toBe('full'))
  it.each([coded('23505'), coded('42P01'), new TypeError('x'), null, 'text'])('is none: %s', error =>
    expect(databaseFault(error)).toBeNull(),
  )
})

describe('in words', () => {
  it('away is a 503 that says what becomes of what was typed', async () =>
    expect(await faultSaid(coded('ECONNREFUSED'))).toEqual({
      status: 503,
      refusal: { code: 'database.away', values: {} },
    }))
  it('a full disk is a 507', async () =>
    expect(await faultSaid(coded('53100'))).toEqual({
      status: 507,
      refusal: { code: 'database.full', values: { disk: expect.stringMatching(/is full/) } },
    }))
  it('what is no fault of the database is left alone', async () => expect(await faultSaid(new Error('x'))).toBeNull())
})

describe('the disk', () => {
  const folder = mkdtempSync(join(tmpdir(), 'disk-'))
  it('has room', async () => expect(await diskWords(false, folder)).toBeNull())
  it('is named where the database says that it is full', async () =>
    expect(await diskWords(true, folder)).toMatch(`at ${folder}, is full (`))
  it('is not known where nobody said where it lies', async () => {
    expect(await diskWords(false, undefined)).toBeNull()
    expect(await diskWords(true, '/no/such/place')).toMatch('is full. Make room')
  })
})
