import { NUT_FACTORS, PRELOAD_SCATTER, type Lubrication, type Strength } from '../../joints/index.ts'
import { holdAgainst } from '../../verdict.ts'
import type { Figure, School } from '../define.ts'

export const TORQUE = [0.01, 100000] as const
export const LOAD = [1, 20000000] as const
export const FACTOR = [0.02, 0.6] as const
export const METHODS = Object.keys(PRELOAD_SCATTER) as [
  keyof typeof PRELOAD_SCATTER,
  ...(keyof typeof PRELOAD_SCATTER)[],
]

export const LUBRICATIONS = Object.keys(NUT_FACTORS) as [Lubrication, ...Lubrication[]]

/** Preload may reach this share of proof at its nominal, and the top of its scatter is warned of from there. */
const MOST_OF_PROOF = 90
export const PROOF_SCHOOLS: School[] = [
  {
    name: '75 % of proof, without scatter',
    gives: 'common torque tables',
    why: 'the bolt is undone and used again; scatter is left to the margin above',
  },
  {
    name: '90 % of proof, without scatter',
    gives: 'joints made once',
    why: 'the most grip a bolt gives; where it is not undone, and is tightened with care',
  },
]

/** Share of proof at nominal, and at the top of the scatter where the way of pulling is known, in per cent. */
export function proofFigures(preloadN: number, areaMm2: number, strength: Strength, scatter?: number): Figure[] {
  const share = (N: number) => (N / areaMm2 / strength.mpa) * 100
  const yields = (strength.yieldMpa / strength.mpa) * 100
  const nominal: Figure = {
    key: 'proofPercent',
    what: `Of ${strength.what}, nominal`,
    value: share(preloadN),
    unit: '%',
    decimals: 0,
    held: holdAgainst(
      share(preloadN),
      { max: MOST_OF_PROOF, warningShare: 0 },
      `90 % of what ${strength.standard} gives, before scatter`,
      { high: 'nothing is left for scatter and load: the bolt may yield as it is tightened' },
    ),
  }
  if (scatter === undefined) return [nominal]
  const top = share(preloadN * (1 + scatter))
  return [
    nominal,
    {
      key: 'proofMostPercent',
      what: `Of ${strength.what}, top of the scatter`,
      value: top,
      unit: '%',
      decimals: 0,
      held: holdAgainst(
        top,
        { max: yields, warningShare: 1 - MOST_OF_PROOF / yields },
        `yield by ${strength.standard}; care from 90 % of ${strength.what}`,
        { high: 'where friction is kind the bolt yields: it lets go later, without a sign' },
      ),
    },
  ]
}
