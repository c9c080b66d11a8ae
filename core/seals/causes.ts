import type { Sense } from '../marks/index.ts'
import { accept, refuse, type Result } from '../result.ts'
import { CAUSES, OBSERVATIONS, SOUND, type Observations, type SealPart } from './cause-data.ts'

export interface RankedCause {
  cause: string
  advice: string
  score: number
  speaksFor: string[]
  speaksAgainst: string[]
}

/**
 * Ranks the likely causes of a seal's failure by what was seen, each with the evidence for and against. It advises; the
 * technician decides. Causes that no fault speaks for are left out: sound parts only tell between causes; equal scores keep the table's order.
 * Refused: nothing observed.
 */
export function rankCauses(seen: Observations): Result<RankedCause[]> {
  const given = (Object.keys(OBSERVATIONS) as SealPart[]).flatMap(part => {
    const observation = seen[part]
    return observation ? [{ part, observation }] : []
  })
  if (!given.length) return refuse('Say what was seen on at least one part of the seal.')
  const ranked = CAUSES.map(({ cause, advice, evidence }) => {
    const weights = given.map(one => ({ ...one, weight: evidence[one.part]?.[one.observation] ?? 0 }))
    const words = (keep: (weight: number) => boolean) =>
      weights.filter(one => keep(one.weight)).map(one => `${one.part}: ${one.observation}`)
    return {
      cause,
      advice,
      score: weights.reduce((sum, one) => sum + one.weight, 0),
      speaksFor: words(weight => weight > 0),
      speaksAgainst: words(weight => weight < 0),
    }
  })
  const isFault = (words: string) => !SOUND.some(sound => words.endsWith(`: ${sound}`))
  return accept(ranked.filter(one => one.speaksFor.some(isFault)).sort((a, b) => b.score - a.score))
}

export const WORN_SIDES = ['clockwise side', 'anticlockwise side', 'both sides'] as const
export type WornSide = (typeof WORN_SIDES)[number]
export const SLOT_PLACES = ['ring that is driven', 'part that drives'] as const
export type SlotPlace = (typeof SLOT_PLACES)[number]

/**
 * Wear on one side of a drive slot tells which way it turned, wear and sense seen from the same end. A pin that drives
 * leans on the slot's wall ahead of it; a slot that drives leans on the pin with the wall behind it. Worn on both sides it
 * hunted, or turned both ways.
 */
export function turningSenseFrom(worn: WornSide, slotIsIn: SlotPlace): Sense | 'both ways, or it hunted' {
  if (worn === 'both sides') return 'both ways, or it hunted'
  return (worn === 'clockwise side') === (slotIsIn === 'ring that is driven') ? 'clockwise' : 'anticlockwise'
}
