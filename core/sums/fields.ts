import type { Row } from '../gauging/row.ts'
import type { UnitName } from '../quantity/index.ts'

/** What a sum takes, as data: the screen draws its fields from it, the wire its schema, the compiler its types. */
interface Common {
  label: string
  help?: string
  optional?: true
  /** May be left out on the wire, where another field says it; on a screen it is asked for like any other. */
  asked?: true
  fallback?: unknown
  /** A limit on what other fields give: where it is typed and one of them is not, the sum is Open and says which. */
  of?: readonly string[]
  /** The maker's own limit on what is asked for: a build sheet fills it with its check's. */
  maker?: 'min' | 'max'
  /** Asked for only while another field says one of these. */
  only?: readonly [key: string, ...choices: string[]]
}
export interface NumberField extends Common {
  type: 'number'
  /** The unit the figure is held in; what a bare number means. */
  unit: UnitName
  /** Believable span, in that unit. Outside it a figure is challenged. */
  span: readonly [number, number]
  whole?: true
  /** A place that may also be written as on a clock (`2:30`), held in hours or in degrees clockwise from top. */
  clock?: 'hours' | 'degrees'
  /** Pressures that count from one side only. */
  reference?: 'gauge' | 'absolute'
  /** The unit it is read and shown in at the bench, where it is held in another. */
  shown?: UnitName
  /** How one try of it is read; one figure where it is left out. */
  row?: Row
}
export interface ListField extends Common {
  type: 'list'
  /** Ticked square by square on the part itself, not typed. */
  ticked?: true
  unit: UnitName
  span: readonly [number, number]
  least: number
  most: number
}
export interface ChoiceField<C extends string = string> extends Common {
  type: 'choice'
  choices: readonly C[]
}
export interface ManyField<C extends string = string> extends Common {
  type: 'many'
  choices: readonly C[]
}
export interface FlagField extends Common {
  type: 'flag'
}
export interface TextField extends Common {
  type: 'text'
  most: number
}
export interface RowsField<C extends Fields = Fields> extends Common {
  type: 'rows'
  columns: C
  least: number
  most: number
}
export type Field = NumberField | ListField | ChoiceField | ManyField | FlagField | TextField | RowsField
// A mapped type cannot be recursive through an interface without `any` widening; Field itself closes the loop.
export type Fields = { [key: string]: Field }

type ValueOf<F> = F extends { type: 'number' }
  ? number
  : F extends { type: 'list' }
    ? number[]
    : F extends { type: 'choice'; choices: readonly (infer C)[] }
      ? C
      : F extends { type: 'many'; choices: readonly (infer C)[] }
        ? C[]
        : F extends { type: 'flag' }
          ? boolean
          : F extends { type: 'text' }
            ? string
            : F extends { type: 'rows'; columns: infer C }
              ? Input<C>[]
              : never

type OptionalKeys<F> = { [K in keyof F]: F[K] extends { optional: true } ? K : never }[keyof F]

/** The input of a sum, as its fields describe it. */
export type Input<F> = { [K in Exclude<keyof F, OptionalKeys<F>>]: ValueOf<F[K]> } & {
  [K in OptionalKeys<F>]?: ValueOf<F[K]>
}

type Span = readonly [number, number]
export const number = (label: string, unit: UnitName, span: Span, help?: string): NumberField => ({
  type: 'number',
  label,
  unit,
  span,
  help,
})
/** Takes a place as on a clock, too. */
export const clocked = (field: NumberField, clock: 'hours' | 'degrees'): NumberField => ({ ...field, clock })
/** A pressure counted from vacuum, MPa. */
export const absolute = (label: string, span: Span): NumberField => ({
  type: 'number',
  label,
  unit: 'MPa',
  span,
  reference: 'absolute',
})
export const whole = (label: string, span: Span, help?: string): NumberField => ({
  type: 'number',
  label,
  unit: 'pcs',
  span,
  whole: true,
  help,
})
export const list = (label: string, unit: UnitName, span: Span, [least, most]: Span, help?: string): ListField => ({
  type: 'list',
  label,
  unit,
  span,
  least,
  most,
  help,
})
export const choice = <const C extends string>(
  label: string,
  choices: readonly C[],
  help?: string,
): ChoiceField<C> => ({ type: 'choice', label, choices, help })
export const many = <const C extends string>(label: string, choices: readonly C[], help?: string): ManyField<C> => ({
  type: 'many',
  label,
  choices,
  help,
})
export const flag = (label: string, help?: string): FlagField & { fallback: boolean } => ({
  type: 'flag',
  label,
  fallback: false,
  help,
})
export const text = (label: string, most = 60, help?: string): TextField => ({ type: 'text', label, most, help })
export const rows = <C extends Fields>(
  label: string,
  columns: C,
  [least, most]: Span,
  help?: string,
): RowsField<C> => ({ type: 'rows', label, columns, least, most, help })
/** Ticked square by square on the part itself. */
export const ticked = (field: ListField): ListField => ({ ...field, ticked: true })
/** May be left out. */
export const optional = <F extends Field>(field: F): F & { optional: true } => ({ ...field, optional: true })
/** May be left out; a limit on what the fields `keys` give, and not to be judged without them. */
export const limitOf = <F extends Field>(field: F, ...keys: string[]): F & { optional: true } =>
  optional({ ...field, of: keys })
/** The limit a build sheet's check gives. */
export const maker = <F extends Field>(end: 'min' | 'max', field: F): F & { optional: true } =>
  optional({ ...field, maker: end })
/** Has this value where it is left out. */
export const fallback = <F extends Field>(field: F, value: unknown): F => ({ ...field, fallback: value })
/** Asked for only while the field `key` says one of the choices; otherwise it may be left out. */
export const only = <F extends Field>(field: F, key: string, ...choices: string[]): F & { optional: true } =>
  optional({ ...field, only: [key, ...choices] as const })
/** One of several ways to say the same: left out where another is given. */
export const oneWay = <F extends Field>(field: F): F & { optional: true } =>
  optional({ ...field, asked: true as const })
