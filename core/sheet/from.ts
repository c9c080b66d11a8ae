/** What a sheet refers to: a figure of another check, `check@moment.figure`, or a mass, `mass@step`. */
export interface From {
  of: string
  at: string
  figure: string
}

/** A reference taken apart; null where it is none. The figure is the check's value unless it is named. */
export function fromOf(text: string): From | null {
  const read = /^([\w-]+)@([\w-]+)(?:\.(\w+))?$/.exec(text)
  return read ? { of: read[1]!, at: read[2]!, figure: read[3] ?? 'value' } : null
}
