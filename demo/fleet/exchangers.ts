import type { DemoMachine } from '../thornmere.ts'

/** Scraped-surface exchangers of the syrup line. */
export const EXCHANGERS: DemoMachine[] = [
  {
    tag: 'X-510',
    name: 'Syrup crystalliser 1',
    area: 'sugar',
    line: 'crystallising',
    sheet: 'm8-scraped-surface-exchanger',
    variants: { seal: 'double', body: 'two', size: 's100', material: 'plastic' },
    hoursRun: 11900,
    hoursPerWeek: 120,
    overhauls: [
      {
        hours: 3800,
        on: '2024-11-18',
        complaint: 'Planned',
        wear: { general: 0.3, checks: { 'land-a': 0.6, 'land-b': 0.55, 'land-c': 0.6, 'runout': 0.35 } },
      },
      {
        hours: 7900,
        on: '2025-10-06',
        complaint: 'Syrup on the floor under the far end',
        signs: ['leaks'],
        wear: {
          general: 0.4,
          checks: { 'land-a': 0.85, 'land-b': 0.8, 'land-c': 0.85, 'runout': 0.6 },
          renewed: ['spring@far', 'primary@far', 'seat@far'],
          figures: {
            'springs-primary inspect far end': 11.3,
            'faces-far inspect': 'track wider than the face',
            'leak asFound far end': 'drops',
            'shaft shaft': 'groove 1, under the far seal',
          },
        },
        cause: 'Wave spring set; the face lagged behind a shaft that runs out',
      },
      {
        hours: 11900,
        on: '2026-11-19',
        complaint: 'Motor draws a third more, a film stays on the wall',
        signs: ['current', 'scorched'],
        wear: {
          general: 0.45,
          checks: { 'current': 0.95, 'land-a': 0.9, 'land-b': 1.25, 'land-c': 0.9, 'width-b': 0.8, 'runout': 0.8 },
          figures: {
            'product': 'thick, with lumps off the wall',
            'pin-tops row B': 'one or two shiny',
            'edge-b inspect place 3': 'oval slots',
          },
        },
        until: 'blades-on-b',
      },
    ],
  },
  {
    tag: 'X-511',
    name: 'Syrup crystalliser 2',
    area: 'sugar',
    line: 'crystallising',
    sheet: 'm8-scraped-surface-exchanger',
    variants: { seal: 'single', body: 'one', size: 's80', material: 'metal' },
    hoursRun: 8100,
    hoursPerWeek: 96,
    overhauls: [
      {
        hours: 2600,
        on: '2024-12-02',
        complaint: 'Squeal at the driven end',
        wear: {
          general: 0.3,
          checks: { 'land-a': 0.5, 'land-b': 0.5, 'land-c': 0.5 },
          renewed: ['primary@driven', 'seat@driven'],
          figures: { 'pins-driven inspect pin 2': 1.9, 'faces-driven inspect': 'a flat or worn drive slot' },
        },
        cause: 'A drive pin stood too low; the body had been turning on the shaft',
      },
      {
        hours: 6400,
        on: '2026-02-09',
        complaint: 'Planned',
        wear: { general: 0.4, checks: { 'land-a': 0.75, 'land-b': 0.8, 'land-c': 0.7, 'width-a': 0.65 } },
      },
    ],
  },
]
