import { turningSenseFrom } from '../../seals/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line } from '../define.ts'
import { choice } from '../fields.ts'

export const driveWearSum = defineSum({
  name: 'drive-wear',
  craft: 'seals',
  title: 'Which way it turned',
  about: 'Wear on one side of a drive slot tells the direction of turning.',
  source: 'the driven ring is pushed on its trailing side',
  fields: {
    wear: choice('Slot is worn on its', ['leading side', 'trailing side', 'both sides']),
    slotIsOn: choice('Slot is in the', ['ring that is driven', 'part that drives']),
  },
  example: { wear: 'trailing side', slotIsOn: 'ring that is driven' },
  work: ({ wear, slotIsOn }) =>
    accept({
      figures: [{ key: 'turned', what: 'It turned', value: turningSenseFrom(wear, slotIsOn) }],
      working: [line('Push', 'who pushes whom', `${slotIsOn}, ${wear}`, turningSenseFrom(wear, slotIsOn))],
    }),
})
