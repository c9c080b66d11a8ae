export const MM = [0.01, 2000] as const
