import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { askAhead, askOrKept } from './answers.ts'

const fetched = vi.fn<(path: string) => Promise<unknown>>()
beforeEach(() => {
  fetched.mockReset()
  vi.stubGlobal('$fetch', fetched)
  vi.stubGlobal('window', {})
  askAhead([])
})

describe('what is asked ahead of a page', () => {
  it('is asked once, and taken by who asks for it first', async () => {
    fetched.mockImplementation(async path => `${path} ${fetched.mock.calls.length}`)
    askAhead(['/api/yard'])
    expect(await askOrKept('/api/yard')).toEqual({ value: '/api/yard 1', keptAt: null })
    expect(await askOrKept('/api/yard')).toEqual({ value: '/api/yard 2', keptAt: null })
  })

  it('is let go when the next page asks for something else', async () => {
    fetched.mockImplementation(async path => `${path} ${fetched.mock.calls.length}`)
    askAhead(['/api/yard'])
    askAhead(['/api/jobs'])
    expect(await askOrKept('/api/yard')).toMatchObject({ value: '/api/yard 3' })
  })

  it('says its failure to who takes it, and is asked anew after that', async () => {
    fetched.mockRejectedValueOnce(Object.assign(new Error('Sign in again.'), { statusCode: 401 }))
    askAhead(['/api/yard'])
    await expect(askOrKept('/api/yard')).rejects.toThrow('Sign in again.')
    fetched.mockResolvedValue('areas')
    expect(await askOrKept('/api/yard')).toMatchObject({ value: 'areas' })
  })
})
