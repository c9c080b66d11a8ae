import type { DemoMachine } from '../thornmere.ts'

/** The lime-milk pumps that hang on the side of their tank: sisters, one with its carrier on the bench. */
export const LIME_PUMPS: DemoMachine[] = [
  {
    tag: 'P-481',
    name: 'Lime-milk pump 1',
    area: 'lime',
    line: 'slaking',
    sheet: 'm16-cartridge-seal-pump',
    variants: { lip: 'pump', quench: 'water', faces: 'hard' },
    hoursRun: 15900,
    hoursPerWeek: 110,
    overhauls: [
      {
        hours: 6200,
        on: '2024-10-07',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 12700,
        on: '2026-03-02',
        complaint: 'Weeps white behind the thrower',
        signs: ['weeps'],
        wear: {
          general: 0.4,
          figures: {
            'weep-found': 'product, white',
            'lips lip': 'hard 2',
            'faces static-face': 'checks 2 from 2:00 to 5:00',
          },
        },
        cause: 'Started after flushing with the quench still shut: the lip and the faces ran dry',
      },
    ],
  },
  {
    tag: 'P-482',
    name: 'Lime-milk pump 2',
    area: 'lime',
    line: 'slaking',
    sheet: 'm16-cartridge-seal-pump',
    variants: { lip: 'pump', quench: 'water', faces: 'hard' },
    hoursRun: 16000,
    hoursPerWeek: 110,
    overhauls: [
      {
        hours: 7100,
        on: '2024-11-04',
        complaint: 'Did not start after the weekend',
        signs: ['stuck'],
        wear: {
          general: 0.35,
          figures: { 'slides-found': 'stuck fast', 'impeller impeller': 'dirt 2' },
        },
        cause: 'It was stopped without flushing: lime had set between impeller and cover',
      },
      {
        hours: 16000,
        on: '2026-11-30',
        complaint: 'Its bearings run hot, and it weeps',
        signs: ['hot', 'weeps'],
        wear: {
          general: 0.5,
          renewed: ['brg-drive', 'brg-pump'],
          figures: { 'warm asFound': 81, 'weep-found': 'product, white' },
        },
        until: 'cartridge-in',
      },
    ],
  },
]
