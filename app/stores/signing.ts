import { defineStore } from 'pinia'
import type { SignedLine } from '~~/core/job'
import type { SignedInPerson } from '~~/shared/answers'

/** Something to be signed: what it is, who may, and the signing itself. */
export interface ToSign {
  title: string
  /** What it is signed for, line by line, where that wants to be read. */
  list?: SignedLine[]
  /** Whether it is for somebody like them to sign, by role or paper. */
  isFor: (who: SignedInPerson) => boolean
  /** Why somebody may not sign it; null when they may. */
  refuses: (who: SignedInPerson) => string | null
  /** Signs it as them; null when it is done, else the sentence that says why not. */
  sign: (who: SignedInPerson, pin: string) => Promise<string | null>
}

/** The one place that asks who signs, and for their PIN, whoever this device is signed in for. The PIN is kept nowhere. */
export const useSigningStore = defineStore('signing', () => {
  const asked = shallowRef<ToSign | null>(null)
  let settle: (isSigned: boolean) => void = () => {}

  /** Whether it was signed, or left. */
  function ask(what: ToSign): Promise<boolean> {
    settle(false)
    asked.value = what
    return new Promise(resolve => {
      settle = resolve
    })
  }
  function end(isSigned: boolean) {
    asked.value = null
    settle(isSigned)
    settle = () => {}
  }
  return { asked, ask, end }
})
