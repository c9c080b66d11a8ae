import { CARRIERS, faceSlopeMmPerM, rimOffsetMm } from '../../alignment/index.ts'
import { defineSum } from '../define.ts'
import { choice, fallback, number } from '../fields.ts'
import { alignmentAnswer, dialFields, FEET_FIELDS, FROM_BEHIND, fourOf, LENGTH } from './shared.ts'

export const rimAndFaceSum = defineSum({
  name: 'rim-and-face',
  craft: 'alignment',
  title: 'Rim and face',
  about: 'Two dials on one bar, rim and face: how the axes lie, and the shims and moves at both feet.',
  source: 'geometry of two axes: half of the rim’s difference, the face’s difference over its diameter',
  fields: {
    carrier: choice('The bar is clamped to', CARRIERS, 'the dials read the other one'),
    ...dialFields('rim', 'Rim', FROM_BEHIND),
    ...dialFields('face', 'Face'),
    faceDiameterMm: number('Face is read on a diameter of', 'mm', LENGTH),
    sagMm: fallback(number('Bar sags, top to bottom', 'mm', [0, 3], 'read on a stiff pipe, as a size'), 0),
    ...FEET_FIELDS,
  },
  example: {
    carrier: 'the shaft that stands',
    rimTopMm: 0,
    rimRightMm: -0.05,
    rimBottomMm: -0.34,
    rimLeftMm: -0.29,
    faceTopMm: 0,
    faceRightMm: -0.04,
    faceBottomMm: -0.06,
    faceLeftMm: -0.02,
    faceDiameterMm: 160,
    sagMm: 0.04,
    frontMm: 250,
    backMm: 750,
    growFrontMm: 0.05,
    growBackMm: 0.04,
    growStandingMm: 0.09,
    speedPerMin: 1480,
    closesWithinMm: 0.03,
  },
  work: given => {
    const [rim, face] = [fourOf(given, 'rim'), fourOf(given, 'face')]
    const slope = faceSlopeMmPerM(face, given.faceDiameterMm)
    if (!slope.ok) return slope
    return alignmentAnswer(
      { offsetMm: rimOffsetMm(rim, given.carrier, given.sagMm), slopeMmPerM: slope.value },
      given,
      [
        { name: 'Rim', reads: rim },
        { name: 'Face', reads: face },
      ],
    )
  },
})
