import {
  compareFoundLeft,
  endFloat,
  followRounds,
  judgeFelt,
  judgeWithUncertainty,
  lengthAt20,
  lift,
  reduceGaps,
  reduceRoundPart,
  reduceRunout,
  reduceTries,
  seriesStands,
  shaftShape,
  tiltMmPerM,
  uncertaintyOfDifference,
  EXPANSION_PER_K,
  FELT_FITS,
  FELT_WORDS,
  MATERIALS,
  type Runout,
} from '../gauging/index.ts'
import { BASE_UNIT, KINDS, parseQuantity } from '../quantity/index.ts'
import { accept, refuse } from '../result.ts'
import { answering, defineSum, line, say } from './define.ts'
import { choice, fallback, flag, list, number, optional, rows, text } from './fields.ts'
import { hold, makerMax, makerMin } from './limits.ts'

const MM = [-2000, 20000] as const
const DIAL_UM = [-10000, 10000] as const
const SIZE = [0.01, 20000] as const

export const gaugingSums = [
  defineSum({
    name: 'quantities',
    craft: 'gauging',
    title: 'What was written',
    about: 'Reads a figure as it is written in a manual or on a sheet, and turns it into the base unit.',
    source: 'International yard and pound agreement 1959; standard gravity 9.80665 m/s²',
    fields: { text: text('As written', 60), kind: choice('It is a', KINDS) },
    example: { text: '1 3/8"', kind: 'length' },
    work: ({ text, kind }) =>
      answering(parseQuantity(text, { kind }), ({ value, unit }) => ({
        figures: [{ key: 'value', what: 'In the base unit', value, unit: BASE_UNIT[kind], decimals: 6 }],
        working: [
          line('Unit read', 'figure × factor', `“${text}” is in ${unit}`, `${say(value, 6)} ${BASE_UNIT[kind]}`),
        ],
      })),
  }),
  defineSum({
    name: 'tries',
    craft: 'gauging',
    title: 'Tries of one reading',
    about: 'Mean and range of several tries; says when to measure again and which stands furthest off.',
    source: 'workshop practice: range over a quarter of the tolerance',
    fields: { triesMm: list('Tries', 'mm', MM, [1, 20]), minMm: makerMin('mm', MM), maxMm: makerMax('mm', MM) },
    example: { triesMm: [59.984, 59.983, 59.983], minMm: 59.98, maxMm: 60 },
    work: ({ triesMm, minMm, maxMm }) => {
      const tolerance = minMm !== undefined && maxMm !== undefined ? maxMm - minMm : undefined
      return answering(reduceTries(triesMm, { tolerance }), ({ mean, range, count, measureAgain, furthest }) => ({
        figures: [
          {
            key: 'meanMm',
            what: 'Mean',
            value: mean,
            unit: 'mm',
            decimals: 4,
            held: hold(mean, { min: minMm, max: maxMm }),
          },
          { key: 'rangeMm', what: 'Range', value: range, unit: 'mm', decimals: 4 },
          { key: 'measureAgain', what: 'Measure again', value: measureAgain },
          { key: 'furthest', what: 'Furthest off is try', value: furthest === null ? null : furthest + 1 },
        ],
        working: [
          line(
            'Mean',
            '(x₁ + … + xₙ)/n',
            `(${triesMm.map(one => say(one, 4)).join(' + ')})/${count}`,
            `${say(mean, 4)} mm`,
          ),
          line(
            'Range',
            'greatest − least',
            `${say(Math.max(...triesMm), 4)} − ${say(Math.min(...triesMm), 4)}`,
            `${say(range, 4)} mm`,
          ),
        ],
        notes: measureAgain
          ? [
              `The tries spread over more than a quarter of the tolerance${furthest === null ? '' : `; try ${furthest + 1} stands furthest off`}. Measure again; none is dropped.`,
            ]
          : [],
        reading: { kind: 'single', tries: triesMm.map(one => [one]) },
      }))
    },
  }),
  defineSum({
    name: 'at-20',
    craft: 'gauging',
    title: 'Bore and shaft at 20 °C',
    about: 'Two parts read at different temperatures, brought to 20 °C before they are subtracted.',
    source:
      'ISO 1 (reference temperature); uncertainty of a difference ISO/IEC Guide 98-3; proof with uncertainty after ISO 14253-1',
    fields: {
      boreMm: number('Bore as read', 'mm', SIZE),
      boreC: optional(number('Bore at', '°C', [-60, 200])),
      boreOf: fallback(choice('Bore is of', MATERIALS), 'carbon steel'),
      shaftMm: number('Shaft as read', 'mm', SIZE),
      shaftC: optional(number('Shaft at', '°C', [-60, 200])),
      shaftOf: fallback(choice('Shaft is of', MATERIALS), 'carbon steel'),
      uncertaintyBoreUm: fallback(number('Uncertainty, bore', 'µm', [0, 500]), 0),
      uncertaintyShaftUm: fallback(number('Uncertainty, shaft', 'µm', [0, 500]), 0),
      minUm: makerMin('µm', DIAL_UM),
      maxUm: makerMax('µm', DIAL_UM),
      soaked: flag('Parts, gauge and master stood together until all had one temperature'),
    },
    example: {
      boreMm: 60.024,
      boreC: 31,
      boreOf: 'bronze',
      shaftMm: 59.983,
      shaftC: 20,
      shaftOf: 'carbon steel',
      uncertaintyBoreUm: 2,
      uncertaintyShaftUm: 1,
      minUm: 20,
      maxUm: 60,
      soaked: true,
    },
    work: given => {
      const bore = lengthAt20(given.boreMm, given.boreC ?? 20, given.boreOf)
      if (!bore.ok) return bore
      const shaft = lengthAt20(given.shaftMm, given.shaftC ?? 20, given.shaftOf)
      if (!shaft.ok) return shaft
      const clearance = (bore.value - shaft.value) * 1000
      const u = uncertaintyOfDifference(given.uncertaintyBoreUm, given.uncertaintyShaftUm)
      const limits = { min: given.minUm, max: given.maxUm }
      const known = given.boreC !== undefined && given.shaftC !== undefined && given.soaked
      const held = hold(clearance, limits, { low: 'the parts may bind when warm', high: 'the fit is slack' })
      const judged = judgeWithUncertainty(clearance, limits, u)
      const open = !known || (judged.verdict === 'Open' && held.verdict !== 'Open')
      return accept({
        figures: [
          {
            key: 'clearanceUm',
            what: 'Clearance at 20 °C',
            value: clearance,
            unit: 'µm',
            decimals: 1,
            held: open ? { ...held, verdict: 'Open', consequence: null } : held,
          },
          { key: 'bore20Mm', what: 'Bore at 20 °C', value: bore.value, unit: 'mm', decimals: 4 },
          { key: 'shaft20Mm', what: 'Shaft at 20 °C', value: shaft.value, unit: 'mm', decimals: 4 },
          { key: 'uncertaintyUm', what: 'Uncertainty of the difference', value: u, unit: 'µm', decimals: 1 },
        ],
        working: [
          line(
            'Bore',
            'L/(1 + α·(T − 20))',
            `${say(given.boreMm, 4)}/(1 + ${say(EXPANSION_PER_K[given.boreOf] * 1e6, 1)}·10⁻⁶·${say((given.boreC ?? 20) - 20, 1)})`,
            `${say(bore.value, 4)} mm`,
          ),
          line(
            'Shaft',
            'L/(1 + α·(T − 20))',
            `${say(given.shaftMm, 4)}/(1 + ${say(EXPANSION_PER_K[given.shaftOf] * 1e6, 1)}·10⁻⁶·${say((given.shaftC ?? 20) - 20, 1)})`,
            `${say(shaft.value, 4)} mm`,
          ),
          line(
            'Clearance',
            'bore − shaft',
            `${say(bore.value, 4)} − ${say(shaft.value, 4)}`,
            `${say(clearance, 1)} µm`,
          ),
          line(
            'Uncertainty',
            '√(u₁² + u₂²)',
            `√(${say(given.uncertaintyBoreUm)}² + ${say(given.uncertaintyShaftUm)}²)`,
            `${say(u, 1)} µm`,
          ),
        ],
        notes: [
          ...(known ? [] : ['Not soaked, or a temperature is not known: the fit stays open.']),
          ...(known && open
            ? [
                'It stands nearer to a limit than its uncertainty: neither inside nor outside is shown. Measure with a finer gauge.',
              ]
            : []),
        ],
        reading: { kind: 'single', tries: [[clearance / 1000]] },
      })
    },
  }),
  defineSum({
    name: 'series',
    craft: 'gauging',
    title: 'Zero before and after',
    about: 'Whether a series stands: the zero or master checked before and after it.',
    source: 'workshop practice: a shift over a tenth of the tolerance asks for the series again',
    fields: {
      beforeUm: number('Master read before', 'µm', DIAL_UM),
      afterUm: number('Master read after', 'µm', DIAL_UM),
      toleranceUm: number('Tolerance of what was measured', 'µm', [0.1, 100000]),
    },
    example: { beforeUm: 0, afterUm: 2, toleranceUm: 30 },
    work: ({ beforeUm, afterUm, toleranceUm }) => {
      const shift = Math.abs(afterUm - beforeUm)
      return accept({
        figures: [
          {
            key: 'shiftUm',
            what: 'Shift',
            value: shift,
            unit: 'µm',
            decimals: 1,
            held: hold(
              shift,
              { max: 0.1 * toleranceUm },
              { high: 'every reading of the series may be off by as much: set the zero and take the series again' },
            ),
          },
          { key: 'stands', what: 'The series stands', value: seriesStands(beforeUm, afterUm, toleranceUm) },
        ],
        working: [
          line('Shift', '|after − before|', `|${say(afterUm)} − ${say(beforeUm)}|`, `${say(shift)} µm`),
          line('Allowed', 'tolerance/10', `${say(toleranceUm)}/10`, `${say(toleranceUm / 10)} µm`),
        ],
      })
    },
  }),
  defineSum({
    name: 'round-part',
    craft: 'gauging',
    title: 'Journal or bore',
    about: 'Stations along, planes round: mean, out of round, taper, barrel; the worst single reading is judged.',
    source: 'workshop practice; two-point readings miss odd lobes (ISO 4291)',
    fields: {
      readings: rows(
        'Readings',
        { station: text('Station', 20), plane: text('Plane', 10), mm: number('Reads', 'mm', SIZE) },
        [1, 20],
      ),
      minMm: makerMin('mm', SIZE),
      maxMm: makerMax('mm', SIZE),
    },
    example: {
      readings: [
        ['drive end', 'A', 59.985],
        ['drive end', 'B', 59.989],
        ['middle', 'A', 59.983],
        ['middle', 'B', 59.986],
        ['outer end', 'A', 59.991],
        ['outer end', 'B', 59.993],
      ].map(([station, plane, mm]) => ({ station: station as string, plane: plane as string, mm: mm as number })),
      minMm: 59.98,
      maxMm: 60,
    },
    work: ({ readings, minMm, maxMm }) =>
      answering(reduceRoundPart(readings), part => {
        const limits = { min: minMm, max: maxMm }
        const [least, greatest] = [
          hold(part.leastMm, limits, { low: 'the journal is worn under' }),
          hold(part.greatestMm, limits, { high: 'the size is over' }),
        ]
        const um = (key: string, what: string, value: number | null) => ({ key, what, value, unit: 'µm', decimals: 1 })
        return {
          figures: [
            { key: 'leastMm', what: 'Least reading', value: part.leastMm, unit: 'mm', decimals: 3, held: least },
            {
              key: 'greatestMm',
              what: 'Greatest reading',
              value: part.greatestMm,
              unit: 'mm',
              decimals: 3,
              held: greatest,
            },
            { key: 'meanMm', what: 'Mean', value: part.meanMm, unit: 'mm', decimals: 4 },
            um('outOfRoundUm', 'Out of round, worst', part.outOfRoundUm),
            um('taperUm', 'Taper, first − last', part.taperUm),
            um('barrelUm', 'Barrel (+) or waist (−)', part.barrelUm),
          ],
          working: part.stations.map(one =>
            line(
              `${one.station || 'Station'}`,
              'mean; greatest − least',
              `mean ${say(one.meanMm, 4)}`,
              one.outOfRoundUm === null
                ? 'one plane: out of round is open'
                : `${say(one.outOfRoundUm, 1)} µm out of round`,
            ),
          ),
          notes: [
            'Two-point readings miss odd lobes: three planes or a vee block find them.',
            ...(part.outOfRoundUm === null ? ['One plane only: out of round is open.'] : []),
          ],
          more: { stations: part.stations },
        }
      }),
  }),
  defineSum({
    name: 'end-float',
    craft: 'gauging',
    title: 'End float',
    about: 'Pushed fully one way, then the other; the difference of the two dial readings.',
    source: 'workshop practice',
    fields: {
      pairs: rows(
        'Pushes',
        { oneWayMm: number('One way', 'mm', [-100, 100]), otherWayMm: number('Other way', 'mm', [-100, 100]) },
        [1, 5],
      ),
      minMm: makerMin('mm', [0, 100]),
      maxMm: makerMax('mm', [0, 100]),
    },
    example: {
      pairs: [
        { oneWayMm: 0, otherWayMm: 0.21 },
        { oneWayMm: 0, otherWayMm: 0.22 },
        { oneWayMm: 0.01, otherWayMm: 0.22 },
      ],
      minMm: 0.1,
      maxMm: 0.25,
    },
    work: ({ pairs, minMm, maxMm }) => {
      const floats = pairs.map(one => endFloat(one.oneWayMm, one.otherWayMm))
      return answering(reduceTries(floats), ({ mean, range }) => ({
        figures: [
          {
            key: 'floatMm',
            what: 'End float',
            value: mean,
            unit: 'mm',
            decimals: 3,
            held: hold(
              mean,
              { min: minMm, max: maxMm },
              {
                low: 'the thrust bearing runs hot: no room for oil and growth',
                high: 'the rotor wanders; its rings and faces may touch',
              },
            ),
          },
          { key: 'rangeMm', what: 'Range of the pushes', value: range, unit: 'mm', decimals: 3 },
        ],
        working: pairs.map((one, i) =>
          line(`Push ${i + 1}`, '|a − b|', `|${say(one.oneWayMm)} − ${say(one.otherWayMm)}|`, `${say(floats[i]!)} mm`),
        ),
        reading: { kind: 'endFloat', tries: pairs.map(one => [one.oneWayMm, one.otherWayMm]) },
      }))
    },
  }),
  defineSum({
    name: 'lift-check',
    craft: 'gauging',
    title: 'Lift of a free end',
    about: 'Free end up, then down: total radial play at the bearing. Two ways of writing it are never mixed.',
    source: 'workshop practice; similar triangles for the lever',
    fields: {
      upMm: number('Up', 'mm', [-20, 20]),
      downMm: number('Down', 'mm', [-20, 20]),
      style: choice('Written as', ['signed readings', 'travels']),
      toBearingMm: fallback(number('Pivot to bearing', 'mm', [1, 20000]), 1000),
      toDialMm: fallback(number('Pivot to dial', 'mm', [1, 20000]), 1000),
      maxMm: makerMax('mm', [0, 20]),
    },
    example: { upMm: 0.08, downMm: -0.06, style: 'signed readings', toBearingMm: 820, toDialMm: 900, maxMm: 0.2 },
    work: ({ upMm, downMm, style, toBearingMm, toDialMm, maxMm }) =>
      answering(lift(upMm, downMm, style, toBearingMm / toDialMm), total => ({
        figures: [
          {
            key: 'liftMm',
            what: 'Lift at the bearing',
            value: total,
            unit: 'mm',
            decimals: 3,
            held: hold(
              total,
              { max: maxMm },
              { high: 'the bearing is slack: the shaft drops and the seal runs out of true' },
            ),
          },
        ],
        working: [
          line(
            'Total',
            style === 'travels' ? '(up + down)·b/d' : '|up − down|·b/d',
            style === 'travels'
              ? `(${say(upMm)} + ${say(downMm)})·${say(toBearingMm)}/${say(toDialMm)}`
              : `|${say(upMm)} − ${say(downMm)}|·${say(toBearingMm)}/${say(toDialMm)}`,
            `${say(total)} mm`,
          ),
        ],
        reading: { kind: 'lift', tries: [[upMm, downMm]], style },
      })),
  }),
  defineSum({
    name: 'runout',
    craft: 'gauging',
    title: 'Run-out sweep',
    about: 'A dial read round one turn: run-out, eccentricity, where the high spot is, and what is form.',
    source: 'first harmonic by discrete Fourier sum; ISO 1101 for total run-out',
    fields: {
      readingsUm: list(
        'Readings round one turn',
        'µm',
        DIAL_UM,
        [1, 72],
        'equally spaced, the dial still; eight or more',
      ),
      maxUm: makerMax('µm', [0, 10000]),
    },
    example: { readingsUm: [2, 21, 34, 30, 9, -12, -24, -19], maxUm: 60 },
    work: ({ readingsUm, maxUm }) =>
      answering(reduceRunout(readingsUm), ({ tirUm, eccentricityUm, highSpotDeg, formErrorUm, coarse }) => ({
        figures: [
          {
            key: 'tirUm',
            what: 'Run-out, total',
            value: tirUm,
            unit: 'µm',
            decimals: 1,
            held: hold(
              tirUm,
              { max: maxUm },
              {
                high:
                  formErrorUm > tirUm / 2
                    ? 'the surface is worn or oval: read the journal again before calling it bent'
                    : 'the shaft is bent or its centres are off: seals leak and bearings run hot',
              },
            ),
          },
          { key: 'eccentricityUm', what: 'Eccentricity (bend)', value: eccentricityUm, unit: 'µm', decimals: 1 },
          {
            key: 'highSpotDeg',
            what: 'Turn on until the high spot is under the dial',
            value: highSpotDeg,
            unit: '°',
            decimals: 0,
          },
          { key: 'formErrorUm', what: 'Form, bend taken off', value: formErrorUm, unit: 'µm', decimals: 1 },
        ],
        working: [
          line(
            'Run-out',
            'greatest − least',
            `${say(Math.max(...readingsUm), 1)} − ${say(Math.min(...readingsUm), 1)}`,
            `${say(tirUm, 1)} µm`,
          ),
          line('First harmonic', 'e = √(a² + b²)', `n = ${readingsUm.length}`, `${say(eccentricityUm, 1)} µm`),
          line('High spot', 'atan2(b, a)', 'further on, in the turning direction', `${say(highSpotDeg, 0)}°`),
          line(
            'Form',
            'what is left when mean and first harmonic are off',
            'greatest − least of the rest',
            `${say(formErrorUm, 1)} µm`,
          ),
        ],
        notes: [
          `On the shaft itself the high spot lies ${say(highSpotDeg, 0)}° from the first mark against the turning direction.`,
          ...(coarse ? ['Fewer than eight readings can miss 30 % and take three lobes for a bend.'] : []),
        ],
        reading: { kind: 'runout', tries: [readingsUm.map(um => um / 1000)] },
      })),
  }),
  defineSum({
    name: 'shaft-shape',
    craft: 'gauging',
    title: 'Shaft along its length',
    about: 'Sweeps at several stations: where the high spots stand says whether it is bent, cranked or worn.',
    source: 'first harmonic at each station; in line and greatest at mid-span is a bend, opposed is a crank',
    fields: {
      sweeps: rows(
        'Sweeps',
        { station: text('Station', 20), readings: text('Readings round, µm', 200, 'parted by blanks') },
        [2, 12],
      ),
      trueUnderUm: fallback(number('True under', 'µm', [0, 1000]), 10),
      maxUm: makerMax('µm', [0, 10000]),
    },
    example: {
      sweeps: [
        { station: 'drive end', readings: '0 8 12 9 0 -8 -12 -9' },
        { station: 'middle', readings: '0 25 36 24 0 -26 -35 -24' },
        { station: 'outer end', readings: '1 9 13 8 0 -9 -12 -8' },
      ],
      trueUnderUm: 10,
      maxUm: 50,
    },
    work: ({ sweeps, trueUnderUm, maxUm }) => {
      const stations: { station: string; run: Runout }[] = []
      for (const { station, readings } of sweeps) {
        const figures = readings
          .trim()
          .split(/[\s;]+/)
          .map(word => parseQuantity(word, { kind: 'length', unit: 'µm' }))
        const bad = figures.find(one => !one.ok)
        if (bad && !bad.ok) return refuse(`${station || 'A station'}: ${bad.why}`)
        const run = reduceRunout(figures.map(one => (one.ok ? one.value.value * 1000 : 0)))
        if (!run.ok) return refuse(`${station || 'A station'}: ${run.why}`)
        stations.push({ station, run: run.value })
      }
      const worst = stations.reduce((a, b) => (b.run.tirUm > a.run.tirUm ? b : a))
      return accept({
        figures: [
          {
            key: 'worstUm',
            what: `Run-out, ${worst.station || 'worst'}`,
            value: worst.run.tirUm,
            unit: 'µm',
            decimals: 1,
            held: hold(
              worst.run.tirUm,
              { max: maxUm },
              { high: 'seals leak and bearings run hot: straighten or renew the shaft' },
            ),
          },
          {
            key: 'shape',
            what: 'The shaft is',
            value: shaftShape(
              stations.map(one => one.run),
              trueUnderUm,
            ),
          },
          { key: 'bendUm', what: 'Bend there', value: worst.run.eccentricityUm, unit: 'µm', decimals: 1 },
        ],
        working: stations.map(({ station, run }) =>
          line(
            station || 'Station',
            'run-out; eccentricity; high spot; form',
            `${say(run.tirUm, 1)}; ${say(run.eccentricityUm, 1)} µm; ${say(run.highSpotDeg, 0)}°; ${say(run.formErrorUm, 1)} µm`,
            `${say(run.tirUm, 1)} µm`,
          ),
        ),
        notes: stations.some(one => one.run.coarse)
          ? ['Fewer than eight readings can miss 30 % and take three lobes for a bend.']
          : [],
        more: { stations: stations.map(({ station, run }) => ({ station, ...run })) },
      })
    },
  }),
  defineSum({
    name: 'gaps',
    craft: 'gauging',
    title: 'Gap round a rotor',
    about: 'Gaps at places equally spaced clockwise from top: spread, and which way and how far the rotor sits off.',
    source: 'half-difference of opposite gaps; first harmonic for more places',
    fields: {
      gapsMm: list('Gaps, clockwise from top', 'mm', [0, 100], [2, 24]),
      minMm: makerMin('mm', [0, 100]),
      maxOffsetMm: optional(number('Greatest offset', 'mm', [0, 100])),
    },
    example: { gapsMm: [0.62, 0.55, 0.48, 0.57], minMm: 0.4, maxOffsetMm: 0.1 },
    work: ({ gapsMm, minMm, maxOffsetMm }) =>
      answering(reduceGaps(gapsMm), ({ leastMm, greatestMm, spreadMm, offset }) => ({
        figures: [
          {
            key: 'leastMm',
            what: 'Least gap',
            value: leastMm,
            unit: 'mm',
            decimals: 3,
            held: hold(leastMm, { min: minMm }, { low: 'the rotor may touch its casing when hot' }),
          },
          { key: 'spreadMm', what: 'Spread', value: spreadMm, unit: 'mm', decimals: 3 },
          {
            key: 'offsetMm',
            what: 'Rotor sits off by',
            value: offset?.mm ?? null,
            unit: 'mm',
            decimals: 3,
            ...(offset && maxOffsetMm !== undefined
              ? {
                  held: hold(
                    offset.mm,
                    { max: maxOffsetMm },
                    { high: 'the rotor sits off centre: one side carries, the other leaks' },
                  ),
                }
              : {}),
          },
          {
            key: 'towardDeg',
            what: 'Toward, clockwise from top',
            value: offset?.towardDeg ?? null,
            unit: '°',
            decimals: 0,
          },
        ],
        working: [
          line('Spread', 'greatest − least', `${say(greatestMm)} − ${say(leastMm)}`, `${say(spreadMm)} mm`),
          ...(offset
            ? [
                line(
                  'Offset',
                  'half-differences of opposite gaps',
                  gapsMm.length === 4
                    ? `√(((${say(gapsMm[2]!)} − ${say(gapsMm[0]!)})/2)² + ((${say(gapsMm[3]!)} − ${say(gapsMm[1]!)})/2)²)`
                    : `first harmonic of ${gapsMm.length} places`,
                  `${say(offset.mm)} mm toward ${say(offset.towardDeg, 0)}°`,
                ),
              ]
            : []),
        ],
        notes: offset ? [] : ['Places without opposites say nothing of the offset: read four.'],
      })),
  }),
  defineSum({
    name: 'tilt',
    craft: 'gauging',
    title: 'Tilt of a joint',
    about: 'Heights on opposite places of a joint: how much one side stands up, a metre across.',
    source: 'tilt = difference / diameter',
    fields: {
      heightMm: number('Height', 'mm', MM),
      oppositeMm: number('Height opposite', 'mm', MM),
      diameterMm: number('On a diameter of', 'mm', SIZE),
      maxMmPerM: optional(number('Maker’s greatest tilt, mm/m', '1', [0, 100])),
    },
    example: { heightMm: 24.12, oppositeMm: 24.05, diameterMm: 640, maxMmPerM: 0.15 },
    work: ({ heightMm, oppositeMm, diameterMm, maxMmPerM }) =>
      answering(tiltMmPerM([heightMm, oppositeMm], diameterMm), tilt => ({
        figures: [
          {
            key: 'tiltMmPerM',
            what: 'Tilt, mm/m',
            value: tilt,
            decimals: 3,
            held: hold(tilt, maxMmPerM === undefined ? {} : { min: -maxMmPerM, max: maxMmPerM, best: 0 }, {
              low: 'the joint is cocked: it leaks or binds when pulled',
              high: 'the joint is cocked: it leaks or binds when pulled',
            }),
          },
        ],
        working: [
          line(
            'Tilt',
            '(h₁ − h₂)/D',
            `(${say(heightMm)} − ${say(oppositeMm)})/${say(diameterMm)}·1000`,
            `${say(tilt)} mm/m`,
          ),
        ],
      })),
  }),
  defineSum({
    name: 'fit-up-rounds',
    craft: 'gauging',
    title: 'Fit-up rounds',
    about: 'Cover on, read, off, changed, on again: rounds in their order, void ones kept with their cause.',
    source: 'workshop practice: rounds are not tries, and are never averaged',
    fields: {
      rounds: rows(
        'Rounds',
        {
          value: number('Reads', 'mm', MM),
          changed: optional(text('Changed before it', 60)),
          voidBecause: optional(text('Void because', 60)),
        },
        [1, 20],
      ),
      minMm: makerMin('mm', MM),
      maxMm: makerMax('mm', MM),
    },
    example: {
      rounds: [
        { value: 0.02 },
        { value: 0.09, changed: '0.05 shim out', voidBecause: 'bolt 4 was loose' },
        { value: 0.07, changed: '0.05 shim out' },
      ],
      minMm: 0.05,
      maxMm: 0.1,
    },
    work: ({ rounds, minMm, maxMm }) =>
      answering(followRounds(rounds), ({ last, steps, voids }) => ({
        figures: [
          {
            key: 'lastMm',
            what: 'Last round that stands',
            value: last,
            unit: 'mm',
            decimals: 3,
            held: hold(last, { min: minMm, max: maxMm }),
          },
          { key: 'voidCount', what: 'Void rounds', value: voids.length },
        ],
        working: [
          ...steps.map(one =>
            line(
              `Round ${one.round}`,
              'change against the round before',
              one.changed ?? 'first',
              one.change === null
                ? `${say(one.value)} mm`
                : `${say(one.value)} mm (${one.change >= 0 ? '+' : '−'}${say(Math.abs(one.change))})`,
            ),
          ),
          ...voids.map(one => line(`Round ${one.round}, void`, 'not used', one.because, `${say(one.value)} mm`)),
        ],
        more: { steps, voids },
        reading: { kind: 'single', tries: [[last]] },
      })),
  }),
  defineSum({
    name: 'found-left',
    craft: 'gauging',
    title: 'As found, as left',
    about: 'One reading before and after the work: the change, and whether it went toward its limit or away from it.',
    source: 'workshop practice',
    fields: {
      foundMm: number('As found', 'mm', MM),
      leftMm: number('As left', 'mm', MM),
      minMm: makerMin('mm', MM),
      maxMm: makerMax('mm', MM),
      bestMm: optional(number('As new', 'mm', MM)),
    },
    example: { foundMm: 0.61, leftMm: 0.34, minMm: 0.3, maxMm: 0.6, bestMm: 0.3 },
    work: ({ foundMm, leftMm, minMm, maxMm, bestMm }) => {
      const limits = { min: minMm, max: maxMm, best: bestMm }
      const { change, moved } = compareFoundLeft(foundMm, leftMm, limits)
      return accept({
        figures: [
          { key: 'changeMm', what: 'Change', value: change, unit: 'mm', decimals: 3 },
          { key: 'moved', what: 'It went', value: moved },
          { key: 'leftMm', what: 'As left', value: leftMm, unit: 'mm', decimals: 3, held: hold(leftMm, limits) },
        ],
        working: [line('Change', 'left − found', `${say(leftMm)} − ${say(foundMm)}`, `${say(change)} mm`)],
      })
    },
  }),
  defineSum({
    name: 'felt-fit',
    craft: 'gauging',
    title: 'Felt fit',
    about: 'A fit judged by hand, in graded words, against the one that is wanted.',
    source: 'graded words of the trade; no measurement',
    fields: {
      found: choice('It', FELT_WORDS),
      wanted: choice('Wanted', FELT_WORDS),
      mateIsNew: flag('The mate is new'),
    },
    example: { found: 'drops on', wanted: 'snug', mateIsNew: true },
    work: ({ found, wanted, mateIsNew }) => {
      const { verdict, steps, says } = judgeFelt(found, wanted, mateIsNew)
      return accept({
        figures: [
          {
            key: 'steps',
            what: 'Grades tighter (+) or looser (−)',
            value: steps,
            decimals: 0,
            held: {
              verdict,
              share: null,
              side: steps < 0 ? 'low' : steps > 0 ? 'high' : null,
              limits: { min: -1, max: 1, best: 0 },
              source: 'the graded words',
              consequence: verdict === 'Holds' ? null : says,
            },
          },
        ],
        working: [
          line('Found', 'what it means', `it ${found}`, FELT_FITS[found]),
          line('Wanted', 'what it means', `it ${wanted}`, FELT_FITS[wanted]),
        ],
        notes: [says],
      })
    },
  }),
]
