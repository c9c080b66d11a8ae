import type { Verdict } from '../verdict.ts'

/** What a hand feels when it turns the shaft, and what each means. */
export const HAND_TURNS = {
  'free all round': { verdict: 'Holds', means: 'nothing touches' },
  'even drag': { verdict: 'Thin', means: 'new seals or lips drag; it should ease after a few turns' },
  'tight spot': { verdict: 'Out', means: 'something is bent, cocked or too tight at one place of the turn' },
  'rubbing': { verdict: 'Out', means: 'parts touch: find the place before it is run' },
  'will not turn': { verdict: 'Out', means: 'locked: nothing is forced; something inside is out of place' },
} as const satisfies Record<string, { verdict: Verdict; means: string }>
export type HandTurn = keyof typeof HAND_TURNS
export const HAND_TURN_WORDS = Object.keys(HAND_TURNS) as [HandTurn, ...HandTurn[]]
