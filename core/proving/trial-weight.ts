import { withinTurn } from '../marks/index.ts'
import { accept, refuse, type Result } from '../result.ts'

/** A vibration as it is read: size in any one unit, and phase in degrees, counted the same way as places on the rotor. */
export interface Phased {
  size: number
  phaseDeg: number
}

export interface Correction {
  massG: number
  /** Where it goes, on the trial’s radius, degrees on from where the trial sat, the way phases count. */
  fromTrialDeg: number
  placeDeg: number
  /** What the trial alone did: size a gram, and how it turned the phase. */
  influence: Phased
}

const rad = (deg: number) => (deg * Math.PI) / 180
const vector = ({ size, phaseDeg }: Phased) => ({
  x: size * Math.cos(rad(phaseDeg)),
  y: size * Math.sin(rad(phaseDeg)),
})
const phased = ({ x, y }: { x: number; y: number }): Phased => ({
  size: Math.hypot(x, y),
  phaseDeg: withinTurn((Math.atan2(y, x) * 180) / Math.PI),
})

/** What a mass at a place adds, by the influence of a trial: linear rotor, one plane. */
export function vibrationWith(asIs: Phased, influence: Phased, massG: number, placeDeg: number): Phased {
  const [a, b] = [vector(asIs), vector({ size: influence.size * massG, phaseDeg: influence.phaseDeg + placeDeg })]
  return phased({ x: a.x + b.x, y: a.y + b.y })
}

/**
 * Single-plane balance from two runs by vectors: as it is, and with a trial mass. The trial changed the vibration by T − O;
 * the mass that changes it by −O is trial·|O|/|T − O|, turned on by the angle from T − O to −O (influence coefficients).
 * Refused: a trial or vibration not above nought, a trial that changed next to nothing.
 */
export function trialWeight(asIs: Phased, withTrial: Phased, trialG: number, trialDeg: number): Result<Correction> {
  if (!(trialG > 0)) return refuse('Give the mass of the trial weight.')
  if (!(asIs.size > 0)) return refuse('Without vibration there is nothing to balance.')
  const [o, t] = [vector(asIs), vector(withTrial)]
  const effect = phased({ x: t.x - o.x, y: t.y - o.y })
  if (effect.size < 0.1 * asIs.size)
    return refuse(
      'The trial changed next to nothing: under a tenth of the vibration. Take a heavier one, or look for another cause than unbalance.',
    )
  const massG = (trialG * asIs.size) / effect.size
  const fromTrialDeg = withinTurn(asIs.phaseDeg + 180 - effect.phaseDeg)
  return accept({
    massG,
    fromTrialDeg,
    placeDeg: withinTurn(trialDeg + fromTrialDeg),
    influence: { size: effect.size / trialG, phaseDeg: withinTurn(effect.phaseDeg - trialDeg) },
  })
}
