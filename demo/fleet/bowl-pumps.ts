import type { DemoMachine } from '../thornmere.ts'

/** The well pumps of the works, many storeys deep: sisters of unlike depth. */
export const BOWL_PUMPS: DemoMachine[] = [
  {
    tag: 'W-831',
    name: 'Well pump 1',
    area: 'beet',
    line: 'fresh water',
    sheet: 'm7-vertical-bowl-pump',
    variants: { impellers: 'collet', stages: 'three', column: 'short' },
    hoursRun: 31200,
    hoursPerWeek: 140,
    overhauls: [
      {
        hours: 14800,
        on: '2024-04-22',
        complaint: 'Gives too little',
        signs: ['low-flow'],
        wear: {
          general: 0.4,
          figures: { 'flow asFound': 0.81, 'bushes bowl-bush@s1': 'scores 2 from 4:00 to 8:00' },
        },
        cause: 'Sand had come with its water: the strainer was holed',
      },
      {
        hours: 24900,
        on: '2025-10-06',
        complaint: 'Draws more than it did',
        signs: ['amps'],
        wear: {
          general: 0.4,
          figures: { 'amps asFound': 74, 'lift asFound Stands clear of touching now, cold': '0.8' },
        },
        cause: 'Its lift was lost: it had not been read again after its first hour',
      },
    ],
  },
  {
    tag: 'W-832',
    name: 'Well pump 2',
    area: 'beet',
    line: 'fresh water',
    sheet: 'm7-vertical-bowl-pump',
    variants: { impellers: 'collet', stages: 'three', column: 'short' },
    hoursRun: 29800,
    hoursPerWeek: 140,
    overhauls: [
      {
        hours: 16100,
        on: '2024-06-10',
        complaint: 'Its box runs',
        signs: ['leaks'],
        wear: { general: 0.35, figures: { 'drip-found': 'a stream' } },
        cause: 'The cuts of the packing lay in line',
      },
      {
        hours: 29800,
        on: '2026-11-23',
        complaint: 'Gives too little',
        signs: ['low-flow'],
        wear: {
          general: 0.55,
          renewed: ['impeller@s2'],
          figures: { 'flow asFound': 0.78, 'bushes bowl-bush@s1': 'scores 2 from 3:00 to 6:00' },
        },
        until: 'stage-s2',
      },
    ],
  },
]
