import type { DemoMachine } from '../thornmere.ts'

/** The agitators of the syrup mixers, flushed through their seals: one single, one double. */
export const AGITATORS: DemoMachine[] = [
  {
    tag: 'A-271',
    name: 'Syrup mixer 1',
    area: 'sugar',
    line: 'standard syrup',
    sheet: 'm13-agitator',
    variants: { seal: 'single', size: '50' },
    hoursRun: 24600,
    hoursPerWeek: 130,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 10900,
        on: '2024-08-12',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 19200,
        on: '2026-01-19',
        complaint: 'Syrup at the lantern, and it uses flush',
        signs: ['weeps', 'flush-lost'],
        wear: {
          general: 0.4,
          figures: {
            'weep-found': 'syrup, or clouded drops',
            'flush-flow asFound': 1.9,
            'faces turning-part@product': 'checks 2 from 1:00 to 4:00',
          },
        },
        cause: 'It had been started before the flush was vented: the faces ran in air',
      },
    ],
  },
  {
    tag: 'A-272',
    name: 'Syrup mixer 2',
    area: 'sugar',
    line: 'standard syrup',
    sheet: 'm13-agitator',
    variants: { seal: 'double', size: '50' },
    hoursRun: 23900,
    hoursPerWeek: 130,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 12100,
        on: '2024-09-16',
        complaint: 'Knocks as it starts',
        signs: ['knocks'],
        wear: {
          general: 0.35,
          renewed: ['sleeve@2', 'sleeve@5'],
          figures: { 'sleeves inspect pin 2': 22.4, 'sleeves inspect pin 5': 22.6 },
        },
        cause: 'Two sleeves had been put in from another half',
      },
      {
        hours: 23900,
        on: '2026-11-27',
        complaint: 'Its shaft swings, and the frame is hot',
        signs: ['swings'],
        wear: {
          general: 0.5,
          renewed: ['pair@upper', 'pair@lower', 'slider'],
          figures: { 'hot asFound': 76, 'seal-run asFound': 0.31, 'float asFound': 0.16 },
        },
        until: 'still-trial',
      },
    ],
  },
]
