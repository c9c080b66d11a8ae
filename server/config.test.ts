import { describe, expect, it } from 'vitest'
import { isOurHost, readConfig } from './config.ts'

const sound = { DATABASE_URL: 'postgres://a:b@127.0.0.1:5432/c', NUXT_SESSION_PASSWORD: 'x'.repeat(32) }

describe('the configuration', () => {
  it('is read whole', () =>
    expect(
      readConfig({ ...sound, NEEDLER_HOSTS: 'Needler.example, other', NUXT_SESSION_COOKIE_SECURE: 'true' }),
    ).toEqual({
      databaseUrl: sound.DATABASE_URL,
      hosts: ['needler.example', 'other'],
      isHttps: true,
    }))
  it.each([
    [{ ...sound, DATABASE_URL: undefined }, /DATABASE_URL is not set/],
    [{ ...sound, DATABASE_URL: 'mysql://x' }, /DATABASE_URL/],
    [{ ...sound, NUXT_SESSION_PASSWORD: 'short' }, /at least 32 characters/],
    [{ ...sound, NUXT_SESSION_COOKIE_SECURE: 'perhaps' }, /NUXT_SESSION_COOKIE_SECURE/],
    [{ ...sound, NEEDLER_LOG: 'shout' }, /NEEDLER_LOG/],
  ])('%j is refused in words', (env, why) => expect(() => readConfig(env)).toThrow(why))
})

describe('names the pages may be asked for under', () => {
  it.each([
    ['127.0.0.1:3000', true],
    ['[::1]:3000', true],
    ['192.168.4.7', true],
    ['localhost:3000', true],
    ['needler.example', true],
    ['NEEDLER.example:443', true],
    ['elsewhere.example', false],
    ['127.0.0.1.elsewhere.example', false],
    ['', false],
    [undefined, false],
    ['a b', false],
  ])('%s: %s', (host, ours) => expect(isOurHost(host, { hosts: ['needler.example'] })).toBe(ours))
})
