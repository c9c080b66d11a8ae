import { defineStore } from 'pinia'
import { WRITERS, type Role } from '~~/core/job/roles'
import type { DoorAnswer, Person } from '~~/shared/answers'

declare module '#auth-utils' {
  interface User {
    id: string
    name: string
    role: Role
  }
}

/** Who is signed in on this screen, and the changing of it. */
export const useSessionStore = defineStore('session', () => {
  const { user, fetch: refresh } = useUserSession()
  const changing = ref(false)
  const door = shallowRef<DoorAnswer | null>(null)

  const person = computed(() => user.value as Person | null)
  const isLead = computed(() => person.value?.role === 'lead')
  const mayWrite = computed(() => person.value !== null && WRITERS.includes(person.value.role))
  async function lookAtDoor() {
    door.value = await $fetch<DoorAnswer>('/api/sign-in')
  }

  /** Null when the PIN was right, else the sentence that says why not. */
  async function signIn(id: string, pin: string, code: string): Promise<string | null> {
    try {
      await $fetch('/api/sign-in', { method: 'POST', body: { person: id, pin, ...(code ? { code } : {}) } })
      await refresh()
      changing.value = false
      return null
    } catch (error) {
      return sayWhy(error)
    }
  }

  async function signOut() {
    await $fetch('/api/sign-out', { method: 'POST', body: {} })
    await refresh()
    changing.value = false
    await navigateTo('/sign-in')
  }

  return { person, door, changing, isLead, mayWrite, lookAtDoor, signIn, signOut }
})
