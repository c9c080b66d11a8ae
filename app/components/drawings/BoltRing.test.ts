import { mountSuspended } from '@nuxt/test-utils/runtime'
import { expect, it } from 'vitest'
import { librarySheet } from '../../../tests/sheets'
import BoltRing from './BoltRing.vue'

const [joint] = librarySheet('m11-vacuum-gear-pump').joints

it.each([
  ['from a corner', [0, 0, 96, 70]],
  ['from its middle', [-48, -35, 48, 35]],
  ['one above the other', [5, -10, 5, 10]],
] as const)('every bolt is in the picture, counted %s', async (_, [left, top, right, bottom]) => {
  const points: [number, number][] = [
    [left, top],
    [right, bottom],
  ]
  const props = {
    joint: { ...joint!, layout: { kind: 'line' as const, points } },
    progress: { order: [1, 2], next: 1, pulled: [] },
  }
  const drawing = await mountSuspended(BoltRing, { props })
  const [, , width, height] = drawing.attributes('viewBox')!.split(' ').map(Number)
  const bolts = drawing.findAll('circle.touch').map(one => [Number(one.attributes('cx')), Number(one.attributes('cy'))])
  expect(bolts).toHaveLength(2)
  for (const [x, y] of bolts) {
    expect(x! > 25 && x! < width! - 25).toBe(true)
    expect(y! > 25 && y! < height! - 25).toBe(true)
  }
  expect(bolts[0]).not.toEqual(bolts[1])
})
