import type { DemoMachine } from '../thornmere.ts'

/** Dual seals of the lime end, each on a bench of its own. */
export const SEALS: DemoMachine[] = [
  {
    tag: 'S-231',
    name: 'Dual seal of the lime-milk pump',
    area: 'juice',
    line: 'liming',
    sheet: 'm20-dual-seal',
    variants: { faces: 'carbon', duty: 'hazardous' },
    hoursRun: 21800,
    hoursPerWeek: 118,
    overhauls: [
      {
        hours: 9700,
        on: '2024-06-17',
        complaint: 'Planned',
        wear: { general: 0.3, figures: { 'faces seat@in': 'wide 1 from 5:00 to 8:00' } },
      },
      {
        hours: 15900,
        on: '2025-11-10',
        complaint: 'Barrier liquid goes into the product',
        signs: ['barrier-lost'],
        wear: {
          general: 0.4,
          renewed: ['face@in', 'seat@in'],
          figures: {
            'received asFound': 'product at the drain',
            'far-side': 'deposit on the far side',
            'ring-in': 'nibbled at one hour',
            'slide-in': 'stuck in deposit',
            'slots-in': 'both sides',
            'faces face@in': 'coke 2 from 4:30 to 7:30',
            'faces seat@in': 'coke 3 from 4:30 to 7:30',
            'sleeve sleeve': 'fretted 1, under the inboard face',
          },
        },
        cause: 'Lime had settled behind the inboard face, away from the flush port; the face hung',
      },
    ],
  },
  {
    tag: 'S-232',
    name: 'Dual seal of the sludge pump',
    area: 'juice',
    line: 'liming',
    sheet: 'm20-dual-seal',
    variants: { faces: 'hard', duty: 'plain' },
    hoursRun: 13100,
    hoursPerWeek: 104,
    overhauls: [
      {
        hours: 5200,
        on: '2025-02-24',
        complaint: 'Leaks to the outside',
        signs: ['leaks-out'],
        wear: {
          general: 0.35,
          figures: {
            'tips': 'one mashed, the others clean',
            'set-found': 2.3,
            'faces face@out': 'wide 1 from 10:00 to 2:00',
          },
        },
        cause: 'One screw alone had held the collar; it had crept on the shaft and the faces had opened',
      },
      {
        hours: 13100,
        on: '2026-11-24',
        complaint: 'Gland runs hot',
        signs: ['hot'],
        wear: {
          general: 0.45,
          figures: {
            'received asFound': 'crystals or rust at a port',
            'set-found': 1.7,
            'ring-out': 'hard and cracked',
          },
        },
        until: 'seat-marked-out',
      },
    ],
  },
]
