import type { Check } from './types.ts'

/**
 * What a sheet refers to: a figure of another check, `check@moment.figure`, or a mass, `mass@step`. The moment may be `last`: as the
 * last job left it. The figure may be a place, or `*` for all of them.
 */
export interface From {
  of: string
  at: string
  figure: string
}

/** As the last job on this machine left it. */
export const LAST = 'last'
/** The figures of all places, or the masses of all parts. */
export const ALL = '*'

/** A reference taken apart; null where it is none. The figure is the check's value unless it is named. */
export function fromOf(text: string): From | null {
  const read = /^([\w-]+)@([\w-]+)(?:\.(\*|[^.*]{1,80}))?$/.exec(text)
  return read ? { of: read[1]!, at: read[2]!, figure: read[3] ?? 'value' } : null
}

/** What a sheet's checks take from the last job on the machine: each figure once. */
export function lastWanted(checks: readonly Check[]): Pick<From, 'of' | 'figure'>[] {
  const wanted = checks.flatMap(({ sum }) =>
    Object.values(sum?.from ?? {}).flatMap(text => {
      const from = fromOf(text)
      return from?.at === LAST ? [from] : []
    }),
  )
  return [...new Map(wanted.map(one => [`${one.of} ${one.figure}`, one])).values()]
}
