import fc from 'fast-check'
import { expect, it } from 'vitest'
import { tooOld } from './backups.ts'

it('the newest stay, as many as are kept', () => {
  const days = fc.uniqueArray(fc.integer({ min: 10, max: 28 }), { maxLength: 12 })
  fc.assert(
    fc.property(days, fc.integer({ min: 1, max: 9 }), (nights, kept) => {
      const names = nights.map(day => `needler-2026-05-${day}.dump`)
      const gone = tooOld(names, kept)
      const left = names.filter(name => !gone.includes(name))
      expect(left).toHaveLength(Math.min(kept, names.length))
      for (const old of gone) for (const stays of left) expect(old < stays).toBe(true)
    }),
  )
})
