/** Why a mean of tries that spread too far is not judged. */
export const DISAGREE = 'the tries do not agree: measure again'
export const MM = [-2000, 20000] as const
export const DIAL_UM = [-10000, 10000] as const
export const SIZE = [0.01, 20000] as const
