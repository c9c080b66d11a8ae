import type { Plan } from '../../sheet/index.ts'
import { keeping, type JobState } from './state.ts'

/** What something is worked out of: a job by its plan, and whatever else it rests on. */
interface Scene {
  plan: Plan
  state: JobState
}

/** A part of a state as it was when it was looked at last, and how often it has become another by then. */
interface Seen {
  kept: unknown
  turn: number
}
/** What was worked out, and what of the state that rests on: the name of each part, and its turn. */
interface Made<T> {
  value: T
  rests: [part: string, turn: number][]
}
interface Memory<T> {
  seen: Map<string, Seen>
  made: (Made<T> | undefined)[]
}

/** What lies in maps and lists is only ever replaced: they are alike where the same things lie in them, in the same order. */
function isAlike(kept: unknown, now: unknown): boolean {
  if (kept === now) return true
  if (kept instanceof Map && now instanceof Map) {
    if (kept.size !== now.size) return false
    const entries = now.entries()
    for (const [key, value] of kept) {
      const [otherKey, other] = entries.next().value as [unknown, unknown]
      if (key !== otherKey || value !== other) return false
    }
    return true
  }
  return (
    Array.isArray(kept) &&
    Array.isArray(now) &&
    kept.length === now.length &&
    kept.every((value, i) => value === now[i])
  )
}

function look({ seen }: Memory<unknown>, { plan: _, state, ...more }: Scene): void {
  const kept = keeping(state)
  for (const [part, now] of Object.entries({ ...state, ...more })) {
    const before = seen.get(part)
    if (before && isAlike(before.kept, now)) continue
    seen.set(part, { kept: kept(now), turn: (before?.turn ?? 0) + 1 })
  }
}

/** The same thing, and it is noted what of it is looked at. */
const noted = <O extends object>(thing: O, parts: Set<string>): O =>
  new Proxy(thing, {
    get: (of, part, itself) => {
      if (typeof part === 'string') parts.add(part)
      return Reflect.get(of, part, itself) as unknown
    },
  })

/** The same scene, and it is noted what of it is looked at; the plan is another scene's. */
const noting = <S extends Scene>({ plan, state, ...more }: S, parts: Set<string>): S =>
  Object.assign(noted(more, parts), { plan, state: noted(state, parts) }) as unknown as S

/**
 * Works several things out of a scene, each of them anew only once something that it looked at the last time has become
 * another. They look at nothing but the scene, and at the state through it alone; what they give is not changed by anybody.
 */
export function remembering<S extends Scene, T>(works: readonly ((scene: S) => T)[]): (scene: S) => T[] {
  const memories = new WeakMap<Plan, Memory<T>>()
  return scene => {
    const memory = memories.get(scene.plan) ?? { seen: new Map<string, Seen>(), made: [] }
    memories.set(scene.plan, memory)
    look(memory, scene)
    const turnOf = (part: string) => memory.seen.get(part)?.turn ?? 0
    return works.map((work, i) => {
      const before = memory.made[i]
      if (before?.rests.every(([part, turn]) => turnOf(part) === turn)) return before.value
      const parts = new Set<string>()
      const value = work(noting(scene, parts))
      memory.made[i] = { value, rests: [...parts].map(part => [part, turnOf(part)]) }
      return value
    })
  }
}
