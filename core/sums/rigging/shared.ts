import { slingAngleVerdict } from '../../rigging/index.ts'
import { follows, holdAgainst, type Held } from '../../verdict.ts'

export const PLAN =
  'Lifting is planned by a competent person under the site’s rules. This sum does not replace the plan.'
/** From 45° on it is Thin, 45° itself counted in; the share of the allowance goes to 60°. */
export function angleHeld(deg: number): Held {
  const verdict = slingAngleVerdict(deg)
  return {
    ...holdAgainst(deg, { max: 60 }, 'general rule: over 60° from the vertical never'),
    verdict,
    ...follows(verdict, 'the legs pull together more than they lift'),
  }
}
