import { lineThrough, rimOffsetMm } from '../../alignment/index.ts'
import { defineSum } from '../define.ts'
import { fallback, number } from '../fields.ts'
import { alignmentAnswer, dialFields, FEET_FIELDS, FROM_BEHIND, fourOf, LENGTH } from './shared.ts'

export const reverseDialsSum = defineSum({
  name: 'reverse-dials',
  craft: 'alignment',
  title: 'Reverse dials',
  about: 'Two rim dials, each on a bar of the other shaft: how the axes lie, and the shims and moves at both feet.',
  source: 'a line through two offsets a known distance apart',
  fields: {
    ...dialFields('moved', 'On the moved rim', FROM_BEHIND),
    ...dialFields('standing', 'On the standing rim'),
    apartMm: number('Between the two planes', 'mm', LENGTH),
    sagMovedMm: fallback(number('Bar to the moved rim sags', 'mm', [0, 3], 'top to bottom on a stiff pipe'), 0),
    sagStandingMm: fallback(number('Bar to the standing rim sags', 'mm', [0, 3]), 0),
    ...FEET_FIELDS,
  },
  example: {
    movedTopMm: 0,
    movedRightMm: -0.09,
    movedBottomMm: -0.24,
    movedLeftMm: -0.15,
    standingTopMm: 0,
    standingRightMm: 0.05,
    standingBottomMm: 0.12,
    standingLeftMm: 0.07,
    apartMm: 180,
    sagMovedMm: 0.04,
    sagStandingMm: 0.04,
    frontMm: 220,
    backMm: 720,
    growFrontMm: 0,
    growBackMm: 0,
    growStandingMm: 0.06,
    speedPerMin: 2980,
    closesWithinMm: 0.03,
  },
  work: given => {
    const [moved, standing] = [fourOf(given, 'moved'), fourOf(given, 'standing')]
    const found = lineThrough(
      rimOffsetMm(moved, 'the shaft that stands', given.sagMovedMm),
      rimOffsetMm(standing, 'the shaft that is moved', given.sagStandingMm),
      given.apartMm,
    )
    if (!found.ok) return found
    return alignmentAnswer(found.value, given, [
      { name: 'Moved rim', reads: moved },
      { name: 'Standing rim', reads: standing },
    ])
  },
})
