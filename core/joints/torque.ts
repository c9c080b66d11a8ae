import { accept, refuse, type Result } from '../result.ts'

/** Nut factors by lubrication; editable, general figures. */
export const NUT_FACTORS = { 'dry': 0.2, 'oiled': 0.17, 'moly or copper paste': 0.13, 'thread-locker': 0.18 } as const
export type Lubrication = keyof typeof NUT_FACTORS

/** Scatter of preload by the way of pulling, share either side. */
export const PRELOAD_SCATTER = {
  'feel': 0.35,
  'click wrench': 0.25,
  'torque and angle': 0.1,
  'tensioner': 0.1,
} as const

/** Stress area of an ISO metric thread, mm² (ISO 898-1): π/4·(d − 0.9382·P)². */
export function metricStressAreaMm2(diameterMm: number, pitchMm: number): number {
  return (Math.PI / 4) * (diameterMm - 0.9382 * pitchMm) ** 2
}

/** Torque from preload by the nut factor, T = K·d·F, N·m. */
export function torqueFromPreloadNm(preloadN: number, diameterMm: number, nutFactor: number): Result<number> {
  return allAboveNought(preloadN, diameterMm, nutFactor)
    ? accept((nutFactor * diameterMm * preloadN) / 1000)
    : refuse(NEEDS)
}

/** Preload from torque by the nut factor, F = T/(K·d), N. */
export function preloadFromTorqueN(torqueNm: number, diameterMm: number, nutFactor: number): Result<number> {
  return allAboveNought(torqueNm, diameterMm, nutFactor)
    ? accept((torqueNm * 1000) / (nutFactor * diameterMm))
    : refuse(NEEDS)
}

export interface ThreadFriction {
  diameterMm: number
  pitchMm: number
  threadFriction: number
  headFriction: number
  headMeanDiameterMm: number
}

/**
 * Torque from preload by friction in thread and under the head: T = F·(P/2π + µt·d2/(2·cos 30°) + µh·Dkm/2), N·m,
 * with d2 = d − 0.64952·P (ISO 724; VDI 2230 form). Refused: a value that is not above nought.
 */
export function torqueByFrictionNm(
  preloadN: number,
  { diameterMm, pitchMm, threadFriction, headFriction, headMeanDiameterMm }: ThreadFriction,
): Result<number> {
  if (!allAboveNought(preloadN, diameterMm, pitchMm, threadFriction, headFriction, headMeanDiameterMm))
    return refuse(NEEDS)
  const pitchDiameter = diameterMm - 0.64952 * pitchMm
  const arm =
    pitchMm / (2 * Math.PI) +
    (threadFriction * pitchDiameter) / (2 * Math.cos(Math.PI / 6)) +
    (headFriction * headMeanDiameterMm) / 2
  return accept((preloadN * arm) / 1000)
}

/** What to set on a wrench with an extension in line, T·L/(L + E); both lengths in the same unit. */
export function settingWithExtension(torqueNm: number, wrenchLength: number, extension: number): Result<number> {
  return allAboveNought(torqueNm, wrenchLength) && extension >= 0
    ? accept((torqueNm * wrenchLength) / (wrenchLength + extension))
    : refuse('Give the torque wanted, the length of the wrench and that of the extension.')
}

/** Preload from torque by friction in thread and under the head, the inverse of {@link torqueByFrictionNm}, N. */
export function preloadByFrictionN(torqueNm: number, friction: ThreadFriction): Result<number> {
  const perNewton = torqueByFrictionNm(1, friction)
  if (!perNewton.ok) return perNewton
  return allAboveNought(torqueNm) ? accept(torqueNm / perNewton.value) : refuse(NEEDS)
}

const allAboveNought = (...values: number[]) => values.every(value => value > 0 && Number.isFinite(value))
const NEEDS = 'Every figure of the bolt must be above zero: preload or torque, diameter, pitch, friction.'
