import { accept, refuse, type Result } from '../result.ts'

export interface PlacedPart {
  part: string
  cameFrom: string
  wentTo: string
  renewed?: boolean
}
export interface Places {
  swaps: { parts: readonly string[]; places: readonly string[] }[]
  strays: { part: string; cameFrom: string; wentTo: string }[]
  twice: { place: string; parts: readonly string[] }[]
}

/**
 * Numbered places: a part that came from a place goes back to it unless renewed. Names swaps (rings of parts that changed
 * places), single strays, and places that got two parts. Refused: nothing placed, one part named twice.
 */
export function checkPlaces(placed: readonly PlacedPart[]): Result<Places> {
  if (!placed.length) return refuse('Say where at least one part came from and went to.')
  if (new Set(placed.map(one => one.part)).size !== placed.length)
    return refuse('One part is named twice. Give every part a name of its own.')
  const kept = placed.filter(one => !one.renewed)
  const wrong = kept.filter(one => one.cameFrom !== one.wentTo)
  const inRing = new Set<PlacedPart>()
  const swaps: { parts: string[]; places: string[] }[] = []
  for (const start of wrong) {
    if (inRing.has(start)) continue
    const ring = [start]
    for (
      let next = wrong.find(one => one.cameFrom === start.wentTo);
      next && !ring.includes(next);
      next = wrong.find(one => one.cameFrom === ring.at(-1)!.wentTo)
    )
      ring.push(next)
    if (ring.length > 1 && ring.at(-1)!.wentTo === start.cameFrom) {
      ring.forEach(one => inRing.add(one))
      swaps.push({ parts: ring.map(one => one.part), places: ring.map(one => one.cameFrom) })
    }
  }
  const places = [...new Set(placed.map(one => one.wentTo))]
  return accept({
    swaps,
    strays: wrong.filter(one => !inRing.has(one)).map(({ part, cameFrom, wentTo }) => ({ part, cameFrom, wentTo })),
    twice: places
      .map(place => ({ place, parts: placed.filter(one => one.wentTo === place).map(one => one.part) }))
      .filter(one => one.parts.length > 1),
  })
}
