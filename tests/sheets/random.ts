import type { Check, Joint, Sheet, Step } from '../../core/sheet/index.ts'

/** A machine as it may come: which part comes off only after which, and which step spoils which reading. */
export interface RandomMachine {
  /** For each part, the earlier ones that come off before it. */
  under: number[][]
  /** Parts whose coming off spoils a reading as found. */
  spoils: boolean[]
  gates: number
  /** How each part's joint is drawn up, where it has one. */
  joints?: ('torque' | 'turn' | 'felt' | 'nip' | null)[]
  /** Parts whose going back is signed for, and by whom. */
  holds?: ('lead' | 'certified' | null)[]
}

const torque = { targetNm: 50, toleranceShare: 0.1, passes: [0.5, 1] }
const WAYS = {
  torque: { ...torque, slacken: { order: 'backwards', how: 'a quarter turn each', why: 'it springs' } },
  turn: { ...torque, passes: [1], turn: { deg: 60, toleranceDeg: 10 } },
  felt: {
    felt: {
      ask: 'How does it come home?',
      choices: [
        { say: 'springy', met: false },
        { say: 'dead', met: true },
      ],
    },
    locking: {
      ask: 'How is it locked?',
      choices: [
        { say: 'not', met: false },
        { say: 'tab bent', met: true },
      ],
      newPieces: { what: 'tab washer', pieces: 1 },
      ifWrong: 'it comes loose',
    },
  },
  nip: { ...torque, nip: 1 },
} as const satisfies Record<string, Partial<Joint>>

const jointOf = (way: keyof typeof WAYS, i: number): Joint =>
  structuredClone({
    id: `j${i}`,
    title: `Joint ${i}`,
    layout: { kind: 'circle', bolts: (i % 4) + 1, diameterMm: 100 },
    thread: 'M10',
    hand: i % 2 ? 'left' : 'right',
    class: '8.8',
    lubricant: 'oil',
    pattern: 'star',
    allowed: ['round'],
    seenFrom: 'left',
    why: 'it tips',
    ...WAYS[way],
  }) as Joint

const checkOf = (i: number): Check => ({
  id: `c${i}`,
  title: `Reading ${i}`,
  kind: 'single',
  of: [`p${i}`],
  unit: 'mm',
  decimals: 2,
  span: [0, 10],
  limits: { min: 1, max: 3 },
  source: 'this sheet',
  instrument: 'caliper',
  low: 'too small',
  high: 'too large',
  at: [
    { moment: 'asFound', step: `read-${i}` },
    { moment: 'build', step: `again-${i}`, renewed: true },
  ],
})

/** A sound sheet of such a machine: what comes off last goes back first. */
export function sheetOf({ under, spoils, gates, joints = [], holds = [] }: RandomMachine): Sheet {
  const all = under.map((_, i) => i)
  const over = (i: number) => all.filter(j => under[j]!.includes(i))
  const step = (id: string, station: Step['station'], more: Partial<Step>): Step => ({
    id,
    station,
    title: id,
    ...more,
  })
  const lastOf = (i: number) => `${joints[i] || holds[i] ? 'up' : 'on'}-${i}`
  const closing = all.filter(i => i < gates)
  return {
    id: 'random',
    version: 1,
    family: 'R',
    title: 'Random machine',
    notice: 'Made for tests.',
    ends: { left: 'left', right: 'right' },
    axes: [],
    kits: [],
    mates: [],
    joints: all.flatMap(i => (joints[i] ? [jointOf(joints[i], i)] : [])),
    service: { hours: 1000, months: 12 },
    assemblies: [{ id: 'a', name: 'All', datum: { what: 'top', at: 12 }, seenFrom: 'left' }],
    parts: all.map(i => ({
      id: `p${i}`,
      item: i + 1,
      name: `Part ${i}`,
      kind: 'disc',
      assembly: 'a',
      renewal: 'on condition',
      keep: 'tag',
    })),
    checks: all.map(checkOf),
    steps: [
      step('safe', 'make-safe', {}),
      ...all.map(i => step(`read-${i}`, 'as-found', { needs: ['safe'] })),
      ...all.map(i =>
        step(`off-${i}`, 'strip', {
          needs: ['safe', `read-${i}`, ...under[i]!.map(j => `off-${j}`)],
          removes: [`p${i}`],
          ...(joints[i] ? { joint: { id: `j${i}`, act: 'slacken' as const } } : {}),
          ...(spoils[i] ? { destroys: [{ check: `c${i}`, moment: 'asFound' as const }] } : {}),
        }),
      ),
      step('decide', 'decide', { needs: all.map(i => `off-${i}`) }),
      ...all.map(i => step(`again-${i}`, 'build', { needs: ['decide'] })),
      ...all.map(i =>
        step(`on-${i}`, 'build', {
          needs: ['decide', `off-${i}`, `again-${i}`, ...over(i).map(j => `on-${j}`)],
          fits: [`p${i}`],
        }),
      ),
      ...all.flatMap(i =>
        joints[i] === 'nip'
          ? [step(`nip-${i}`, 'build', { needs: [`on-${i}`], joint: { id: `j${i}`, act: 'nip' } })]
          : [],
      ),
      ...all.flatMap(i =>
        joints[i] || holds[i]
          ? [
              step(`up-${i}`, 'build', {
                needs: [joints[i] === 'nip' ? `nip-${i}` : `on-${i}`],
                ...(joints[i] ? { joint: { id: `j${i}`, act: 'pull' as const } } : {}),
                ...(holds[i]
                  ? { hold: { covers: [`on-${i}`], by: holds[i], ...(holds[i] === 'lead' ? {} : { of: 'fits' }) } }
                  : {}),
              }),
            ]
          : [],
      ),
      ...closing.map((_, g) =>
        step(`shut-${g}`, 'build', {
          needs: [...all.map(lastOf), ...(g ? [`shut-${g - 1}`] : [])],
          closes: `cover ${g + 1}`,
        }),
      ),
      ...(closing.length ? [] : [step('shut', 'build', { needs: all.map(lastOf), closes: true })]),
    ],
  }
}

/** A machine of the size of a large one: 60 parts, 60 steps, 40 checks, 26 of them worked out by sums. */
export function largeSheet(): Sheet {
  const under = Array.from({ length: 14 }, (_, i) => (i ? [i - 1] : []))
  const sheet = sheetOf({ under, spoils: under.map((_, i) => i % 2 === 0), gates: 2 })
  const more = Array.from({ length: 46 }, (_, i) => ({
    ...sheet.parts[0]!,
    id: `q${i}`,
    item: 15 + i,
    name: `Small part ${i}`,
  }))
  const sums = Array.from({ length: 26 }, (_, i): Check => ({
    ...checkOf(i % 14),
    id: `s${i}`,
    title: `Strips ${i}`,
    kind: 'sum',
    span: [-1e9, 1e9],
    limits: { min: 0.06, max: 0.13 },
    sum: {
      name: 'strip-set',
      given: { stripDiameterMm: 0.25 },
      rows: { widthsMm: [{ name: 'one end' }, { name: 'middle' }, { name: 'other end' }] },
      trend: 'leastMm',
    },
    at: [{ moment: 'asFound', step: `read-${i % 14}` }],
  }))
  const refs = more.map(one => one.id)
  return {
    ...sheet,
    parts: [...sheet.parts, ...more],
    checks: [...sheet.checks, ...sums],
    steps: sheet.steps.map(step =>
      step.id === 'off-0'
        ? { ...step, removes: [...step.removes!, ...refs] }
        : step.id === 'on-0'
          ? { ...step, fits: [...step.fits!, ...refs] }
          : step,
    ),
  }
}
