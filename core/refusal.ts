/** What fills the sentence of a refusal: names as people know them, and figures. */
type Values = Readonly<Record<string, string | number>>

/** Why something is not done: a code for programs, and what fills its sentence for people. */
export interface Refusal {
  readonly code: string
  readonly values: Values
  /** What else stands in the way, of the same sort. */
  readonly and?: readonly Refusal[]
}

/** A sentence as its room writes it. `lead` is said once before several of its kind: “X cannot be done yet.” */
interface Sentence<V> {
  lead?: (values: V) => string
  say: (values: V) => string
}
type Written<V> = ((values: V) => string) | Sentence<V>

/** Every refusal by its code: screen, server and shell make their sentences from it. */
const TABLE = new Map<string, Sentence<never>>()

/** Makes a refusal of one code from what fills its sentence; nothing where nothing does. */
type Maker<W> = [W] extends [Written<infer V>] ? (...values: unknown extends V ? [] : [values: V]) => Refusal : never

/**
 * Writes the refusals of one thing into the table, each under `about.name`.
 * @returns for each name what makes such a refusal
 */
export function refusalsAbout<const T extends Record<string, Written<never>>>(
  about: string,
  sentences: T,
): { [K in keyof T]: Maker<T[K]> } {
  const makers = Object.entries(sentences).map(([name, written]) => {
    const code = `${about}.${name}`
    if (TABLE.has(code)) throw new Error(`The refusal ${code} is written twice.`)
    TABLE.set(code, typeof written === 'function' ? { say: written } : written)
    return [name, (values: Values = {}): Refusal => ({ code, values })]
  })
  return Object.fromEntries(makers) as { [K in keyof T]: Maker<T[K]> }
}

const closed = (words: string) => (/[.)!?]$/.test(words) ? words : `${words}.`)
/** More than this is not read; what comes after is met when these are settled. */
const AT_ONCE = 4

/** A refusal as a sentence, with what else stands in the way: what they begin with alike is said once. */
export function sentenceOf(refusal: Refusal): string {
  const said = new Set<string>()
  const words = [refusal, ...(refusal.and ?? [])].slice(0, AT_ONCE).flatMap(({ code, values }) => {
    const sentence = TABLE.get(code)
    // One that a newer server sends is still told apart from none.
    if (!sentence) return [`This is not possible now (${code}). Reload the page; it may be a newer version`]
    const lead = sentence.lead?.(values as never)
    const isNew = lead !== undefined && !said.has(lead)
    if (isNew) said.add(lead)
    return [...(isNew ? [lead] : []), sentence.say(values as never)]
  })
  return words.map(closed).join(' ')
}

/** Several refusals as one: the first, and what stands in the way beside it; null where there is none. */
export function together([first, ...more]: readonly Refusal[]): Refusal | null {
  if (!first) return null
  return more.length ? { ...first, and: more } : first
}
