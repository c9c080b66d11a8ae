import { SLOT_PLACES, turningSenseFrom, WORN_SIDES } from '../../seals/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line } from '../define.ts'
import { follows, type Held } from '../../verdict.ts'
import { choice, optional } from '../fields.ts'

const TURNS = ['clockwise', 'anticlockwise'] as const

/** Which way it turned is right or wrong, and nothing between. */
const againstArrow = (isRight: boolean): Held => ({
  ...{ verdict: isRight ? 'Holds' : 'Out', share: null, side: null, limits: {}, source: 'arrow on the machine' },
  ...follows(
    isRight ? 'Holds' : 'Out',
    'it ran backwards, if only for a time: springs unwind, drives come off, and what pumps by its sense runs dry',
  ),
})

export const driveWearSum = defineSum({
  name: 'drive-wear',
  craft: 'seals',
  title: 'Which way it turned',
  about: 'Wear on one side of a drive slot tells the direction of turning, seen from the same end.',
  source: 'a driving pin leans on the wall ahead of it, a driving slot on the pin behind its wall',
  fields: {
    wear: choice('Slot is worn on its', WORN_SIDES, 'as you look at it from one end'),
    slotIsIn: choice('Slot is in the', SLOT_PLACES),
    arrow: optional(choice('It should turn', TURNS, 'as the arrow on the machine says, seen from the same end')),
  },
  example: { wear: 'clockwise side', slotIsIn: 'ring that is driven' },
  work: ({ wear, slotIsIn, arrow }) => {
    const turned = turningSenseFrom(wear, slotIsIn)
    const pushes =
      slotIsIn === 'ring that is driven' ? 'the pin pushes the wall ahead of it' : 'the wall pushes the pin ahead of it'
    return accept({
      figures: [
        { key: 'turned', what: 'It turned', value: turned, ...(arrow ? { held: againstArrow(turned === arrow) } : {}) },
      ],
      working: [line('Push', 'who pushes whom', `${pushes}; worn on the ${wear}`, turned)],
      notes: ['Seen from the end you looked from. Hold it against the arrow on the machine.'],
    })
  },
})
