import type { OwedKinds } from '../kinds.ts'
import type { Shaped } from '../ledger/shape.ts'

/** What is owed, by what it is about. Two debts are the same when this is. */
export type OwedId = {
  [K in keyof OwedKinds]: { kind: K } & (OwedKinds[K] extends { by: infer F } ? Shaped<F> : never)
}[keyof OwedKinds]
export type OwedKind = OwedId['kind']

/** One text an identity, for maps. Never taken apart again. */
export const keyOf = ({ kind, ...by }: OwedId): string =>
  JSON.stringify([
    kind,
    ...Object.keys(by)
      .sort()
      .map(key => by[key as keyof typeof by]),
  ])
