import { v7 as uuid } from 'uuid'

const KEY = 'needler-tablet'
let own: string | null = null

/** The number of this tablet, made once and kept on it: entries made here have seen each other. */
export function thisTablet(): string {
  own ??= localStorage.getItem(KEY)
  if (own === null) {
    own = uuid()
    localStorage.setItem(KEY, own)
  }
  return own
}
