import type { LabelsAnswer } from '~~/shared/answers'

/** Numbers for tags and bags that the server gave this device alone: used in order, with the network or without. */
const KEY = 'needler-labels'
/** Fewer left than this, and more are asked for. */
const LOW = 30
const ASKED = 40

const isNumber = (one: unknown): one is number => typeof one === 'number'

function kept(): number[] {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(read) ? read.filter(isNumber) : []
  } catch {
    return []
  }
}
const keep = (numbers: number[]) => localStorage.setItem(KEY, JSON.stringify(numbers))

let asking: Promise<void> | null = null

/** Asks for more numbers when few are left. Without the network the device goes on with what it has. */
export function fillLabels(): Promise<void> {
  if (kept().length >= LOW) return Promise.resolve()
  asking ??= $fetch<LabelsAnswer>('/api/labels', { method: 'POST', body: { count: ASKED } })
    .then(({ numbers }) => keep([...kept(), ...numbers]))
    .catch(() => {})
    .finally(() => {
      asking = null
    })
  return asking
}

/** The next number, which nobody else has; null when the reserve is used up, and one is to be written by hand. */
export function takeLabel(): number | null {
  const [first, ...rest] = kept()
  if (first === undefined) return null
  keep(rest)
  void fillLabels()
  return first
}
