import type { DemoMachine } from '../thornmere.ts'

/** Turbo-blowers of the carbonation, sisters. */
export const BLOWERS: DemoMachine[] = [
  {
    tag: 'B-401',
    name: 'Carbonation gas blower 1',
    area: 'juice',
    line: 'carbonation',
    sheet: 'm12-turbo-blower',
    variants: { bearings: 'semi', size: 'small' },
    hoursRun: 21300,
    hoursPerWeek: 136,
    overhauls: [
      {
        hours: 7900,
        on: '2024-04-15',
        complaint: 'Planned',
        wear: { general: 0.3, checks: { lift: 0.4, gaps: 0.2 } },
      },
      {
        hours: 15200,
        on: '2025-08-25',
        complaint: 'Shakes more every week',
        signs: ['shakes', 'low'],
        wear: {
          general: 0.35,
          checks: { 'shake': 1.1, 'lift': 0.8, 'bore-hot': 0.9, 'bore-cold': 0.8 },
          renewed: ['float@cold', 'float@hot'],
          figures: {
            'gaps asFound bottom': 0.41,
            'pressure asFound': 0.056,
            'deposits': 'hard carbon in patches',
            'wheels rotor': 'deposit 3 from 3:00 to 7:00',
            'thrust-faces collar@inner': 'scores 1',
          },
        },
        cause: 'Carbon on one side of the hot wheel; it had been washed for two hours instead of four',
      },
      {
        hours: 21300,
        on: '2026-11-23',
        complaint: 'Oil in the gas, and a whistle on the way up',
        signs: ['oil-in-gas', 'noise'],
        wear: {
          general: 0.4,
          checks: { lift: 1.05 },
          figures: {
            'gaps asFound bottom': 0.43,
            'deposits': 'oily soot',
            'mesh': 'dented',
            'joint-height asFound left': 153.2,
            'groove right': 2.64,
            'wheels rotor': 'deposit 2 from 4:00 to 6:00',
          },
        },
        until: 'decide',
      },
    ],
  },
  {
    tag: 'B-402',
    name: 'Carbonation gas blower 2',
    area: 'juice',
    line: 'carbonation',
    sheet: 'm12-turbo-blower',
    variants: { bearings: 'semi', size: 'small' },
    hoursRun: 18900,
    hoursPerWeek: 128,
    overhauls: [
      {
        hours: 6100,
        on: '2024-05-27',
        complaint: 'A scrape as it runs down',
        signs: ['noise'],
        wear: {
          general: 0.3,
          checks: { 'joint-offset': 1.2 },
          renewed: ['thrust-bearing'],
          figures: { 'gaps asFound right': 0.39, 'wheels rotor': 'rub 1 at 3:00', 'thrust asFound': 0.171 },
        },
        cause: 'The pipe had drawn the hot casing over; its hanger had rusted through',
      },
      {
        hours: 13400,
        on: '2025-10-13',
        complaint: 'Planned',
        wear: { general: 0.4, checks: { lift: 0.55, gaps: 0.35 } },
      },
      {
        hours: 18900,
        on: '2026-11-30',
        complaint: 'Shakes more from week to week',
        signs: ['shakes'],
        wear: { general: 0.45, checks: { 'lift': 0.7, 'joint-height': 1.1 } },
        until: 'cooling',
        waitsSince: '2 h',
      },
    ],
  },
]
