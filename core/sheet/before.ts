import type { Step } from './types.ts'

/** Steps that must be done before one of them, itself left out. */
export interface StepsBefore {
  has(step: string): boolean
  readonly size: number
}

type Steps = ReadonlyMap<string, Pick<Step, 'needs'>>

const BITS = 32
/** A bit a step, by its number: a sheet asks this of every pair of its steps, in every variant. */
class StepBits implements StepsBefore {
  readonly words: Uint32Array
  constructor(
    private readonly own: string,
    private readonly numbers: ReadonlyMap<string, number>,
  ) {
    this.words = new Uint32Array(Math.ceil(numbers.size / BITS))
  }
  /** Takes in a step and all that comes before it; whether that was news. */
  take(step: string, before: StepBits | undefined): boolean {
    const at = this.numbers.get(step)!
    const had = this.words[at >>> 5]!
    let isNew = !(had & (1 << (at % BITS)))
    this.words[at >>> 5] = had | (1 << (at % BITS))
    before?.words.forEach((word, i) => {
      isNew ||= (word & ~this.words[i]!) !== 0
      this.words[i]! |= word
    })
    return isNew
  }
  has(step: string): boolean {
    const at = step === this.own ? undefined : this.numbers.get(step)
    return at !== undefined && (this.words[at >>> 5]! & (1 << (at % BITS))) !== 0
  }
  get size(): number {
    return [...this.numbers.keys()].filter(one => this.has(one)).length
  }
}

/** Steps of plans that are there never change: what comes before each is worked out once. */
const KNOWN = new WeakMap<Steps, ReadonlyMap<string, StepBits>>()

function beforeEach(steps: Steps): ReadonlyMap<string, StepBits> {
  const names = new Set([...steps].flatMap(([id, { needs = [] }]) => [id, ...needs]))
  const numbers = new Map([...names].map((id, i) => [id, i]))
  const all = new Map([...steps.keys()].map(id => [id, new StepBits(id, numbers)]))
  // Steps stand in order, so that this is done in two rounds, unless some wait for each other.
  for (let isNews = true; isNews;) {
    isNews = false
    for (const [id, { needs = [] }] of steps)
      for (const need of needs) if (all.get(id)!.take(need, all.get(need))) isNews = true
  }
  return all
}

const NOTHING: StepsBefore = { has: () => false, size: 0 }

/** Every step that must be done before the given one, itself left out; nothing for a step that is not there. */
export function stepsBefore(steps: Steps, id: string): StepsBefore {
  const known = KNOWN.get(steps) ?? beforeEach(steps)
  KNOWN.set(steps, known)
  return known.get(id) ?? NOTHING
}
