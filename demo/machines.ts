import type { DemoMachine } from './thornmere.ts'

/** Gear units with split sleeve bearings. */
export const GEAR_UNITS: DemoMachine[] = [
  {
    tag: 'G-402',
    name: 'Lime-kiln gear unit',
    area: 'juice',
    line: 'lime kiln',
    sheet: 'm10-gear-unit',
    variants: { thrust: 'shoulders', pump: 'attached', cooler: 'fitted', hubs: 'pulled' },
    hoursRun: 41350,
    hoursPerWeek: 150,
    overhauls: [
      {
        hours: 14800,
        on: '2022-05-09',
        complaint: 'Planned',
        wear: { general: 0.25, checks: { 'clear-so': 0.4, 'bore-so': 0.45, 'pump-end': 0.3 } },
      },
      {
        hours: 28200,
        on: '2024-05-13',
        complaint: 'Slow output bearing 12 K warmer than the others',
        signs: ['hot'],
        wear: {
          general: 0.4,
          checks: { 'bore-so': 1.15, 'pump-end': 0.55 },
          renewed: ['half@so-lower', 'half@so-upper'],
          figures: {
            'lining-so inspect lower half': 'smeared patch',
            'oil asFound': 'grey glitter',
            'teeth wheel': 'pits 1 at 8:00, loaded flank',
            'journals wheel': 'scores 1, output side',
          },
        },
        cause: 'The slow shaft lay skew in its output bearing; the lining had wiped at one end',
      },
      {
        hours: 41350,
        on: '2026-11-12',
        complaint: 'Grey glitter in the strainer, pressure down to 1.3 bar',
        signs: ['pressure'],
        wear: {
          general: 0.45,
          checks: { 'bore-si': 0.7, 'pump-end': 0.8, 'pump-side': 0.7 },
          figures: {
            'oil asFound': 'grey glitter',
            'catch': 'flakes of white metal',
            'lining-fo inspect lower half': 'bright at one end only',
            // A wire of 0.43 between shims of 0.40: the half could move.
            'pinch-si output end, wire, flattened': 0.43,
            'strips-fo input end': 0.86,
            'strips-fo output end': 0.97,
          },
        },
        until: 'journals-oiled',
      },
    ],
  },
  {
    tag: 'G-117',
    name: 'Pulp-press gear unit',
    area: 'beet',
    line: 'presses',
    sheet: 'm10-gear-unit',
    variants: { thrust: 'ring', pump: 'outside', cooler: 'none', hubs: 'kept' },
    hoursRun: 27600,
    hoursPerWeek: 110,
    overhauls: [
      {
        hours: 12900,
        on: '2023-04-17',
        complaint: 'Knock at every change of load',
        wear: { general: 0.35, checks: { 'float-slow': 1.2 }, renewed: ['thrust-ring'] },
        cause: 'Thrust ring worn on its plain side: it had been put in the wrong way out',
      },
      {
        hours: 24100,
        on: '2026-03-02',
        complaint: 'Planned',
        wear: { general: 0.42, checks: { 'clear-fi': 0.75, 'bore-fi': 0.7, 'journal-fi': 0.6 } },
      },
    ],
  },
]

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

/** Cycloidal reducers of the beet end. */
export const REDUCERS: DemoMachine[] = [
  {
    tag: 'R-118',
    name: 'Beet conveyor drive',
    area: 'beet',
    line: 'unloading',
    sheet: 'm3-cycloidal-reducer',
    variants: { size: 'large', lubrication: 'oil', fan: 'fitted', mount: 'feet' },
    hoursRun: 26400,
    hoursPerWeek: 100,
    overhauls: [
      {
        hours: 9700,
        on: '2023-03-06',
        complaint: 'Planned',
        wear: { general: 0.3, checks: { 'lost-motion': 0.45, 'cam-play': 0.4 } },
      },
      {
        hours: 18800,
        on: '2025-02-03',
        complaint: 'Hums under load, oil black',
        wear: {
          general: 0.45,
          checks: { 'lost-motion': 0.8, 'ring-pin-size': 0.9, 'collar-track': 1.2 },
          renewed: ['ring-pins', 'ring-rollers', 'collar'],
          figures: {
            'ring-turn inspect': 'one stands still',
            'oil-seen asFound': 'black',
            'lobes disc@first': 'pits 1 at 4:30',
          },
        },
        cause: 'A ring roller stood still and wore flat; the oil had not been changed for two seasons',
      },
      {
        hours: 26400,
        on: '2026-11-20',
        complaint: 'Knocks when a full belt starts',
        signs: ['knock'],
        wear: {
          general: 0.5,
          checks: { 'lost-motion': 1.1, 'cam-play': 0.85 },
          figures: { 'lobes disc@first': 'pits 2 from 4:00 to 5:00', 'lobes disc@second': 'oval 1' },
        },
        slips: { 'second-on': { mates: { 'second-opposite': { deg: 0 } } } },
        until: 'top-on',
      },
    ],
  },
  {
    tag: 'R-121',
    name: 'Cossette elevator drive',
    area: 'beet',
    line: 'slicers',
    sheet: 'm3-cycloidal-reducer',
    variants: { size: 'small', lubrication: 'grease', fan: 'none', mount: 'flange' },
    hoursRun: 15200,
    hoursPerWeek: 84,
    overhauls: [
      {
        hours: 5100,
        on: '2023-11-27',
        complaint: 'Grease out along the slow shaft',
        wear: { general: 0.3, checks: { 'collar-track': 1.1 }, renewed: ['collar'] },
        cause: 'The lip had been folded over the collar when the cap went on',
      },
      {
        hours: 12300,
        on: '2026-01-19',
        complaint: 'Planned',
        wear: { general: 0.5, checks: { 'lost-motion': 0.7, 'cam-play': 0.6 } },
      },
    ],
  },
]

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

/** Direct-current motors of the presses, sisters. */
export const MOTORS: DemoMachine[] = [
  {
    tag: 'D-117',
    name: 'Motor of pulp press 1',
    area: 'beet',
    line: 'presses',
    sheet: 'm9-dc-motor',
    variants: { hub: 'injected', air: 'blower', turning: 'both', tacho: 'belt' },
    hoursRun: 33100,
    hoursPerWeek: 118,
    overhauls: [
      {
        hours: 12400,
        on: '2022-06-13',
        complaint: 'Planned',
        wear: { general: 0.3, checks: { profile: 0.6 } },
      },
      {
        hours: 26800,
        on: '2025-05-12',
        complaint: 'Sparks at two arms when the press reverses',
        signs: ['sparks'],
        wear: {
          general: 0.35,
          checks: { profile: 0.95 },
          figures: {
            'skin': 'bars burnt at one edge',
            'rocker-found': 'beside its mark, but tight',
            'pigtails': 'one or two blue',
            'undercut-found': 0.4,
          },
        },
        cause: 'The rocker had been clamped by its old line after the last skim, and neutral was not tried',
      },
    ],
  },
  {
    tag: 'D-118',
    name: 'Motor of pulp press 2',
    area: 'beet',
    line: 'presses',
    sheet: 'm9-dc-motor',
    variants: { hub: 'injected', air: 'blower', turning: 'both', tacho: 'belt' },
    hoursRun: 29600,
    hoursPerWeek: 112,
    overhauls: [
      {
        hours: 14100,
        on: '2023-05-22',
        complaint: 'Insulation has fallen over the campaign',
        signs: ['low-ohms'],
        wear: {
          general: 0.4,
          figures: { 'damp-found armature': 3.1e6, 'damp-found fields': 8.4e6, 'skin': 'streaked' },
        },
        cause: 'The filter of the blower had been left out; carbon dust lay on every end turn',
      },
      {
        hours: 29600,
        on: '2026-11-28',
        complaint: 'Every few bars dark, and it hums',
        signs: ['sparks', 'hums'],
        wear: {
          general: 0.45,
          checks: { profile: 1.1 },
          figures: { 'skin': 'every so many bars dark', 'undercut-found': 0.6 },
        },
        until: 'oven',
        waitsSince: '9 h',
      },
    ],
  },
]

/** Compressors of the cold-water sets, sisters. */
export const COMPRESSORS: DemoMachine[] = [
  {
    tag: 'K-541',
    name: 'Cold-water compressor 1',
    area: 'sugar',
    line: 'cold water',
    sheet: 'm5-reciprocating-compressor',
    variants: { 'oiling': 'pump', 'right-head': 'unloader', 'oil': 'ester', 'start': 'part' },
    hoursRun: 31400,
    hoursPerWeek: 74,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 16900,
        on: '2023-04-17',
        complaint: 'Left head hotter than the right',
        signs: ['hot'],
        wear: {
          general: 0.3,
          figures: { 'head-warm left head': 121, 'reeds plate@left': 'coke 2, discharge reed of the first bore' },
        },
        cause:
          'A discharge reed of the left plate had leaked and coked; nobody had looked at it at the last oil change',
      },
      {
        hours: 27600,
        on: '2025-10-27',
        complaint: 'Knocks as it starts, and the paper of the oil filter glitters',
        signs: ['knocks'],
        wear: {
          general: 0.4,
          checks: { 'end-play': 0.95 },
          figures: {
            'catch': 'bronze or bright metal',
            'level': 'foam, no line to be seen',
            'oil-found': 'thin and full of gas',
          },
        },
        cause: 'The heater had been dead all summer: it had started full of liquid, and washed its bushes',
      },
    ],
  },
  {
    tag: 'K-542',
    name: 'Cold-water compressor 2',
    area: 'sugar',
    line: 'cold water',
    sheet: 'm5-reciprocating-compressor',
    variants: { 'oiling': 'pump', 'right-head': 'plain', 'oil': 'ester', 'start': 'part' },
    hoursRun: 28800,
    hoursPerWeek: 71,
    fitter: 'T. Brisco',
    overhauls: [
      { hours: 17300, on: '2023-05-15', complaint: 'Planned', wear: { general: 0.35, checks: { 'reed-lift': 0.6 } } },
      {
        hours: 28800,
        on: '2026-11-26',
        complaint: 'No longer pulls the cold down',
        signs: ['weak'],
        wear: {
          general: 0.45,
          checks: { 'plate-flat': 0.85 },
          figures: { 'head-warm right head': 112, 'reeds plate@right': 'cut 1, seats' },
        },
        until: 'nitrogen-read',
        waitsSince: '5 h',
      },
    ],
  },
]

/** Separators of the lime mud, sisters. */
export const DECANTERS: DemoMachine[] = [
  {
    tag: 'C-611',
    name: 'Lime-mud separator 1',
    area: 'juice',
    line: 'lime mud',
    sheet: 'm17-decanter',
    variants: { casing: 'pressure', overload: 'cell' },
    hoursRun: 24900,
    hoursPerWeek: 96,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 12700,
        on: '2024-04-22',
        complaint: 'The gear end growls and runs hot',
        signs: ['hot'],
        wear: {
          general: 0.35,
          renewed: ['bearing@gear'],
          figures: {
            'growl': 'it growls at the gear end',
            'warm gear end': 91,
            'tracks bearing@gear': 'track-aslant 2',
          },
        },
        cause: 'Ferrules of feet 1 and 3 had been exchanged at the last lift: the pedestal stood askew',
      },
      {
        hours: 20900,
        on: '2026-04-13',
        complaint: 'Shakes since the frost, and trips on a full bowl',
        signs: ['shakes', 'trips'],
        wear: {
          general: 0.45,
          checks: { 'shake': 1.15, 'spline-play': 0.7 },
          figures: { 'flight scroll': 'tile-off 2, liquor end third', 'liner bowl': 'cut 1, middle' },
        },
        cause: 'Two tiles off the scroll; the pieces lay in the hopper',
      },
    ],
  },
  {
    tag: 'C-612',
    name: 'Lime-mud separator 2',
    area: 'juice',
    line: 'lime mud',
    sheet: 'm17-decanter',
    variants: { casing: 'pressure', overload: 'cell' },
    hoursRun: 21800,
    hoursPerWeek: 94,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 9900,
        on: '2024-02-05',
        complaint: 'Liquor at the feed pipe',
        signs: ['weeps'],
        wear: {
          general: 0.3,
          figures: { 'pins-found pin 2': 1.2, 'feed-faces feed-seal': 'checks 2 from 2:00 to 5:00' },
        },
        cause: 'A drive pin had backed out, and the seal had turned on its shaft',
      },
      {
        hours: 14600,
        on: '2025-02-10',
        complaint: 'Growls at the liquor end',
        signs: ['hot'],
        wear: { general: 0.4, renewed: ['bearing@liquor'], figures: { growl: 'it growls at the liquor end' } },
        cause: 'Greased by the shot and not by weight: too much, and it had churned itself hot',
      },
      {
        hours: 21800,
        on: '2026-11-27',
        complaint: 'Shakes, and the liquor comes out dirty',
        signs: ['shakes', 'dirty'],
        wear: { general: 0.5, checks: { shake: 1.1, warm: 0.7 } },
        until: 'casing-up',
      },
    ],
  },
]

/** The couplings of the beet slicers: two sisters that drive alike, one of them locked up for the heavier drum. */
export const COUPLINGS: DemoMachine[] = [
  {
    tag: 'U-131',
    name: 'Slicer coupling 1',
    area: 'beet',
    line: 'slicers',
    sheet: 'm1-torsional-coupling',
    variants: { size: 'large', duty: 'soft', grip: 'keyed' },
    hoursRun: 31200,
    hoursPerWeek: 120,
    overhauls: [
      {
        hours: 14900,
        on: '2023-06-12',
        complaint: 'Planned; rattles at the start',
        signs: ['rattles'],
        wear: {
          general: 0.4,
          checks: { play: 0.9 },
          figures: { 'elements elements': 'worn 2', 'pockets-found': 'in every second pocket' },
        },
        cause: 'Elements set with age',
      },
      {
        hours: 29800,
        on: '2026-03-09',
        complaint: 'Black crumbs under it, and it slings grease',
        signs: ['crumbs', 'slings'],
        wear: {
          general: 0.5,
          renewed: ['drive-plate'],
          checks: { play: 1.15 },
          figures: {
            'align asFound rim': 0.42,
            'plays-drive inspect': 0.19,
            'bore-drive inspect': 156.192,
            'bush-worn': 'bright on one side of it alone',
            'elements elements': 'crack 2',
          },
        },
        cause: 'The motor stood 0.4 mm out of line: its front feet had been shimmed without reading it warm',
      },
    ],
  },
  {
    tag: 'U-132',
    name: 'Slicer coupling 2',
    area: 'beet',
    line: 'slicers',
    sheet: 'm1-torsional-coupling',
    variants: { size: 'large', duty: 'locked', grip: 'keyed' },
    hoursRun: 28700,
    hoursPerWeek: 120,
    overhauls: [
      {
        hours: 13200,
        on: '2023-07-03',
        complaint: 'Planned',
        wear: { general: 0.3, figures: { 'elements elements': 'worn 1' } },
      },
      {
        hours: 28700,
        on: '2026-11-30',
        complaint: 'Its line was broken at the look in October: the hub has crept',
        signs: ['creeps'],
        wear: {
          general: 0.45,
          figures: {
            'line-found': 'broken, the hub has moved up',
            'hub-depth': 8.7,
            'taper hub': 'dust 1',
          },
        },
        until: 'locker',
        waitsSince: '8 h',
      },
    ],
  },
]

/** The lever hoists of the fitting shop and the sugar end. */
export const HOISTS: DemoMachine[] = [
  {
    tag: 'L-21',
    name: 'Lever hoist 2.5 t',
    area: 'sugar',
    line: 'fitting shop',
    sheet: 'm2-lever-hoist',
    variants: { size: 'two-half', guard: 'changeover' },
    hoursRun: 410,
    hoursPerWeek: 3,
    overhauls: [
      {
        hours: 190,
        on: '2024-01-15',
        complaint: 'Yearly examination',
        wear: { general: 0.2, figures: { throat: 34.2, loaded: 3120 } },
      },
      {
        hours: 310,
        on: '2025-06-02',
        complaint: 'The load creeps down overnight',
        signs: ['creeps'],
        wear: {
          general: 0.4,
          renewed: ['disc@outer', 'disc@inner'],
          figures: {
            'throat': 34.4,
            'loaded': 3120,
            'light-load': 'it runs down, slowly',
            'cloth-found': 'a grey or yellow smear',
            'discs disc@outer': 'black 2',
            'discs disc@inner': 'black 1',
          },
        },
        cause: 'Somebody had greased its brake to free it',
      },
    ],
  },
  {
    tag: 'L-22',
    name: 'Lever hoist 5 t',
    area: 'beet',
    line: 'pump hall',
    sheet: 'm2-lever-hoist',
    variants: { size: 'five', guard: 'limiter' },
    hoursRun: 620,
    hoursPerWeek: 4,
    overhauls: [
      {
        hours: 280,
        on: '2024-02-12',
        complaint: 'Yearly examination',
        wear: { general: 0.3 },
      },
      {
        hours: 450,
        on: '2025-02-17',
        complaint: 'Yearly examination',
        wear: { general: 0.45 },
      },
      {
        hours: 620,
        on: '2026-11-25',
        complaint: 'The chain jumps with a crack',
        signs: ['jumps'],
        wear: {
          general: 0.5,
          renewed: ['chain'],
          figures: { 'pitch asFound place 3': 137.9, 'pitch asFound place 4': 137.4 },
        },
        until: 'side-gears-on',
      },
    ],
  },
]

/** The motors of the carbonation gas fans: two sisters in sleeve bearings, one of them on a converter. */
export const SLEEVE_MOTORS: DemoMachine[] = [
  {
    tag: 'E-431',
    name: 'Gas fan motor 1',
    area: 'juice',
    line: 'carbonation',
    sheet: 'm6-sleeve-bearing-motor',
    variants: { rings: 'one', nde: 'plain', coupling: 'float' },
    hoursRun: 52300,
    hoursPerWeek: 130,
    overhauls: [
      {
        hours: 21800,
        on: '2021-05-10',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 47600,
        on: '2025-05-19',
        complaint: 'Its drive end runs hot since the restart',
        signs: ['hot'],
        wear: {
          general: 0.45,
          renewed: ['bush@de', 'ring@de'],
          figures: {
            'warm drive end': 92,
            'rings-found': 'one of them stands',
            'lining bush@de': 'wiped 2 from 4:00 to 8:00',
            'ring-round-de inspect': 1.6,
          },
        },
        cause: 'The oil ring had been bent as the bush was drawn at the last overhaul, and had stopped',
      },
    ],
  },
  {
    tag: 'E-432',
    name: 'Gas fan motor 2',
    area: 'juice',
    line: 'carbonation',
    sheet: 'm6-sleeve-bearing-motor',
    variants: { rings: 'one', nde: 'insulated', coupling: 'float' },
    hoursRun: 44100,
    hoursPerWeek: 130,
    overhauls: [
      {
        hours: 18900,
        on: '2022-05-16',
        complaint: 'Shakes; the converter was fitted the year before',
        signs: ['shakes'],
        wear: {
          general: 0.4,
          renewed: ['bush@nde'],
          figures: { 'lining bush@nde': 'frost 2 from 4:00 to 8:00', 'shake asFound non-drive end': 4.9 },
        },
        cause: 'One screw of the insulated bell had no sleeve: current went through the bearing',
      },
      {
        hours: 44100,
        on: '2026-11-30',
        complaint: 'Hunts to and fro at half load',
        signs: ['hunts'],
        wear: { general: 0.5, figures: { 'line-found': 2.4 } },
        until: 'even',
        waitsSince: '2 h',
      },
    ],
  },
]
