import { readdirSync, readFileSync } from 'node:fs'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { describe, expect, it } from 'vitest'
import { parse } from 'yaml'
import { everyVariant, examineSheet, placesOf, planFor, readSheet } from '../core/sheet/index.ts'

const files = readdirSync(import.meta.dirname).filter(file => file.endsWith('.yaml'))
const load = (file: string) => readSheet(parse(readFileSync(`${import.meta.dirname}/${file}`, 'utf8')))

describe.each(files)('%s', file => {
  const sheet = load(file)
  it('is sound in every variant', () => expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([]))
  it('is a machine, not a sketch', () => {
    for (const variants of everyVariant(sheet)) {
      const plan = planFor(sheet, variants)
      expect(plan.parts.size).toBeGreaterThanOrEqual(25)
      expect(sheet.checks.length).toBeGreaterThanOrEqual(10)
      expect(sheet.mates.length).toBeGreaterThanOrEqual(8)
    }
    expect(sheet.notice).toMatch(/maker's manual/)
  })
  it('says why every always-new part is always new', () => {
    for (const part of sheet.parts.filter(one => one.renewal === 'always'))
      expect(part.renewalWhy, part.id).toBeTruthy()
  })
  it('says what being out does, for every side that can be out', () => {
    for (const { id, limits, low, high } of sheet.checks) {
      if (limits.min !== undefined) expect(low, `${id} low`).toBeTruthy()
      if (limits.max !== undefined) expect(high, `${id} high`).toBeTruthy()
    }
  })
  it('gives every part place its own drawing item or place', () => {
    const items = sheet.parts.map(part => part.item)
    expect(new Set(items).size).toBe(items.length)
    expect(new Set(sheet.parts.flatMap(placesOf).map(one => one.ref)).size).toBe(sheet.parts.flatMap(placesOf).length)
  })
})
