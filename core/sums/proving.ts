import {
  commutator,
  HAND_TURN_WORDS,
  HAND_TURNS,
  insulation,
  OTHER_MACHINES,
  permissibleUnbalance,
  pressureDrop,
  sharedUnbalance,
  steadiness,
  SUPPORTS,
  VIBRATION_GROUPS,
  vibrationZone,
} from '../proving/index.ts'
import { accept, refuse } from '../result.ts'
import { holdAgainst } from '../verdict.ts'
import { answering, defineSum, line, say } from './define.ts'
import { choice, fallback, list, number, optional, rows, whole } from './fields.ts'
import { hold } from './limits.ts'

const OHM = [0.000001, 10000000] as const
/** What each zone of ISO 20816-3 means for running on. */
const ZONE_SAYS = {
  A: 'zone A: as a new machine',
  B: 'zone B: it may run on; watch whether it rises',
  C: 'zone C: not for long running; find the cause',
  D: 'zone D: it does harm; stop it',
} as const
const AUTHORISED = 'Electrical tests are made by authorised people.'

export const provingSums = [
  defineSum({
    name: 'run-record',
    craft: 'proving',
    title: 'Run record',
    about: 'Is a run steady: slope over the last window, and rise over the air around.',
    source: 'least squares over the last window; 1 K/h is the ordinary rate',
    fields: {
      samples: rows(
        'Readings',
        { minute: number('Minute', '1', [0, 100000]), value: number('Reads', '1', [-1000, 100000]) },
        [2, 500],
      ),
      windowMin: fallback(number('Window, minutes', '1', [1, 1440]), 30),
      maxSlopePerHour: fallback(number('Steady under, an hour', '1', [0.001, 1000]), 1),
      ambient: optional(number('Air around', '1', [-50, 80])),
      maxRise: optional(number('Greatest rise', '1', [0, 500])),
    },
    example: {
      samples: [
        [0, 22],
        [10, 34],
        [20, 41.5],
        [30, 46],
        [40, 48.8],
        [50, 50.4],
        [60, 51.2],
        [70, 51.6],
        [80, 51.8],
        [90, 51.9],
        [100, 52],
      ].map(([minute, value]) => ({ minute: minute!, value: value! })),
      windowMin: 30,
      maxSlopePerHour: 1,
      ambient: 21,
      maxRise: 40,
    },
    work: ({ samples, windowMin, maxSlopePerHour, ambient, maxRise }) =>
      answering(steadiness(samples, windowMin), ({ slopePerHour, last, greatest, count }) => ({
        figures: [
          {
            key: 'slopePerHour',
            what: 'Slope, an hour',
            value: slopePerHour,
            decimals: 2,
            held:
              slopePerHour === null
                ? {
                    ...holdAgainst(Number.NaN, {}, `the window of ${say(windowMin)} minutes is not full`),
                    limits: { max: maxSlopePerHour },
                  }
                : holdAgainst(Math.abs(slopePerHour), { max: maxSlopePerHour }, 'rate typed here', {
                    high: 'not steady yet: run on before it is judged',
                  }),
          },
          ...(ambient === undefined
            ? []
            : [
                {
                  key: 'rise',
                  what: 'Rise over the air around',
                  value: last - ambient,
                  decimals: 1,
                  held: hold(
                    last - ambient,
                    { max: maxRise },
                    { high: 'the bearing runs hot: too much grease, too tight, or out of line' },
                  ),
                },
              ]),
          { key: 'last', what: 'Last', value: last, decimals: 1 },
          { key: 'greatest', what: 'Greatest', value: greatest, decimals: 1 },
          { key: 'steady', what: 'Steady', value: slopePerHour !== null && Math.abs(slopePerHour) <= maxSlopePerHour },
        ],
        working: [
          line(
            'Slope',
            'Σ(t − t̄)(y − ȳ)/Σ(t − t̄)²',
            `${count} readings of the last ${say(windowMin)} min`,
            slopePerHour === null ? 'window not full' : `${say(slopePerHour, 2)} an hour`,
          ),
        ],
      })),
  }),
  defineSum({
    name: 'vibration',
    craft: 'proving',
    title: 'Vibration zone',
    about: 'Velocity r.m.s. on a bearing housing, by group and support.',
    source: 'ISO 20816-3; not for reciprocating machines, gear units, sets of 15 kW or less or pumps',
    fields: {
      mmPerS: number('Velocity r.m.s.', 'mm/s', [0, 200]),
      group: choice('Machine', VIBRATION_GROUPS),
      support: choice('Support', SUPPORTS),
      other: optional(choice('It is a', OTHER_MACHINES)),
    },
    example: { mmPerS: 2.1, group: 'medium: over 15 up to 300 kW, or shaft height 160 to 315 mm', support: 'rigid' },
    work: ({ mmPerS, group, support, other }) =>
      answering(vibrationZone(mmPerS, group, support, other), ({ zone, limits }) => ({
        figures: [
          {
            key: 'mmPerS',
            what: 'Velocity',
            value: mmPerS,
            unit: 'mm/s',
            decimals: 2,
            held: {
              ...holdAgainst(
                mmPerS,
                { max: limits[1], warningShare: 1 - limits[0] / limits[1] },
                'ISO 20816-3, zone B ends',
                { high: ZONE_SAYS[zone] },
              ),
            },
          },
          { key: 'zone', what: 'Zone', value: zone },
        ],
        working: [line('Zones', 'A/B, B/C, C/D', `${group.split(':')[0]}, ${support}`, `${limits.join(', ')} mm/s`)],
      })),
  }),
  defineSum({
    name: 'insulation',
    craft: 'proving',
    title: 'Insulation resistance',
    about: 'Resistance brought to 40 °C, and the polarisation index.',
    source: 'IEEE 43; halving every 10 K for old thermoplastic insulation',
    fields: {
      oneMinuteMOhm: number('After one minute', 'MΩ', OHM),
      tenMinutesMOhm: optional(number('After ten minutes', 'MΩ', OHM)),
      windingC: number('Winding at', '°C', [-10, 150]),
      halvingK: fallback(number('Halves every', 'K', [5, 60]), 10),
      minMOhm: optional(number('Least at 40 °C', 'MΩ', OHM)),
      minIndex: optional(number('Least index', '1', [1, 10])),
    },
    example: { oneMinuteMOhm: 420, tenMinutesMOhm: 1150, windingC: 24, halvingK: 10, minMOhm: 100, minIndex: 2 },
    work: ({ oneMinuteMOhm, tenMinutesMOhm, windingC, halvingK, minMOhm, minIndex }) =>
      answering(
        insulation(oneMinuteMOhm, windingC, tenMinutesMOhm, halvingK),
        ({ at40MOhm, polarisationIndex, indexMeans }) => ({
          figures: [
            {
              key: 'at40MOhm',
              what: 'At 40 °C',
              value: at40MOhm,
              unit: 'MΩ',
              decimals: 1,
              held: hold(at40MOhm, { min: minMOhm }, { low: 'damp or dirty: dry and clean it before any voltage' }),
            },
            {
              key: 'polarisationIndex',
              what: 'Polarisation index',
              value: polarisationIndex,
              decimals: 2,
              ...(polarisationIndex !== null && minIndex !== undefined && indexMeans
                ? {
                    held: hold(
                      polarisationIndex,
                      { min: minIndex },
                      { low: 'it does not take a charge: damp or aged' },
                    ),
                  }
                : {}),
            },
          ],
          working: [
            line(
              'At 40 °C',
              'R·0.5^((40 − T)/10)',
              `${say(oneMinuteMOhm, 1)}·0.5^((40 − ${say(windingC, 1)})/${say(halvingK)})`,
              `${say(at40MOhm, 1)} MΩ`,
            ),
            ...(tenMinutesMOhm === undefined
              ? []
              : [
                  line(
                    'Index',
                    'R₁₀/R₁',
                    `${say(tenMinutesMOhm, 1)}/${say(oneMinuteMOhm, 1)}`,
                    say(polarisationIndex!, 2),
                  ),
                ]),
          ],
          notes: [...(indexMeans ? [] : ['Above 5 GΩ at one minute the index means nothing.']), AUTHORISED],
        }),
      ),
  }),
  defineSum({
    name: 'balance',
    craft: 'proving',
    title: 'Balance',
    about: 'Unbalance a rotor may keep, shared between its planes.',
    source: 'ISO 21940-11',
    fields: {
      grade: number('Grade G', '1', [0.1, 6300]),
      speedPerMin: number('Service speed', '1/min', [1, 500000]),
      massKg: number('Rotor', 'kg', [0.001, 500000]),
      toPlaneAM: optional(number('Centre of gravity to plane A', 'm', [0.001, 50])),
      toPlaneBM: optional(number('… to plane B', 'm', [0.001, 50])),
      leftGmm: optional(number('Left in it', 'g·mm', [0, 100000000])),
      key: fallback(choice('Balanced with', ['half key', 'full key', 'no key']), 'half key'),
    },
    example: {
      grade: 6.3,
      speedPerMin: 1480,
      massKg: 48,
      toPlaneAM: 0.22,
      toPlaneBM: 0.34,
      leftGmm: 900,
      key: 'half key',
    },
    work: ({ grade, speedPerMin, massKg, toPlaneAM, toPlaneBM, leftGmm, key }) => {
      const allowed = permissibleUnbalance(grade, speedPerMin, massKg)
      if (!allowed.ok) return allowed
      const { eccentricityUm, unbalanceGmm } = allowed.value
      const shared =
        toPlaneAM !== undefined && toPlaneBM !== undefined ? sharedUnbalance(unbalanceGmm, toPlaneAM, toPlaneBM) : null
      if (shared && !shared.ok) return shared
      return accept({
        figures: [
          ...(leftGmm === undefined
            ? []
            : [
                {
                  key: 'leftGmm',
                  what: 'Left in it',
                  value: leftGmm,
                  unit: 'g·mm',
                  decimals: 0,
                  held: holdAgainst(leftGmm, { max: unbalanceGmm }, `G ${say(grade)} at service speed, ISO 21940-11`, {
                    high: 'it shakes its bearings: balance it again',
                  }),
                },
              ]),
          { key: 'unbalanceGmm', what: 'May keep', value: unbalanceGmm, unit: 'g·mm', decimals: 0 },
          { key: 'eccentricityUm', what: 'As eccentricity', value: eccentricityUm, unit: 'µm', decimals: 2 },
          ...(shared?.ok
            ? [
                { key: 'planeAGmm', what: 'In plane A', value: shared.value.aGmm, unit: 'g·mm', decimals: 0 },
                { key: 'planeBGmm', what: 'In plane B', value: shared.value.bGmm, unit: 'g·mm', decimals: 0 },
              ]
            : []),
        ],
        working: [
          line(
            'Eccentricity',
            '9549.3·G/n',
            `9549.3·${say(grade)}/${say(speedPerMin)}`,
            `${say(eccentricityUm, 2)} µm`,
          ),
          line('Unbalance', 'e·m', `${say(eccentricityUm, 2)}·${say(massKg)}`, `${say(unbalanceGmm, 0)} g·mm`),
          ...(shared?.ok
            ? [
                line(
                  'Plane A',
                  'U·L_B/L, 0.3 to 0.7',
                  `${say(unbalanceGmm, 0)}·${say(toPlaneBM!)}/${say(toPlaneAM! + toPlaneBM!)}`,
                  `${say(shared.value.aGmm, 0)} g·mm`,
                ),
              ]
            : []),
        ],
        notes: [`Balanced with ${key}: write it on the rotor.`],
      })
    },
  }),
  defineSum({
    name: 'commutator',
    craft: 'proving',
    title: 'Commutator',
    about: 'Profile, bar-to-bar step, undercut, brush pressure and resistance spread.',
    source: 'the sheet’s limits; pressure = force over area',
    fields: {
      barsUm: list('Bars round the turn', 'µm', [-5000, 5000], [4, 400]),
      undercutsMm: optional(list('Undercut of the mica', 'mm', [0, 10], [1, 400])),
      springN: optional(number('Brush spring', 'N', [0.1, 200])),
      brushAreaMm2: optional(number('Brush area, mm²', '1', [1, 10000])),
      resistancesMOhm: optional(list('Bar to bar, mΩ', '1', [0.0001, 100000], [2, 400])),
      maxProfileUm: optional(number('Greatest profile', 'µm', [0, 5000])),
      maxStepUm: optional(number('Greatest step', 'µm', [0, 1000])),
      minUndercutMm: optional(number('Least undercut', 'mm', [0, 10])),
      minKPa: optional(number('Brush, least kPa', '1', [0, 200])),
      maxKPa: optional(number('Brush, greatest kPa', '1', [0, 200])),
      maxSpreadPercent: optional(number('Greatest spread', '%', [0, 100])),
    },
    example: {
      barsUm: [0, 3, 6, 8, 7, 4, 1, -2, -4, -5, -4, -2],
      undercutsMm: [1.1, 1, 0.9, 1.1],
      springN: 12,
      brushAreaMm2: 640,
      resistancesMOhm: [8.1, 8.2, 8, 8.1, 8.3],
      maxProfileUm: 25,
      maxStepUm: 5,
      minUndercutMm: 0.8,
      minKPa: 15,
      maxKPa: 22,
      maxSpreadPercent: 5,
    },
    work: given =>
      answering(commutator(given.barsUm, given), read => {
        const kPa = read.brushMPa === null ? null : read.brushMPa * 1000
        return {
          figures: [
            {
              key: 'profileUm',
              what: 'Profile',
              value: read.profileUm,
              unit: 'µm',
              decimals: 0,
              held: hold(read.profileUm, { max: given.maxProfileUm }, { high: 'brushes bounce and spark: skim it' }),
            },
            {
              key: 'stepUm',
              what: `Greatest step, after bar ${read.stepAt}`,
              value: read.stepUm,
              unit: 'µm',
              decimals: 0,
              held: hold(read.stepUm, { max: given.maxStepUm }, { high: 'a bar stands up: brushes chip' }),
            },
            ...(read.undercutLeastMm === null
              ? []
              : [
                  {
                    key: 'undercutLeastMm',
                    what: 'Least undercut',
                    value: read.undercutLeastMm,
                    unit: 'mm',
                    decimals: 2,
                    held: hold(
                      read.undercutLeastMm,
                      { min: given.minUndercutMm },
                      { low: 'mica reaches the brush: undercut again' },
                    ),
                  },
                ]),
            ...(kPa === null
              ? []
              : [
                  {
                    key: 'brushKPa',
                    what: 'Brush pressure, kPa',
                    value: kPa,
                    decimals: 1,
                    held: hold(
                      kPa,
                      { min: given.minKPa, max: given.maxKPa },
                      { low: 'the brush floats and burns', high: 'brush and copper wear fast' },
                    ),
                  },
                ]),
            ...(read.resistanceSpreadShare === null
              ? []
              : [
                  {
                    key: 'resistanceSpreadPercent',
                    what: 'Bar-to-bar spread',
                    value: read.resistanceSpreadShare * 100,
                    unit: '%',
                    decimals: 1,
                    held: hold(
                      read.resistanceSpreadShare * 100,
                      { max: given.maxSpreadPercent },
                      { high: 'a riser or coil is open or shorted' },
                    ),
                  },
                ]),
          ],
          working: [
            line(
              'Profile',
              'greatest − least',
              `${say(Math.max(...given.barsUm))} − ${say(Math.min(...given.barsUm))}`,
              `${say(read.profileUm)} µm`,
            ),
            ...(kPa === null
              ? []
              : [
                  line('Brush', 'F/A', `${say(given.springN!)}/${say(given.brushAreaMm2!)}·1000`, `${say(kPa, 1)} kPa`),
                ]),
          ],
          notes: [AUTHORISED],
        }
      }),
  }),
  defineSum({
    name: 'leak-test',
    craft: 'proving',
    title: 'Leak test with gas',
    about: 'Pressure drop corrected for temperature, against what is allowed.',
    source: 'gas law at one volume, absolute pressure and temperature; gas only',
    fields: {
      startMPaAbs: number('At the start, absolute', 'MPa', [0.0001, 100]),
      startC: number('Gas at the start', '°C', [-50, 200]),
      endMPaAbs: number('At the end, absolute', 'MPa', [0.0001, 100]),
      endC: number('Gas at the end', '°C', [-50, 200]),
      minutes: whole('Ran, minutes', [1, 100000]),
      maxDropMPa: optional(number('Greatest drop', 'MPa', [0, 100])),
    },
    example: { startMPaAbs: 0.7013, startC: 24, endMPaAbs: 0.6935, endC: 21, minutes: 60, maxDropMPa: 0.005 },
    work: ({ startMPaAbs, startC, endMPaAbs, endC, minutes, maxDropMPa }) => {
      if (endMPaAbs > startMPaAbs * 1.5)
        return refuse('The end stands far above the start. Were both read absolute, in one unit?')
      return answering(
        pressureDrop(startMPaAbs, startC, endMPaAbs, endC, minutes),
        ({ dropMPa, perHourMPa, rawDropMPa }) => ({
          figures: [
            {
              key: 'dropMPa',
              what: 'Drop, corrected',
              value: dropMPa,
              unit: 'MPa',
              decimals: 5,
              held: hold(dropMPa, { max: maxDropMPa }, { high: 'it leaks: soap the joints and the seal' }),
            },
            { key: 'rawDropMPa', what: 'Drop as read', value: rawDropMPa, unit: 'MPa', decimals: 5 },
            { key: 'perHourMPa', what: 'An hour', value: perHourMPa, unit: 'MPa', decimals: 5 },
          ],
          working: [
            line(
              'Drop',
              'p₁ − p₂·T₁/T₂',
              `${say(startMPaAbs, 4)} − ${say(endMPaAbs, 4)}·${say(startC + 273.15, 2)}/${say(endC + 273.15, 2)}`,
              `${say(dropMPa, 5)} MPa`,
            ),
          ],
          notes: ['Gas only: a liquid does not follow it. Stand clear of a vessel under gas pressure.'],
        }),
      )
    },
  }),
  defineSum({
    name: 'hand-turn',
    craft: 'proving',
    title: 'Hand turn',
    about: 'What the hand feels when it turns the shaft, with the place on the dial.',
    source: 'graded words of the trade',
    fields: {
      felt: choice('It is', HAND_TURN_WORDS),
      atDeg: optional(number('At, clockwise from top', '°', [0, 360])),
    },
    example: { felt: 'tight spot', atDeg: 135 },
    work: ({ felt, atDeg }) => {
      const { verdict, means } = HAND_TURNS[felt]
      return accept({
        figures: [
          {
            key: 'felt',
            what: 'It is',
            value: felt,
            held: {
              verdict,
              share: null,
              side: verdict === 'Out' ? 'high' : null,
              limits: { max: 0 },
              source: 'it should turn free',
              consequence: verdict === 'Holds' ? null : means,
            },
          },
          { key: 'atDeg', what: 'At', value: atDeg ?? null, unit: '°', decimals: 0 },
        ],
        working: [line('Felt', 'what it means', felt, means)],
      })
    },
  }),
]
