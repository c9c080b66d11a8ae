import { defineStore } from 'pinia'
import { WRITERS, type Role } from '~~/core/job/ledger/roles'
import type { DoorAnswer, Person, SignedInPerson } from '~~/shared/answers'
import type { SignedIn } from '~/bench/outbox'
import { askOrKept, forgetAnswers } from '~/device/answers'
import { deviceClock } from '~/bench/clock'

declare module '#auth-utils' {
  interface User {
    id: string
    name: string
    role: Role
  }
}

/** Who is at this device, as it remembers them through a reload. */
interface AtDevice {
  /** Signed in with a PIN, as the server last said. */
  signedIn: SignedInPerson | null
  since: string
  /** Who stands at the bench; changed without the network, nobody has asked for their PIN. */
  standing: (Person & Partial<SignedInPerson>) | null
  verified: boolean
}
const NOBODY: AtDevice = { signedIn: null, since: '', standing: null, verified: true }

/** Who stands at this screen, whether their PIN was asked for, and the changing of it. */
export const useSessionStore = defineStore('session', () => {
  const { user, session: answer, ready, fetch: refresh } = useUserSession()
  const at = useLocalStorage<AtDevice>('needler-at-device', NOBODY, { mergeDefaults: true })
  const changing = ref(false)
  /** Whoever is here changes their own PIN. */
  const choosing = ref(false)
  /** Whose name is chosen already when somebody else is to sign in. */
  const meant = ref<string | null>(null)
  const door = shallowRef<DoorAnswer | null>(null)
  /** Whether the server answered when it was last asked. */
  const reached = ref(true)

  const person = computed(() => at.value.standing)
  const verified = computed(() => at.value.verified)
  const signedIn = computed((): SignedIn | null =>
    at.value.signedIn ? { id: at.value.signedIn.id, since: at.value.since } : null,
  )
  /** Whether the places may be entered: somebody is signed in, or stands here while the server cannot be asked. */
  const isIn = computed(() => (reached.value ? at.value.signedIn : at.value.standing) !== null)
  const isLead = computed(() => person.value?.role === 'lead')
  /** What they may sign for beside their role. */
  const papers = computed(() => at.value.standing?.competences ?? [])
  const mayWrite = computed(() => person.value !== null && WRITERS.includes(person.value.role))

  /** Asks the server who is signed in. Without it, who stood here goes on. */
  async function ask(): Promise<void> {
    await refresh()
    settle()
  }
  let started: Promise<void> | undefined
  /** The same, once, at the start: the server may have been asked already. */
  const start = () => (started ??= ready.value ? Promise.resolve(settle()) : ask())

  function settle() {
    reached.value = answer.value !== null
    if (!reached.value) return
    const told = user.value as SignedInPerson | null
    // With a PIN that somebody else knows one is not in yet.
    const now = told?.pinIsOwn ? told : null
    const { standing, verified: isVerified, signedIn: before, since } = at.value
    at.value = {
      signedIn: now,
      since: now?.id === before?.id ? since : deviceClock.now(),
      // Who stands here without a PIN goes on standing; so does who was signed in too long ago.
      standing: now && isVerified ? now : standing,
      verified: now !== null && isVerified,
    }
  }

  async function lookAtDoor() {
    const { value, keptAt } = await askOrKept<DoorAnswer>('/api/sign-in')
    door.value = value
    reached.value = keptAt === null
  }

  /** Who came in with the PIN; else the sentence that says why not, and whether a code from a lead would help. */
  async function signIn(
    id: string,
    pin: string,
    admission: string,
  ): Promise<{ who: SignedInPerson } | { who: null; why: string; admits: boolean }> {
    try {
      const body = { person: id, pin, ...(admission ? { admission } : {}) }
      const who = await $fetch<SignedInPerson>('/api/sign-in', { method: 'POST', body })
      await refresh()
      reached.value = true
      // Until they have chosen their own, nobody is signed in here: whoever was before is not, either.
      if (who.pinIsOwn) cameIn(who)
      else settle()
      return { who }
    } catch (error) {
      const { data } = error as { data?: { data?: { admits?: boolean } } }
      return { who: null, why: sayWhy(error), admits: data?.data?.admits === true }
    }
  }

  /** Somebody is in from now on, with a PIN of their own. */
  function cameIn(who: SignedInPerson) {
    choosing.value = false
    at.value = { signedIn: who, since: deviceClock.now(), standing: who, verified: true }
    changing.value = false
  }

  /** Gives the site's code, once on a device; null when it was right. */
  async function giveCode(code: string): Promise<string | null> {
    try {
      await $fetch('/api/sign-in/code', { method: 'POST', body: { code } })
      await lookAtDoor()
      return null
    } catch (error) {
      return sayWhy(error)
    }
  }

  /** Somebody else stands at the bench while no PIN can be asked for: what they do waits for it. */
  function standIn(who: Person) {
    at.value = { ...at.value, standing: who, verified: false }
    changing.value = false
  }

  async function signOut() {
    await $fetch('/api/sign-out', { method: 'POST', body: {} })
    at.value = NOBODY
    await forgetAnswers().catch(() => {})
    await refresh()
    changing.value = false
    await navigateTo('/sign-in')
  }

  return {
    person,
    verified,
    signedIn,
    door,
    changing,
    choosing,
    meant,
    reached,
    isIn,
    isLead,
    papers,
    mayWrite,
    start,
    ask,
    lookAtDoor,
    signIn,
    cameIn,
    giveCode,
    standIn,
    signOut,
  }
})
