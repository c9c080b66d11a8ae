import { meanOf } from '../gauging/index.ts'
import { accept, refuse } from '../result.ts'
import { holdAgainst } from '../verdict.ts'
import {
  axialSet,
  blueContact,
  capPinch,
  CLEARANCE_SCHOOLS,
  CONTACT_COLUMNS,
  CONTACT_ROWS,
  journalSkew,
  pressBush,
  reduceStrips,
  runningClearance,
  stripReading,
  stripScaleClearanceMm,
} from '../sleeves/index.ts'
import { answering, defineSum, line, say } from './define.ts'
import { fallback, flag, list, number, optional, rows } from './fields.ts'
import { hold, makerMax, makerMin, RULE_OF_THUMB } from './limits.ts'

const GAP = [0.001, 5] as const
const WIDTH = [0.01, 50] as const
const SIZE = [1, 2000] as const
const STRIP = number('Strip’s own diameter', 'mm', [0.01, 3])
const NARROW = {
  low: 'the film breaks and the bearing wipes',
  high: 'oil runs away, the shaft whips and the seal leaks',
}
const VOID =
  'A strip is void if the shaft turned or the half slid. The shaft rests in its lower half, cap at full torque.'
const wants = (which: 'thicker' | 'thinner' | null) =>
  which ? [`This strip cannot measure that gap: take a ${which} one. The figure is no reading.`] : []

export const sleeveSums = [
  defineSum({
    name: 'plastic-strip',
    craft: 'sleeves',
    title: 'One gauging strip',
    about: 'Clearance from the width of a flattened plastic strip, by its printed scale or by its volume.',
    source: 'volume kept: c = π·d₀²/(4·w); valid for c from 0.2 to 0.5 of d₀',
    fields: {
      stripDiameterMm: STRIP,
      widthMm: number('Width pressed', 'mm', WIDTH),
      scale: optional(
        rows(
          'Printed scale',
          { widthMm: number('Width', 'mm', WIDTH), clearanceMm: number('Clearance', 'mm', GAP) },
          [2, 20],
        ),
      ),
      minMm: makerMin('mm', GAP),
      maxMm: makerMax('mm', GAP),
    },
    example: {
      stripDiameterMm: 0.25,
      widthMm: 0.6,
      scale: [
        { widthMm: 0.9, clearanceMm: 0.055 },
        { widthMm: 0.7, clearanceMm: 0.07 },
        { widthMm: 0.5, clearanceMm: 0.098 },
      ],
      minMm: 0.06,
      maxMm: 0.11,
    },
    work: ({ stripDiameterMm, widthMm, scale, minMm, maxMm }) => {
      const byVolume = stripReading(stripDiameterMm, widthMm)
      if (!byVolume.ok) return byVolume
      const printed = scale?.length
        ? stripScaleClearanceMm(
            scale.map(one => [one.widthMm, one.clearanceMm] as const),
            widthMm,
          )
        : null
      if (printed && !printed.ok) return printed
      const value = printed?.value ?? byVolume.value.clearanceMm
      const held = hold(value, { min: minMm, max: maxMm }, NARROW)
      const unfit = !printed && byVolume.value.wants
      return accept({
        figures: [
          {
            key: 'clearanceMm',
            what: 'Clearance',
            value,
            unit: 'mm',
            decimals: 4,
            held: unfit ? { ...held, verdict: 'Open', consequence: null } : held,
          },
          { key: 'wants', what: 'Strip wanted instead', value: byVolume.value.wants },
        ],
        working: [
          line(
            'By volume',
            'π·d₀²/(4·w)',
            `π·${say(stripDiameterMm)}²/(4·${say(widthMm)})`,
            `${say(byVolume.value.clearanceMm, 4)} mm`,
          ),
          ...(printed
            ? [line('By printed scale', 'between its lines', `w = ${say(widthMm)}`, `${say(printed.value, 4)} mm`)]
            : []),
        ],
        schools: [
          {
            name: 'Printed scale',
            gives: printed ? `${say(printed.value, 4)} mm` : 'type the lines of its scale',
            why: 'made for this strip, edges and all: to be preferred',
            chosen: Boolean(printed),
          },
          {
            name: 'Volume',
            gives: `${say(byVolume.value.clearanceMm, 4)} mm`,
            why: 'needs no scale, only the strip’s own diameter; good from 0.2 to 0.5 of it',
            chosen: !printed,
          },
        ],
        notes: [...(printed ? [] : wants(byVolume.value.wants)), VOID],
        reading: { kind: 'single', tries: [[value]] },
      })
    },
  }),
  defineSum({
    name: 'strip-set',
    craft: 'sleeves',
    title: 'Three strips on a journal',
    about: 'Strips in the middle and just inside each end: mean, least, greatest and taper.',
    source: 'volume kept; workshop practice for the three places',
    fields: {
      stripDiameterMm: STRIP,
      widthsMm: list('Widths: first end, middle, other end', 'mm', WIDTH, [3, 3]),
      minMm: makerMin('mm', GAP),
      maxMm: makerMax('mm', GAP),
      maxTaperMm: optional(number('Greatest taper', 'mm', [0, 5])),
    },
    example: { stripDiameterMm: 0.25, widthsMm: [0.56, 0.6, 0.66], minMm: 0.06, maxMm: 0.11, maxTaperMm: 0.02 },
    work: ({ stripDiameterMm, widthsMm, minMm, maxMm, maxTaperMm }) => {
      const read = widthsMm.map(width => stripReading(stripDiameterMm, width))
      const bad = read.find(one => !one.ok)
      if (bad && !bad.ok) return bad
      const gaps = read.map(one => (one.ok ? one.value.clearanceMm : 0)) as [number, number, number]
      const unfit = read.flatMap(one => (one.ok && one.value.wants ? [one.value.wants] : []))
      return answering(reduceStrips(gaps), ({ meanMm, leastMm, greatestMm, taperMm }) => {
        const open = <T extends { verdict: string }>(held: T) =>
          unfit.length ? { ...held, verdict: 'Open' as const, consequence: null } : held
        return {
          figures: [
            {
              key: 'leastMm',
              what: 'Least clearance',
              value: leastMm,
              unit: 'mm',
              decimals: 4,
              held: open(hold(leastMm, { min: minMm, max: maxMm }, NARROW)),
            },
            {
              key: 'greatestMm',
              what: 'Greatest clearance',
              value: greatestMm,
              unit: 'mm',
              decimals: 4,
              held: open(hold(greatestMm, { min: minMm, max: maxMm }, NARROW)),
            },
            { key: 'meanMm', what: 'Mean', value: meanMm, unit: 'mm', decimals: 4 },
            {
              key: 'taperMm',
              what: 'Taper, first − other end',
              value: taperMm,
              unit: 'mm',
              decimals: 4,
              ...(maxTaperMm === undefined
                ? {}
                : {
                    held: open(
                      hold(
                        taperMm,
                        { min: -maxTaperMm, max: maxTaperMm, best: 0 },
                        { low: 'one end carries alone and wipes', high: 'one end carries alone and wipes' },
                      ),
                    ),
                  }),
            },
          ],
          working: [
            ...gaps.map((gap, i) =>
              line(
                ['First end', 'Middle', 'Other end'][i]!,
                'π·d₀²/(4·w)',
                `π·${say(stripDiameterMm)}²/(4·${say(widthsMm[i]!)})`,
                `${say(gap, 4)} mm`,
              ),
            ),
            line('Taper', 'first − other end', `${say(gaps[0], 4)} − ${say(gaps[2], 4)}`, `${say(taperMm, 4)} mm`),
          ],
          notes: [...(unfit[0] ? wants(unfit[0]) : []), VOID],
          more: { gapsMm: gaps },
          reading: { kind: 'single', tries: [[meanMm]] },
        }
      })
    },
  }),
  defineSum({
    name: 'skew',
    craft: 'sleeves',
    title: 'Offset and skew',
    about: 'How a journal lies in its bearing, from gaps at the two horns of either end.',
    source: 'geometry of a cylinder in a bore: Δ = 2·s·sin φ',
    fields: {
      leftAMm: number('End A, left', 'mm', GAP, 'left and right as seen from end A'),
      rightAMm: number('End A, right', 'mm', GAP),
      leftBMm: number('End B, left', 'mm', GAP),
      rightBMm: number('End B, right', 'mm', GAP),
      spacingMm: number('Between the two rows', 'mm', SIZE),
      fromCrownDeg: number('Read from the crown at', '°', [1, 90]),
      maxSkewMmPerM: optional(number('Greatest skew, mm/m', '1', [0, 100])),
    },
    example: {
      leftAMm: 0.09,
      rightAMm: 0.07,
      leftBMm: 0.072,
      rightBMm: 0.086,
      spacingMm: 90,
      fromCrownDeg: 75,
      maxSkewMmPerM: 0.3,
    },
    work: ({ spacingMm, fromCrownDeg, maxSkewMmPerM, ...gaps }) =>
      answering(journalSkew(gaps, spacingMm, fromCrownDeg), ({ deltaAMm, deltaBMm, skewMmPerM, offsetMm, says }) => ({
        figures: [
          {
            key: 'skewMmPerM',
            what: 'Skew, mm/m',
            value: skewMmPerM,
            decimals: 3,
            held: hold(
              skewMmPerM,
              maxSkewMmPerM === undefined ? {} : { min: -maxSkewMmPerM, max: maxSkewMmPerM, best: 0 },
              {
                low: 'the journal bears on two corners and wipes them',
                high: 'the journal bears on two corners and wipes them',
              },
            ),
          },
          { key: 'offsetMm', what: 'Offset to the right', value: offsetMm, unit: 'mm', decimals: 4 },
          { key: 'says', what: 'The journal lies', value: says },
          { key: 'deltaAMm', what: 'Left − right, end A', value: deltaAMm, unit: 'mm', decimals: 4 },
          { key: 'deltaBMm', what: 'Left − right, end B', value: deltaBMm, unit: 'mm', decimals: 4 },
        ],
        working: [
          line(
            'Difference, A',
            'left − right',
            `${say(gaps.leftAMm, 4)} − ${say(gaps.rightAMm, 4)}`,
            `${say(deltaAMm, 4)} mm`,
          ),
          line(
            'Difference, B',
            'left − right',
            `${say(gaps.leftBMm, 4)} − ${say(gaps.rightBMm, 4)}`,
            `${say(deltaBMm, 4)} mm`,
          ),
          line(
            'Skew',
            '(Δ_A − Δ_B)/(2·L·sin φ)',
            `(${say(deltaAMm, 4)} − ${say(deltaBMm, 4)})/(2·${say(spacingMm)}·sin ${say(fromCrownDeg)}°)`,
            `${say(skewMmPerM)} mm/m`,
          ),
          line(
            'Offset',
            '(Δ_A + Δ_B)/(4·sin φ)',
            `(${say(deltaAMm, 4)} + ${say(deltaBMm, 4)})/(4·sin ${say(fromCrownDeg)}°)`,
            `${say(offsetMm, 4)} mm`,
          ),
        ],
        notes: [VOID],
      })),
  }),
  defineSum({
    name: 'pinch',
    craft: 'sleeves',
    title: 'Cap pinch',
    about: 'Lead wire on the bearing’s back, equal shims on the joint: does the cap grip the shell, and how much.',
    source: 'shim less flattened wire; workshop practice',
    fields: {
      ends: rows(
        'Ends',
        {
          wireMm: number('Wire, flattened', 'mm', [0.01, 10]),
          shimLeftMm: number('Shim, left', 'mm', [0.01, 10]),
          shimRightMm: number('Shim, right', 'mm', [0.01, 10]),
        },
        [1, 4],
      ),
      freshWireMm: number('Wire when fresh', 'mm', [0.01, 20]),
      minMm: makerMin('mm', [-2, 2]),
      maxMm: makerMax('mm', [-2, 2]),
    },
    example: {
      ends: [
        { wireMm: 0.38, shimLeftMm: 0.4, shimRightMm: 0.4 },
        { wireMm: 0.37, shimLeftMm: 0.4, shimRightMm: 0.4 },
      ],
      freshWireMm: 0.6,
      minMm: 0.01,
      maxMm: 0.05,
    },
    work: ({ ends, freshWireMm, minMm, maxMm }) =>
      answering(capPinch(ends, freshWireMm), ({ endsMm, meanMm, says }) => ({
        figures: [
          {
            key: 'meanMm',
            what: 'Pinch, mean',
            value: meanMm,
            unit: 'mm',
            decimals: 3,
            held: hold(
              meanMm,
              { min: minMm, max: maxMm },
              {
                low: 'the shell can move in its cap and frets',
                high: 'the cap closes the bore: clearance is lost at the joint',
              },
            ),
          },
          {
            key: 'says',
            what: 'The cap',
            value:
              says === 'grips'
                ? 'grips the shell'
                : says === 'loose'
                  ? 'leaves the shell loose'
                  : 'has no gap and no grip',
          },
          ...endsMm.map((mm, i) => ({
            key: `end${i + 1}Mm`,
            what: `Pinch, end ${i + 1}`,
            value: mm,
            unit: 'mm',
            decimals: 3,
          })),
        ],
        working: ends.map((end, i) =>
          line(
            `End ${i + 1}`,
            'mean shim − wire',
            `(${say(end.shimLeftMm)} + ${say(end.shimRightMm)})/2 − ${say(end.wireMm)}`,
            `${say(endsMm[i]!)} mm`,
          ),
        ),
        schools: [
          {
            name: 'Slight grip',
            gives: 'a few hundredths',
            why: 'the shell cannot turn or fret; too much closes the bore',
          },
          {
            name: 'None',
            gives: 'metal to metal, nought',
            why: 'spherical-seated and floating shells must find their own line',
          },
        ],
        notes: ['Little pinch is corrected on the cap, not on the shell.'],
        more: { endsMm },
        reading: { kind: 'single', tries: [[meanMm]] },
      })),
  }),
  defineSum({
    name: 'running-clearance',
    craft: 'sleeves',
    title: 'Running clearance',
    about: 'Bore readings less journal readings, and what the rules of thumb would want.',
    source: 'extremes of both parts; targets are rules of thumb',
    fields: {
      boresMm: list('Bore readings', 'mm', SIZE, [1, 20]),
      journalsMm: list('Journal readings', 'mm', SIZE, [1, 20]),
      minMm: makerMin('mm', GAP),
      maxMm: makerMax('mm', GAP),
    },
    example: { boresMm: [80.102, 80.11, 80.106], journalsMm: [80.008, 80.004, 80.006], minMm: 0.08, maxMm: 0.14 },
    work: ({ boresMm, journalsMm, minMm, maxMm }) =>
      answering(runningClearance(boresMm, journalsMm), ({ leastMm, greatestMm, meanMm, perMille }) => {
        const d = meanOf(journalsMm)
        const limits = { min: minMm, max: maxMm }
        return {
          figures: [
            {
              key: 'leastMm',
              what: 'Least',
              value: leastMm,
              unit: 'mm',
              decimals: 3,
              held: hold(leastMm, limits, NARROW),
            },
            {
              key: 'greatestMm',
              what: 'Greatest',
              value: greatestMm,
              unit: 'mm',
              decimals: 3,
              held: hold(greatestMm, limits, NARROW),
            },
            { key: 'meanMm', what: 'Mean', value: meanMm, unit: 'mm', decimals: 4 },
            { key: 'perMille', what: 'Of the journal', value: perMille, unit: '‰', decimals: 2 },
          ],
          working: [
            line(
              'Least',
              'least bore − greatest journal',
              `${say(Math.min(...boresMm))} − ${say(Math.max(...journalsMm))}`,
              `${say(leastMm)} mm`,
            ),
            line(
              'Greatest',
              'greatest bore − least journal',
              `${say(Math.max(...boresMm))} − ${say(Math.min(...journalsMm))}`,
              `${say(greatestMm)} mm`,
            ),
            line('Share', 'mean/d', `${say(meanMm, 4)}/${say(d)}`, `${say(perMille, 2)} ‰`),
          ],
          schools: Object.entries(CLEARANCE_SCHOOLS).map(([name, school]) => {
            const [low, high] = school.spanMm(d)
            return {
              name,
              gives: low === high ? `about ${say(low)} mm` : `${say(low)} to ${say(high)} mm`,
              why: school.why,
            }
          }),
          notes: [`The targets are ${RULE_OF_THUMB}.`],
          reading: { kind: 'single', tries: [[meanMm]] },
        }
      }),
  }),
  defineSum({
    name: 'bush-press',
    craft: 'sleeves',
    title: 'Bush pressed in',
    about: 'How far a bush closes when pressed, and the bore to make before so that it runs right after.',
    source: 'Lamé, thick-walled cylinders, both elastic',
    fields: {
      housingBoreMm: number('Housing bore', 'mm', SIZE),
      bushOutsideMm: number('Bush outside', 'mm', SIZE),
      bushBoreMm: number('Bush bore now', 'mm', SIZE),
      housingOutsideMm: number('Housing outside', 'mm', SIZE),
      lengthMm: number('Length', 'mm', SIZE),
      bushEMPa: fallback(number('Bush, modulus', 'MPa', [500, 450000]), 105000),
      bushPoisson: fallback(number('Bush, Poisson', '1', [0, 0.49]), 0.34),
      housingEMPa: fallback(number('Housing, modulus', 'MPa', [500, 450000]), 110000),
      housingPoisson: fallback(number('Housing, Poisson', '1', [0, 0.49]), 0.26),
      friction: fallback(number('Friction', '1', [0.01, 0.9]), 0.12),
      shaftMm: number('Shaft', 'mm', SIZE),
      wantedClearanceMm: number('Clearance wanted', 'mm', [0, 5]),
      minMm: makerMin('mm', GAP),
      maxMm: makerMax('mm', GAP),
    },
    example: {
      housingBoreMm: 70,
      bushOutsideMm: 70.06,
      bushBoreMm: 55.1,
      housingOutsideMm: 120,
      lengthMm: 80,
      bushEMPa: 105000,
      bushPoisson: 0.34,
      housingEMPa: 110000,
      housingPoisson: 0.26,
      friction: 0.12,
      shaftMm: 54.98,
      wantedClearanceMm: 0.12,
      minMm: 0.1,
      maxMm: 0.16,
    },
    work: ({ minMm, maxMm, ...bush }) =>
      answering(pressBush(bush), made => ({
        figures: [
          {
            key: 'clearanceAfterMm',
            what: 'Clearance after pressing',
            value: made.clearanceAfterMm,
            unit: 'mm',
            decimals: 3,
            held: hold(made.clearanceAfterMm, { min: minMm, max: maxMm }, NARROW),
          },
          {
            key: 'boreBeforeMm',
            what: 'Bore to make before pressing',
            value: made.boreBeforeMm,
            unit: 'mm',
            decimals: 3,
          },
          {
            key: 'takeOutMm',
            what: 'To take out after pressing',
            value: Math.max(0, made.takeOutMm),
            unit: 'mm',
            decimals: 3,
          },
          { key: 'boreClosureMm', what: 'Bore closes by', value: made.boreClosureMm, unit: 'mm', decimals: 4 },
          { key: 'boreAfterMm', what: 'Bore after pressing', value: made.boreAfterMm, unit: 'mm', decimals: 3 },
          { key: 'pressureMPa', what: 'Pressure', value: made.pressureMPa, unit: 'MPa', decimals: 1 },
          { key: 'forceN', what: 'Press force', value: made.forceN, unit: 'N', decimals: 0 },
          { key: 'outerGrowthMm', what: 'Housing grows by', value: made.outerGrowthMm, unit: 'mm', decimals: 4 },
          { key: 'hubHoopMPa', what: 'Hoop stress, housing bore', value: made.hubHoopMPa, unit: 'MPa', decimals: 1 },
          { key: 'interferenceMm', what: 'Interference', value: made.interferenceMm, unit: 'mm', decimals: 3 },
        ],
        working: [
          line(
            'Interference',
            'bush − housing',
            `${say(bush.bushOutsideMm)} − ${say(bush.housingBoreMm)}`,
            `${say(made.interferenceMm)} mm`,
          ),
          line(
            'Closure',
            '2·p·d²·di/((d² − di²)·E)',
            `p = ${say(made.pressureMPa, 2)} MPa`,
            `${say(made.boreClosureMm, 4)} mm`,
          ),
          line(
            'After',
            'bore − closure − shaft',
            `${say(bush.bushBoreMm)} − ${say(made.boreClosureMm, 4)} − ${say(bush.shaftMm)}`,
            `${say(made.clearanceAfterMm)} mm`,
          ),
        ],
        notes: ['An interference bush that was pressed out is not used again.'],
        reading: { kind: 'single', tries: [[made.clearanceAfterMm]] },
      })),
  }),
  defineSum({
    name: 'contact',
    craft: 'sleeves',
    title: 'Contact by blue',
    about: 'How much of a bearing half carries, and where, from a grid that is ticked.',
    source: 'projected area, 4 along by 6 round',
    fields: {
      squares: list(
        `Squares, ${CONTACT_ROWS} rows of ${CONTACT_COLUMNS}`,
        '1',
        [0, 1],
        [24, 24],
        '0, 0.5 or 1, row by row from the stated end',
      ),
      minShare: optional(number('Least share', '%', [0, 100])),
      closeUp: flag('Judge where it lies, too'),
    },
    example: {
      squares: [0, 1, 1, 1, 0.5, 0, 0, 1, 1, 1, 1, 0, 0.5, 1, 1, 1, 0.5, 0, 0, 0.5, 1, 1, 0, 0],
      minShare: 50,
      closeUp: true,
    },
    work: ({ squares, minShare, closeUp }) =>
      answering(blueContact(squares), ({ share, centralShare, says }) => ({
        figures: [
          {
            key: 'sharePercent',
            what: 'Carries',
            value: share * 100,
            unit: '%',
            decimals: 0,
            held: hold(
              share * 100,
              { min: minShare, best: minShare === undefined ? undefined : 100 },
              { low: 'too little carries: it runs hot and wipes where it bears' },
            ),
          },
          {
            key: 'says',
            what: 'It is',
            value: says,
            ...(closeUp
              ? {
                  held: {
                    ...holdAgainst(
                      says === 'well spread' ? 0 : 1,
                      { max: 0 },
                      'spread over the middle 120°, both ends',
                    ),
                    share: null,
                    consequence: says === 'well spread' ? null : 'load sits on one end or edge: scrape and blue again',
                  },
                }
              : {}),
          },
          {
            key: 'centralPercent',
            what: 'Of that, in the middle 120°',
            value: centralShare * 100,
            unit: '%',
            decimals: 0,
          },
        ],
        working: [
          line(
            'Carries',
            'sum of squares / 24',
            `${say(
              squares.reduce((sum, one) => sum + one, 0),
              1,
            )}/24`,
            `${say(share * 100, 0)} %`,
          ),
        ],
      })),
  }),
  defineSum({
    name: 'magnetic-centre',
    craft: 'sleeves',
    title: 'Axial set',
    about: 'Does the coupling’s limited float keep the journal shoulders off the bearing ends, cold and hot.',
    source: 'distances on one scale; steel grows 11.7 µm/m/K',
    fields: {
      stopOuterMm: number('Against the outer stop', 'mm', [-200, 200]),
      stopDriveMm: number('Against the drive-end stop', 'mm', [-200, 200]),
      magneticMm: number('Where it runs', 'mm', [-200, 200]),
      setMm: number('Where it was set', 'mm', [-200, 200]),
      couplingFloatMm: number('Coupling’s float either way', 'mm', [0, 50]),
      shaftLengthMm: number('Fixed end to coupling', 'mm', [0, 20000]),
      warmerK: number('Shaft warms by', 'K', [-50, 200]),
      marginMm: number('Margin wanted', 'mm', [0, 50]),
    },
    example: {
      stopOuterMm: 0,
      stopDriveMm: 12.4,
      magneticMm: 6.1,
      setMm: 6,
      couplingFloatMm: 2.4,
      shaftLengthMm: 1600,
      warmerK: 45,
      marginMm: 1.5,
    },
    work: ({ marginMm, ...given }) => {
      if (given.magneticMm === given.stopOuterMm || given.magneticMm === given.stopDriveMm)
        return refuse('It runs against a stop: find out why before the coupling is set.')
      return answering(axialSet(given), ({ totalFloatMm, centreMm, magneticOffCentreMm, growthMm, coldMm, hotMm }) => {
        const margin = (key: string, what: string, mm: number) => ({
          key,
          what,
          value: mm,
          unit: 'mm',
          decimals: 2,
          held: holdAgainst(
            mm,
            { min: marginMm, best: Math.max(totalFloatMm / 2, marginMm + 0.001), warningShare: 0 },
            'margin typed here',
            { low: 'the journal shoulder can rub the bearing end' },
          ),
        })
        return {
          figures: [
            margin('coldOuterMm', 'Margin cold, outer end', coldMm.outer),
            margin('coldDriveMm', 'Margin cold, drive end', coldMm.drive),
            margin('hotOuterMm', 'Margin hot, outer end', hotMm.outer),
            margin('hotDriveMm', 'Margin hot, drive end', hotMm.drive),
            { key: 'totalFloatMm', what: 'Total float', value: totalFloatMm, unit: 'mm', decimals: 2 },
            { key: 'centreMm', what: 'Middle of the float', value: centreMm, unit: 'mm', decimals: 2 },
            {
              key: 'magneticOffCentreMm',
              what: 'Runs off the middle by',
              value: magneticOffCentreMm,
              unit: 'mm',
              decimals: 2,
            },
            { key: 'growthMm', what: 'Shaft grows', value: growthMm, unit: 'mm', decimals: 2 },
          ],
          working: [
            line(
              'Growth',
              '11.7·L·ΔT',
              `11.7·${say(given.shaftLengthMm / 1000)}·${say(given.warmerK)}/1000`,
              `${say(growthMm, 2)} mm`,
            ),
            line(
              'Drive end, hot',
              'stop − (set + float) − growth',
              `${say(given.stopDriveMm, 2)} − (${say(given.setMm, 2)} + ${say(given.couplingFloatMm, 2)}) − ${say(growthMm, 2)}`,
              `${say(hotMm.drive, 2)} mm`,
            ),
            line(
              'Outer end, cold',
              'set − float − stop',
              `${say(given.setMm, 2)} − ${say(given.couplingFloatMm, 2)} − ${say(given.stopOuterMm, 2)}`,
              `${say(coldMm.outer, 2)} mm`,
            ),
          ],
        }
      })
    },
  }),
]
