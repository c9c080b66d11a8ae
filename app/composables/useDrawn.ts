import type { Answer } from '~~/core/sums'
// Not by the table of sums: a joint on the bench is drawn too, and must not load every sum for it.
import { verdictOf } from '~~/core/sums/define'

export interface Drawn {
  input: Record<string, unknown>
  answer: Answer
}

/** What a drawing is made from: the figures given, the figures got, and the verdict's class. */
export function useDrawn(props: Drawn) {
  const given = (key: string) => Number(props.input[key] ?? Number.NaN)
  const got = (key: string) => Number(props.answer.figures.find(one => one.key === key)?.value ?? Number.NaN)
  const more = <T>(key: string) => props.answer.more?.[key] as T
  const tone = computed(() => (verdictOf(props.answer) ?? 'none').toLowerCase())
  const { system } = useDisplay()
  const say = (value: number, unit: string, decimals: number) => {
    const shown = showFigureOf({ value, unit, decimals }, system.value)
    return `${shown.figure} ${shown.unit}`.trim()
  }
  return { given, got, more, tone, say }
}

/** A straight scale from values to places on the drawing, with a little room at both ends. */
export function scaleOf(values: readonly number[], from: number, to: number, room = 0.08): (value: number) => number {
  const finite = values.filter(Number.isFinite)
  const [low, high] = [Math.min(...finite), Math.max(...finite)]
  const width = high - low || Math.abs(high) || 1
  return value => from + ((value - low + width * room) / (width * (1 + 2 * room))) * (to - from)
}
