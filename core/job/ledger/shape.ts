/** What a payload carries, as data: the wire's schema is made from it, and the compiler's type. */
export type Shape =
  /** A name in the build sheet. */
  | { is: 'id' }
  /** The number of an entry of this ledger. */
  | { is: 'entry' }
  | { is: 'words'; most: number; empty?: true }
  /** `over`: more than this, not equal to it. */
  | { is: 'number'; least?: number; most?: number; over?: number; whole?: true }
  | { is: 'flag' }
  | { is: 'choice'; of: readonly string[] }
  | { is: 'list'; of: Shape; least?: number; most: number }
  | { is: 'record'; of: Fields }
  /** Names to names, as variants are. */
  | { is: 'names' }
  /** Whatever the kind it stands for carries; held against that kind where it is known. */
  | { is: 'payload' }

export type Fields = { readonly [key: string]: Shape & { optional?: true } }

type ValueOf<S> = S extends { is: 'id' | 'entry' | 'words' }
  ? string
  : S extends { is: 'number' }
    ? number
    : S extends { is: 'flag' }
      ? boolean
      : S extends { is: 'choice'; of: readonly (infer C)[] }
        ? C
        : S extends { is: 'list'; of: infer One }
          ? readonly ValueOf<One>[]
          : S extends { is: 'record'; of: infer F }
            ? Shaped<F>
            : S extends { is: 'names' }
              ? Record<string, string>
              : object

type OptionalKeys<F> = { [K in keyof F]: F[K] extends { optional: true } ? K : never }[keyof F]

/** The type of what a shape describes. */
export type Shaped<F> = { -readonly [K in Exclude<keyof F, OptionalKeys<F>>]: ValueOf<F[K]> } & {
  -readonly [K in OptionalKeys<F>]?: ValueOf<F[K]>
}

export const id = { is: 'id' } as const
export const entryId = { is: 'entry' } as const
export const flag = { is: 'flag' } as const
export const names = { is: 'names' } as const
export const payload = { is: 'payload' } as const
export const words = <const N extends number>(most: N) => ({ is: 'words', most }) as const
export const why = words(400)
/** Part-places, at least one. */
export const refs = { is: 'list', of: id, least: 1, most: 100 } as const
export const degrees = { is: 'number', least: 0, most: 360 } as const
/** Where a mark lies or stands, by the rule of its mate. */
export const lying = {
  /** An angle: clockwise from top, seen from the end the mark is made from. */
  deg: { ...degrees, optional: true },
  /** A distance from its datum, with what was typed. */
  mm: { is: 'number', optional: true },
  text: { ...words(40), optional: true },
  /** What is read where the parts meet. */
  label: { ...words(40), optional: true },
  /** Punch dots: as they were made, the same number on both sides; as they meet, those of the first part and of the second. */
  dots: { is: 'list', of: { is: 'number', whole: true, least: 0, most: 9 }, least: 2, most: 2, optional: true },
} as const
export const choice = <const C extends readonly string[]>(of: C) => ({ is: 'choice', of }) as const
export const list = <const S extends Shape>(of: S, most: number) => ({ is: 'list', of, most }) as const
export const record = <const F extends Fields>(of: F) => ({ is: 'record', of }) as const
export const optional = <const S extends Shape>(shape: S) => ({ ...shape, optional: true }) as const
