import { pressFit, type Pressed } from '../fits/press-fit.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface PressedBush {
  housingBoreMm: number
  bushOutsideMm: number
  bushBoreMm: number
  housingOutsideMm: number
  lengthMm: number
  bushEMPa: number
  bushPoisson: number
  housingEMPa: number
  housingPoisson: number
  friction: number
  /** The shaft that runs in it, and the clearance wanted, on the diameter. */
  shaftMm: number
  wantedClearanceMm: number
}

export interface BushResult extends Pressed {
  interferenceMm: number
  boreAfterMm: number
  clearanceAfterMm: number
  /** The bore to make before pressing, so that the clearance is right afterwards. */
  boreBeforeMm: number
  /** What must come out of this one after pressing; nought or less when it is wide enough. */
  takeOutMm: number
}

/**
 * A bush pressed into a housing: pressure, press force, and how far its bore closes (Lamé, both rings elastic); hence
 * the bore to make before pressing. Closing depends on the bore itself, so that bore is found by repetition.
 * mm, MPa, N. Refused: a bush not larger than its housing, and whatever {@link pressFit} refuses.
 */
export function pressBush(bush: PressedBush): Result<BushResult> {
  const interferenceMm = bush.bushOutsideMm - bush.housingBoreMm
  if (!(interferenceMm > 0))
    return refuse(
      'The bush is not larger than its housing: it would be loose. Measure both again, or take another bush.',
    )
  const withBore = (boreMm: number) =>
    pressFit({
      interferenceMm,
      interfaceMm: bush.housingBoreMm,
      innerBoreMm: boreMm,
      outerMm: bush.housingOutsideMm,
      lengthMm: bush.lengthMm,
      innerEMPa: bush.bushEMPa,
      innerPoisson: bush.bushPoisson,
      outerEMPa: bush.housingEMPa,
      outerPoisson: bush.housingPoisson,
      friction: bush.friction,
    })
  const pressed = withBore(bush.bushBoreMm)
  if (!pressed.ok) return pressed
  const wanted = bush.shaftMm + bush.wantedClearanceMm
  if (!(bush.shaftMm > 0 && bush.wantedClearanceMm >= 0 && wanted < bush.housingBoreMm))
    return refuse('Shaft and clearance must leave a wall of bush inside the housing. Check the shaft.')
  let boreBeforeMm = wanted
  for (let i = 0; i < 20; i++) {
    const tried = withBore(boreBeforeMm)
    if (!tried.ok) return tried
    boreBeforeMm = wanted + tried.value.boreClosureMm
  }
  const boreAfterMm = bush.bushBoreMm - pressed.value.boreClosureMm
  return accept({
    ...pressed.value,
    interferenceMm,
    boreAfterMm,
    clearanceAfterMm: boreAfterMm - bush.shaftMm,
    boreBeforeMm,
    takeOutMm: wanted - boreAfterMm,
  })
}
