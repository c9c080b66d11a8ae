import type { ShelfSheet } from '../types.ts'
import { COLLECTIONS } from './frame.ts'
import { meant } from './shape.ts'

/** What hangs on an axis that is none, or on a choice it has not: it would be left out of every machine without a word. */
export function hangingFaults(sheet: ShelfSheet): string[] {
  const choices = new Map(sheet.axes.map(axis => [axis.id, axis.choices.map(one => one.id)]))
  const found: string[] = []
  const wants = (where: string, axis: string, choice: string) => {
    const known = choices.get(axis)!
    if (!known.includes(choice))
      found.push(
        `${where} hangs on ${axis} being “${choice}”${meant(choice, known) || `, which is none of: ${known.join(', ')}`}`,
      )
  }
  const look = (value: unknown, where: string): void => {
    if (Array.isArray(value)) for (const one of value) look(one, where)
    else if (typeof value === 'object' && value !== null) {
      const { by, of, when } = value as { by?: unknown; of?: unknown; when?: unknown }
      if (typeof by === 'string' && choices.has(by) && typeof of === 'object')
        for (const choice of Object.keys(of ?? {})) wants(where, by, choice)
      for (const [axis, some] of Object.entries(when ?? {}))
        if (!choices.has(axis))
          found.push(`${where} hangs on ${axis}, which is no axis${meant(axis, [...choices.keys()])}`)
        else for (const choice of [some].flat()) wants(where, axis, String(choice))
      for (const one of Object.values(value)) look(one, where)
    }
  }
  for (const [word, key] of Object.entries(COLLECTIONS))
    for (const item of sheet[key] ?? []) look(item, `${word} ${item.id}`)
  look(sheet.service, 'service')
  return found
}
