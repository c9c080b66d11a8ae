import { meanOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface Insulation {
  at40MOhm: number
  polarisationIndex: number | null
  indexMeans: boolean
}

/**
 * Insulation resistance brought to 40 °C, R40 = R·0.5^((40 − T)/10) (IEEE 43, old thermoplastic insulation; the sheet's own
 * halving span for thermosetting goes before it), and polarisation index R10/R1, which means nothing above 5 GΩ at one minute.
 * @param halvingK temperature that halves the resistance
 * Refused: a resistance not above nought, a winding outside −10 to 150 °C. Electrical tests are for authorised people.
 */
export function insulation(
  oneMinuteMOhm: number,
  windingC: number,
  tenMinutesMOhm?: number,
  halvingK = 10,
): Result<Insulation> {
  if (!(oneMinuteMOhm > 0) || (tenMinutesMOhm !== undefined && !(tenMinutesMOhm > 0)))
    return refuse('A resistance is above zero.')
  if (!(windingC >= -10 && windingC <= 150)) return refuse('Give the temperature of the winding, −10 to 150 °C.')
  if (!(halvingK >= 5 && halvingK <= 60))
    return refuse('Resistance halves over 5 to 60 K; take the figure from the sheet.')
  return accept({
    at40MOhm: oneMinuteMOhm * 0.5 ** ((40 - windingC) / halvingK),
    polarisationIndex: tenMinutesMOhm === undefined ? null : tenMinutesMOhm / oneMinuteMOhm,
    indexMeans: oneMinuteMOhm <= 5000,
  })
}

export interface Commutator {
  profileUm: number
  stepUm: number
  stepAt: number
  undercutLeastMm: number | null
  brushMPa: number | null
  resistanceSpreadShare: number | null
}

/**
 * A commutator from its readings: run-out of the profile, greatest step from bar to bar (and after which bar), least
 * undercut of the mica, brush pressure = spring force over brush area, spread of bar-to-bar resistance over its mean.
 * Refused: fewer than four bars, a figure that cannot be.
 */
export function commutator(
  barsUm: readonly number[],
  {
    undercutsMm = [],
    springN,
    brushAreaMm2,
    resistancesMOhm = [],
  }: {
    undercutsMm?: readonly number[]
    springN?: number
    brushAreaMm2?: number
    resistancesMOhm?: readonly number[]
  } = {},
): Result<Commutator> {
  if (barsUm.length < 4 || !barsUm.every(Number.isFinite))
    return refuse('Read at least four bars round the commutator.')
  if (undercutsMm.some(one => !(one >= 0)) || resistancesMOhm.some(one => !(one > 0)))
    return refuse('Undercuts are not below zero, resistances above it.')
  if ((springN !== undefined && !(springN > 0)) || (brushAreaMm2 !== undefined && !(brushAreaMm2 > 0)))
    return refuse('Spring force and brush area are above zero.')
  const steps = barsUm.map((bar, i) => Math.abs(bar - barsUm[(i + 1) % barsUm.length]!))
  const stepUm = Math.max(...steps)
  return accept({
    profileUm: Math.max(...barsUm) - Math.min(...barsUm),
    stepUm,
    stepAt: steps.indexOf(stepUm) + 1,
    undercutLeastMm: undercutsMm.length ? Math.min(...undercutsMm) : null,
    brushMPa: springN !== undefined && brushAreaMm2 !== undefined ? springN / brushAreaMm2 : null,
    resistanceSpreadShare:
      resistancesMOhm.length > 1
        ? (Math.max(...resistancesMOhm) - Math.min(...resistancesMOhm)) / meanOf(resistancesMOhm)
        : null,
  })
}
