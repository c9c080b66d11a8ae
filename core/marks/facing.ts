import { accept, refuse, type Result } from '../result.ts'

/** Ways a part stands that have no angle: what is asked, and what goes wrong where the answer is no. */
export const FACING_RULES = {
  'end for end': {
    ask: 'the end that stood toward the drive end stands there again',
    wrong: 'it is turned end for end: its shoulder, oil hole or wear stands at the wrong end',
  },
  'face up': {
    ask: 'the marked face up',
    wrong: 'the part stands on its wrong face: relief, groove or stamp looks away',
  },
  'thick to thin': {
    ask: 'its thick end against the other’s thin end',
    wrong: 'the pair no longer makes up its length, and bears on an edge',
  },
  'notch to pin': {
    ask: 'the notch over its pin',
    wrong: 'the part rides on the pin: it sits cocked, or turns and shears it',
  },
  'hole to oilway': { ask: 'the hole over its oilway', wrong: 'the way is shut: it runs dry' },
  'lip to pressure': {
    ask: 'the lip toward the pressure',
    wrong: 'pressure lifts the lip instead of pressing it: it leaks',
  },
  'chamfer in': { ask: 'the chamfer inward', wrong: 'a sharp edge meets the fillet: it does not seat home' },
} as const
export type FacingRule = keyof typeof FACING_RULES
export const FACING_RULE_NAMES = Object.keys(FACING_RULES) as [FacingRule, ...FacingRule[]]

export const FACING_ANSWERS = ['yes', 'no', 'not looked at'] as const
export type FacingAnswer = (typeof FACING_ANSWERS)[number]

export interface FacedPart {
  part: string
  rule: FacingRule
  stands: FacingAnswer
}
export interface Facing {
  /** Parts that stand the wrong way, each with what goes wrong. */
  wrong: { part: string; rule: FacingRule; consequence: string }[]
  /** Parts nobody has looked at: silence never means right. */
  open: { part: string; rule: FacingRule }[]
}

/**
 * Rules without an angle, answered yes or no for each part: what stands wrong and what that does, and what is still open.
 * Refused: no part, the same question twice.
 */
export function checkFacing(parts: readonly FacedPart[]): Result<Facing> {
  if (!parts.length) return refuse('Say how at least one part stands.')
  const asked = parts.map(({ part, rule }) => `${part.trim().toLowerCase()}\n${rule}`)
  const twice = parts.find((_, i) => asked.indexOf(asked[i]!) !== i)
  if (twice) return refuse(`“${twice.part}” is asked twice about “${twice.rule}”. Leave one answer.`)
  return accept({
    wrong: parts
      .filter(one => one.stands === 'no')
      .map(({ part, rule }) => ({ part, rule, consequence: FACING_RULES[rule].wrong })),
    open: parts.filter(one => one.stands === 'not looked at').map(({ part, rule }) => ({ part, rule })),
  })
}
