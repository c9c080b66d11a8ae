import { bearingRingLimits, fitOfLimits, limitsOfClass } from '../fits/index.ts'
import { accept } from '../result.ts'
import { holdAgainst } from '../verdict.ts'
import {
  clearanceAfterMounting,
  CLEARANCE_GROUPS,
  driveUp,
  groupClearance,
  LOAD_CASES,
  LOADS,
  mountingTemperature,
  readDesignation,
  seatClasses,
  slotSetting,
  TAPERS,
  type Taper,
} from '../rollers/index.ts'
import { answering, defineSum, line, say, type School } from './define.ts'
import { choice, fallback, flag, number, optional, text, whole } from './fields.ts'
import { hold, makerMax, makerMin } from './limits.ts'

const BORE = number('Bore', 'mm', [1, 500])
const OUTSIDE = number('Outside diameter', 'mm', [2, 900])
const UM = [-1000, 2000] as const
const TABLES = ['deep groove ball', 'cylindrical roller', 'spherical roller', 'spherical roller, tapered bore'] as const

export const HEATING: School[] = [
  {
    name: 'Induction',
    gives: 'quick, even, thermostat on the inner ring',
    why: 'the ring is its own heater; it is demagnetised afterwards. Not for what the maker forbids it for',
  },
  {
    name: 'Oil bath',
    gives: 'even, slow, clean oil off the bottom',
    why: 'suits large and many parts; washes grease and dirt in, needs a lid and an extinguisher',
  },
  {
    name: 'Oven',
    gives: 'slow, dry, clean',
    why: 'holds small parts ready at one temperature; the bearing stays clean and its bore dry',
  },
]

export const rollerSums = [
  defineSum({
    name: 'bearing-designation',
    craft: 'rollers',
    title: 'Designation',
    about: 'What a bearing’s designation says: sizes, clearance group, and suffixes that change the job.',
    source: 'ISO 15:2017 for boundary dimensions',
    fields: { designation: text('Designation', 30) },
    example: { designation: '6312-2RS C3' },
    work: ({ designation }) =>
      answering(readDesignation(designation), one => ({
        figures: [
          { key: 'type', what: 'Kind', value: one.type },
          { key: 'series', what: 'Series', value: one.series },
          { key: 'boreMm', what: 'Bore', value: one.boreMm, unit: 'mm', decimals: 0 },
          { key: 'outsideMm', what: 'Outside diameter', value: one.outsideMm, unit: 'mm', decimals: 0 },
          { key: 'widthMm', what: 'Width', value: one.widthMm, unit: 'mm', decimals: 0 },
          { key: 'group', what: 'Clearance group', value: one.group },
          { key: 'taperedBore', what: 'Tapered bore', value: one.taperedBore },
          { key: 'closed', what: 'Closed', value: one.closed },
        ],
        working: [line('Bore', '5 × bore code, 00 to 03 apart', designation.trim(), `${say(one.boreMm)} mm`)],
        notes: one.heed,
      })),
  }),
  defineSum({
    name: 'bearing-fit',
    craft: 'rollers',
    title: 'Seats from the load',
    about: 'Which seat classes the rings want, from which ring turns against the load. Two schools.',
    source: 'general guidance of workshop handbooks; ISO 286-2 and ISO 492 for the fit they make',
    fields: {
      boreMm: BORE,
      outsideMm: optional(OUTSIDE),
      elements: choice('Rolling elements', ['ball', 'roller']),
      loadCase: choice('Load', LOAD_CASES),
      load: choice('How heavy', LOADS),
    },
    example: {
      boreMm: 60,
      outsideMm: 130,
      elements: 'ball',
      loadCase: 'inner ring turns against the load',
      load: 'normal',
    },
    work: ({ boreMm, outsideMm, elements, loadCase, load }) =>
      answering(seatClasses(boreMm, elements, loadCase, load), ({ bySize, byHabit }) => {
        const ring = bearingRingLimits(boreMm, 'bore')
        const spanOn = (shaft: string) => {
          const limits = limitsOfClass(boreMm, shaft)
          if (!ring.ok || !limits.ok) return ''
          const fit = fitOfLimits(ring.value, limits.value)
          return `${say(fit.minClearanceUm, 1)} to ${say(fit.maxClearanceUm, 1)} µm clearance on the shaft`
        }
        const own = outsideMm === undefined ? null : bearingRingLimits(outsideMm, 'outside')
        const housing = outsideMm === undefined ? null : limitsOfClass(outsideMm, bySize.housing)
        const outer = own?.ok && housing?.ok ? fitOfLimits(housing.value, own.value) : null
        return {
          figures: [
            { key: 'shaft', what: 'Shaft class, by size and load', value: bySize.shaft },
            { key: 'housing', what: 'Housing class', value: bySize.housing },
            { key: 'shaftByHabit', what: 'Shaft class, workshop’s way', value: byHabit.shaft },
            { key: 'housingByHabit', what: 'Housing class, workshop’s way', value: byHabit.housing },
            ...(outer
              ? [
                  {
                    key: 'housingMinUm',
                    what: 'Least clearance in the housing',
                    value: outer.minClearanceUm,
                    unit: 'µm',
                    decimals: 1,
                  },
                  {
                    key: 'housingMaxUm',
                    what: 'Greatest clearance in the housing',
                    value: outer.maxClearanceUm,
                    unit: 'µm',
                    decimals: 1,
                  },
                ]
              : []),
          ],
          working: [
            line(
              'Tight ring',
              'the ring that turns against the load',
              loadCase,
              loadCase.startsWith('outer')
                ? 'outer ring tight, shaft easy'
                : loadCase.startsWith('inner')
                  ? 'inner ring tight, housing easy'
                  : 'both tight',
            ),
          ],
          schools: [
            {
              name: `By size and load: ${bySize.shaft}, ${bySize.housing}`,
              gives: spanOn(bySize.shaft),
              why: bySize.why,
            },
            {
              name: `Workshop’s way: ${byHabit.shaft}, ${byHabit.housing}`,
              gives: spanOn(byHabit.shaft),
              why: byHabit.why,
            },
          ],
          notes: ['General guidance. The maker’s manual goes before both.'],
        }
      }),
  }),
  defineSum({
    name: 'internal-clearance',
    craft: 'rollers',
    title: 'Clearance group',
    about: 'Radial internal clearance of an unmounted bearing by its group, and the one measured by feeler against it.',
    source: 'ISO 5753-1:2009',
    fields: {
      kind: choice('Kind', TABLES),
      boreMm: BORE,
      group: choice('Group', CLEARANCE_GROUPS),
      measuredUm: optional(number('Measured by feeler', 'µm', [0, 1000])),
    },
    example: { kind: 'deep groove ball', boreMm: 60, group: 'C3', measuredUm: 34 },
    work: ({ kind, boreMm, group, measuredUm }) =>
      answering(groupClearance(kind, boreMm, group), ({ leastUm, greatestUm }) => ({
        figures: [
          ...(measuredUm === undefined
            ? []
            : [
                {
                  key: 'measuredUm',
                  what: 'Measured',
                  value: measuredUm,
                  unit: 'µm',
                  decimals: 0,
                  held: holdAgainst(
                    measuredUm,
                    { min: leastUm, max: greatestUm, warningShare: 0 },
                    `group ${group}, ISO 5753-1`,
                    {
                      low: 'less clearance than its group: another bearing, or already strained',
                      high: 'more clearance than its group: another bearing, or worn',
                    },
                  ),
                },
              ]),
          { key: 'leastUm', what: 'Group, least', value: leastUm, unit: 'µm', decimals: 0 },
          { key: 'greatestUm', what: 'Group, greatest', value: greatestUm, unit: 'µm', decimals: 0 },
        ],
        working: [
          line('Group', 'ISO 5753-1', `${kind}, ${say(boreMm)} mm, ${group}`, `${leastUm} to ${greatestUm} µm`),
        ],
      })),
  }),
  defineSum({
    name: 'clearance-after-mounting',
    craft: 'rollers',
    title: 'Clearance after mounting',
    about: 'What is left of a bearing’s clearance once both fits have taken theirs and the inner ring is warm.',
    source: 'thick-ring estimate of bearing textbooks; clearance groups ISO 5753-1; on the safe side',
    fields: {
      boreMm: BORE,
      outsideMm: OUTSIDE,
      unmountedLeastUm: number('Unmounted, least', 'µm', [0, 1000]),
      unmountedGreatestUm: number('Unmounted, greatest', 'µm', [0, 1000]),
      innerLeastUm: number('Inner ring interference, least', 'µm', UM, 'negative is clearance'),
      innerGreatestUm: number('Inner ring interference, greatest', 'µm', UM),
      outerLeastUm: fallback(number('Outer ring interference, least', 'µm', UM), 0),
      outerGreatestUm: fallback(number('Outer ring interference, greatest', 'µm', UM), 0),
      seat: fallback(choice('Seats are', ['ground', 'turned']), 'ground'),
      warmerK: fallback(number('Inner ring warmer by', 'K', [0, 100]), 10),
      minUm: makerMin('µm', [0, 1000]),
    },
    example: {
      boreMm: 60,
      outsideMm: 130,
      unmountedLeastUm: 23,
      unmountedGreatestUm: 43,
      innerLeastUm: 2,
      innerGreatestUm: 36,
      outerLeastUm: 0,
      outerGreatestUm: 0,
      seat: 'ground',
      warmerK: 10,
    },
    work: given => {
      const result = clearanceAfterMounting({
        boreMm: given.boreMm,
        outsideMm: given.outsideMm,
        unmounted: { leastUm: given.unmountedLeastUm, greatestUm: given.unmountedGreatestUm },
        inner: { leastUm: given.innerLeastUm, greatestUm: given.innerGreatestUm },
        outer: { leastUm: given.outerLeastUm, greatestUm: given.outerGreatestUm },
        seat: given.seat,
        warmerK: given.warmerK,
      })
      return answering(result, left => {
        const limit = given.minUm ?? 0
        const worst = holdAgainst(
          left.running.leastUm,
          { min: limit, best: Math.max(left.running.greatestUm, limit + 1) },
          given.minUm === undefined
            ? 'nought: below it the bearing runs preloaded'
            : 'typed here, from the maker’s manual',
          { low: 'the bearing may run preloaded: it heats, and heat tightens it further' },
        )
        const [d, di, Do] = [given.boreMm, left.innerRacewayMm, left.outerRacewayMm]
        return {
          figures: [
            {
              key: 'runningLeastUm',
              what: 'Running, worst case',
              value: left.running.leastUm,
              unit: 'µm',
              decimals: 1,
              held: worst,
            },
            {
              key: 'runningGreatestUm',
              what: 'Running, greatest',
              value: left.running.greatestUm,
              unit: 'µm',
              decimals: 1,
            },
            {
              key: 'mountedLeastUm',
              what: 'Mounted cold, least',
              value: left.mounted.leastUm,
              unit: 'µm',
              decimals: 1,
            },
            {
              key: 'mountedGreatestUm',
              what: 'Mounted cold, greatest',
              value: left.mounted.greatestUm,
              unit: 'µm',
              decimals: 1,
            },
            {
              key: 'innerLossUm',
              what: 'Lost to the inner fit, most',
              value: left.innerLoss.greatestUm,
              unit: 'µm',
              decimals: 1,
            },
            {
              key: 'outerLossUm',
              what: 'Lost to the outer fit, most',
              value: left.outerLoss.greatestUm,
              unit: 'µm',
              decimals: 1,
            },
            { key: 'temperatureLossUm', what: 'Lost to heat', value: left.temperatureLossUm, unit: 'µm', decimals: 1 },
          ],
          working: [
            line(
              'Raceways',
              'd + (D − d)/4; D − (D − d)/4',
              `${say(d)} and ${say(given.outsideMm)}`,
              `${say(di, 1)} and ${say(Do, 1)} mm`,
            ),
            line(
              'Inner loss',
              `δ·d/(d + ${given.seat === 'ground' ? 2 : 3})·(d/di)`,
              `${say(Math.max(0, given.innerGreatestUm), 1)}·${say(d)}/${say(d + (given.seat === 'ground' ? 2 : 3))}·(${say(d)}/${say(di, 1)})`,
              `${say(left.innerLoss.greatestUm, 1)} µm`,
            ),
            line(
              'Outer loss',
              'δ·(Do/D)',
              `${say(Math.max(0, given.outerGreatestUm), 1)}·(${say(Do, 1)}/${say(given.outsideMm)})`,
              `${say(left.outerLoss.greatestUm, 1)} µm`,
            ),
            line(
              'Heat loss',
              '0.012·ΔT·Do',
              `0.012·${say(given.warmerK)}·${say(Do, 1)}`,
              `${say(left.temperatureLossUm, 1)} µm`,
            ),
            line(
              'Worst case',
              'least unmounted − losses',
              `${say(given.unmountedLeastUm)} − ${say(left.innerLoss.greatestUm, 1)} − ${say(left.outerLoss.greatestUm, 1)} − ${say(left.temperatureLossUm, 1)}`,
              `${say(left.running.leastUm, 1)} µm`,
            ),
          ],
          notes: ['An estimate on the safe side; the maker’s figure goes before it.'],
        }
      })
    },
  }),
  defineSum({
    name: 'mounting-temperature',
    craft: 'rollers',
    title: 'Mounting temperature',
    about: 'How hot a ring must be to slide home, and whether it may be.',
    source: 'linear expansion, 11.7·10⁻⁶ 1/K; 110 and 125 °C are general limits for bearing steel',
    fields: {
      boreMm: number('Bore', 'mm', [0.1, 1000]),
      interferenceUm: number('Greatest interference', 'µm', [0, 2000]),
      assemblyClearanceUm: number('Room to slide', 'µm', [0, 2000]),
      ambientC: number('Shaft is at', '°C', [-50, 80]),
      greasedOrSealed: flag('Greased or sealed'),
    },
    example: { boreMm: 60, interferenceUm: 36, assemblyClearanceUm: 30, ambientC: 20, greasedOrSealed: false },
    work: input =>
      answering(mountingTemperature(input), ({ temperatureC, otherWays }) => {
        const max = input.greasedOrSealed ? 80 : 125
        const held = holdAgainst(
          temperatureC,
          {
            max,
            best: Math.min(input.ambientC, max - 1),
            warningShare: input.greasedOrSealed ? 0 : (125 - 110) / (125 - Math.min(input.ambientC, 124)),
          },
          input.greasedOrSealed ? 'greased or sealed: 80 °C' : 'bearing steel: 125 °C, care above 110 °C',
          { high: input.greasedOrSealed ? 'grease and seals spoil' : 'the steel may lose its size and hardness' },
        )
        return {
          figures: [
            { key: 'temperatureC', what: 'Heat the ring to', value: temperatureC, unit: '°C', decimals: 1, held },
          ],
          working: [
            line(
              'Temperature',
              'shaft + (δ + room)/(11.7·10⁻³·d)',
              `${say(input.ambientC)} + (${say(input.interferenceUm, 1)} + ${say(input.assemblyClearanceUm, 1)})/(0.0117·${say(input.boreMm)})`,
              `${say(temperatureC, 1)} °C`,
            ),
          ],
          notes: [
            ...(otherWays.length ? [`Too hot for heat alone: ${otherWays.join(', ')}.`] : []),
            'Never a flame. Hot parts burn: gloves on, shaft clean and ready first.',
          ],
          schools: HEATING,
          more: { otherWays },
        }
      }),
  }),
  defineSum({
    name: 'drive-up',
    craft: 'rollers',
    title: 'Tapered bore drive-up',
    about: 'How far a tapered bore is driven up its seat, by lost clearance and by the nut’s angle.',
    source: 'fitting practice: 0.45 to 0.6 ‰ of the bore; the maker’s table goes before it',
    fields: {
      boreMm: BORE,
      taper: choice('Taper', Object.keys(TAPERS) as [Taper, ...Taper[]]),
      nutPitchMm: number('Pitch of the nut', 'mm', [0.25, 10]),
      measuredUm: optional(number('Clearance before, by feeler', 'µm', [0, 1000])),
      minLeftUm: makerMin('µm', [0, 1000]),
      turnedDeg: optional(number('Nut turned from firm contact', '°', [0, 1440])),
    },
    example: { boreMm: 80, taper: '1:12', nutPitchMm: 2, measuredUm: 90, minLeftUm: 35, turnedDeg: 110 },
    work: ({ boreMm, taper, nutPitchMm, measuredUm, minLeftUm, turnedDeg }) =>
      answering(driveUp(boreMm, taper, nutPitchMm, measuredUm), ({ reduction, travelMm, nutDeg, leftUm }) => ({
        figures: [
          ...(leftUm
            ? [
                {
                  key: 'leftLeastUm',
                  what: 'Clearance left, least',
                  value: leftUm.leastUm,
                  unit: 'µm',
                  decimals: 0,
                  held: hold(
                    leftUm.leastUm,
                    { min: minLeftUm },
                    { low: 'the bearing will run preloaded: drive it up less' },
                  ),
                },
              ]
            : []),
          ...(turnedDeg === undefined
            ? []
            : [
                {
                  key: 'turnedDeg',
                  what: 'Nut turned',
                  value: turnedDeg,
                  unit: '°',
                  decimals: 0,
                  held: holdAgainst(
                    turnedDeg,
                    { min: nutDeg.least, max: nutDeg.greatest, warningShare: 0 },
                    'angle for 0.45 to 0.6 ‰',
                    { low: 'too little: the ring may creep', high: 'too far: the clearance is spent' },
                  ),
                },
              ]),
          {
            key: 'reductionLeastUm',
            what: 'Reduce clearance by, least',
            value: reduction.leastUm,
            unit: 'µm',
            decimals: 0,
          },
          {
            key: 'reductionGreatestUm',
            what: 'Reduce clearance by, greatest',
            value: reduction.greatestUm,
            unit: 'µm',
            decimals: 0,
          },
          { key: 'travelLeastMm', what: 'Drive up, least', value: travelMm.least, unit: 'mm', decimals: 2 },
          { key: 'travelGreatestMm', what: 'Drive up, greatest', value: travelMm.greatest, unit: 'mm', decimals: 2 },
          { key: 'nutLeastDeg', what: 'Nut angle, least', value: nutDeg.least, unit: '°', decimals: 0 },
          { key: 'nutGreatestDeg', what: 'Nut angle, greatest', value: nutDeg.greatest, unit: '°', decimals: 0 },
        ],
        working: [
          line(
            'Reduction',
            '0.45 to 0.6 ‰ of d',
            `0.45 and 0.6·${say(boreMm)}`,
            `${say(reduction.leastUm, 0)} to ${say(reduction.greatestUm, 0)} µm`,
          ),
          line(
            'Travel',
            taper === '1:12' ? '15 to 16 × reduction' : '15 to 16 × 2.5 × reduction',
            `from firm contact`,
            `${say(travelMm.least, 2)} to ${say(travelMm.greatest, 2)} mm`,
          ),
          line(
            'Nut angle',
            '360·travel/pitch',
            `360·${say(travelMm.least, 2)}/${say(nutPitchMm, 2)}`,
            `${say(nutDeg.least, 0)} to ${say(nutDeg.greatest, 0)}°`,
          ),
        ],
        schools: [
          {
            name: 'By feeler gauge',
            gives: `clearance down by ${say(reduction.leastUm, 0)} to ${say(reduction.greatestUm, 0)} µm`,
            why: 'measures the thing that matters, over every roller row; wants room for the feeler and a steady hand',
          },
          {
            name: 'By nut angle',
            gives: `nut on by ${say(nutDeg.least, 0)} to ${say(nutDeg.greatest, 0)}°`,
            why: 'the only way on small and sealed bearings; stands or falls with where firm contact was felt',
          },
        ],
        notes: [
          'Count from firm contact. Adapter sleeves want more. Tapered bores have clearance groups of their own.',
        ],
      })),
  }),
  defineSum({
    name: 'locknut-slots',
    craft: 'rollers',
    title: 'Locknut by its slots',
    about: 'How many slots ease the nut to the wanted end clearance, and what the slot on either side really leaves.',
    source: 'pitch and the least common multiple of slots and tabs',
    fields: {
      pitchMm: number('Pitch', 'mm', [0.25, 10]),
      slots: whole('Slots of the nut', [1, 60]),
      tabs: fallback(whole('Tabs of the washer', [1, 60]), 1),
      wantedMm: number('End clearance wanted', 'mm', [0, 100]),
      minMm: makerMin('mm', [0, 100]),
      maxMm: makerMax('mm', [0, 100]),
    },
    example: { pitchMm: 1.5, slots: 4, tabs: 17, wantedMm: 0.12, minMm: 0.1, maxMm: 0.15 },
    work: ({ pitchMm, slots, tabs, wantedMm, minMm, maxMm }) => {
      const setting = slotSetting(pitchMm, slots, tabs, wantedMm)
      if (!setting.ok) return setting
      const { stopsPerTurn, travelPerStopMm, exact, fewer, more } = setting.value
      const nearer = wantedMm - fewer.leavesMm <= more.leavesMm - wantedMm ? fewer : more
      return accept({
        figures: [
          { key: 'stops', what: 'Ease the nut by stops', value: nearer.stops, decimals: 0 },
          {
            key: 'leavesMm',
            what: 'Leaves',
            value: nearer.leavesMm,
            unit: 'mm',
            decimals: 3,
            held: hold(
              nearer.leavesMm,
              { min: minMm, max: maxMm },
              { low: 'no room for growth: the bearings load each other', high: 'the rotor floats too far' },
            ),
          },
          { key: 'travelPerStopMm', what: 'A stop is worth', value: travelPerStopMm, unit: 'mm', decimals: 4 },
          { key: 'stopsPerTurn', what: 'Stops a turn', value: stopsPerTurn, decimals: 0 },
          { key: 'exact', what: 'Exactly', value: exact, decimals: 2 },
          { key: 'fewerLeavesMm', what: `${fewer.stops} stops leave`, value: fewer.leavesMm, unit: 'mm', decimals: 3 },
          { key: 'moreLeavesMm', what: `${more.stops} stops leave`, value: more.leavesMm, unit: 'mm', decimals: 3 },
        ],
        working: [
          line('Stops a turn', 'lcm(slots, tabs)', `lcm(${slots}, ${tabs})`, String(stopsPerTurn)),
          line('A stop', 'pitch/stops', `${say(pitchMm)}/${stopsPerTurn}`, `${say(travelPerStopMm, 4)} mm`),
          line('Wanted', 'clearance/stop', `${say(wantedMm)}/${say(travelPerStopMm, 4)}`, `${say(exact, 2)} stops`),
        ],
        notes: ['Count only where slots and tabs are evenly spaced; one tab alone stops at the nut’s slots.'],
        more: { fewer, more },
      })
    },
  }),
]
