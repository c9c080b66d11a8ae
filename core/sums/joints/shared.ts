import { MOST_OF_PROOF } from '../../joints/index.ts'
import { holdAgainst } from '../../verdict.ts'
import type { Figure } from '../define.ts'

export const TORQUE = [0.01, 100000] as const
export const LOAD = [1, 20000000] as const
export const FACTOR = [0.02, 0.6] as const
export const againstProof = (preloadN: number, scatter: number, proofN: number, standard: string): Figure['held'] =>
  holdAgainst(
    ((preloadN * (1 + scatter)) / proofN) * 100,
    { max: MOST_OF_PROOF * 100 },
    `75 % of what ${standard} gives, scatter counted in`,
    { high: 'the bolt may yield where friction is kind: it lets go later, without a sign' },
  )
