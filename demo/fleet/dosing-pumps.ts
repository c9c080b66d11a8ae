import type { DemoMachine } from '../thornmere.ts'

/** The small pumps that dose antifoam and biocide: one plain, one for what is alive. */
export const DOSING_PUMPS: DemoMachine[] = [
  {
    tag: 'P-171',
    name: 'Antifoam pump 1',
    area: 'beet',
    line: 'diffusion',
    sheet: 'm4-dosing-pump',
    variants: { chambers: 'four', diaphragm: 'rubber', fluid: 'plain', lead: 'fitted' },
    hoursRun: 9100,
    hoursPerWeek: 120,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 3900,
        on: '2025-09-22',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 7700,
        on: '2026-08-24',
        complaint: 'Doses too little',
        signs: ['low-dose'],
        wear: {
          general: 0.4,
          figures: { 'delivery asFound': 0.181, 'screw-found': 'a ring bitten round the shaft' },
        },
        cause: 'The set screw had been finished beside the flat: the cam slipped',
      },
    ],
  },
  {
    tag: 'P-172',
    name: 'Biocide pump',
    area: 'beet',
    line: 'diffusion',
    sheet: 'm4-dosing-pump',
    variants: { chambers: 'two', diaphragm: 'faced', fluid: 'hazardous', lead: 'fitted' },
    hoursRun: 8400,
    hoursPerWeek: 110,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 4300,
        on: '2025-11-10',
        complaint: 'Drips at its port',
        signs: ['drips'],
        wear: { general: 0.35, figures: { 'diaphragm diaphragm': 'torn 2 from 2:00 to 4:00' } },
        cause: 'The injection valve was blocked: it worked against a shut line',
      },
      {
        hours: 8400,
        on: '2026-12-01',
        complaint: 'Does not prime',
        signs: ['no-prime'],
        wear: { general: 0.5, figures: { 'suction asFound': 0.019 } },
        until: 'cones-up',
      },
    ],
  },
]
