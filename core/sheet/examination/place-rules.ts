import type { Plan } from '../plan.ts'
import type { Check, CheckPlace } from '../types.ts'

const tablesOf = ({ stations, sum }: Check): CheckPlace[][] => [
  ...(stations ? [stations] : []),
  ...Object.values(sum?.rows ?? {}),
]

/** What is wrong with the places a check is read at, as sentences. */
export const placeRules = ({ sheet }: Plan): string[] =>
  sheet.checks.flatMap(check =>
    tablesOf(check).flatMap(places => {
      const names = places.map(one => one.name)
      const told = new Set(places.flatMap(one => one.of ?? check.of))
      return [
        ...names
          .filter((name, i) => names.indexOf(name) !== i)
          .map(name => `check ${check.id} has the place “${name}” twice`),
        ...places.flatMap(({ name, of = [] }) =>
          of
            .filter(ref => !check.of.includes(ref))
            .map(ref => `check ${check.id} reads ${ref} at “${name}”, which it does not tell of`),
        ),
        ...check.of
          .filter(ref => !told.has(ref))
          .map(ref => `check ${check.id} tells of ${ref}, and no place of it does`),
      ]
    }),
  )
