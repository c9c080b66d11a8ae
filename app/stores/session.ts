import { defineStore } from 'pinia'
import type { Role } from '~~/core/job'

export interface Person {
  id: string
  name: string
  role: Role
}

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
  const people = shallowRef<Person[]>([])

  const person = computed(() => user.value as Person | null)
  const isLead = computed(() => person.value?.role === 'lead')
  const mayWrite = computed(() => person.value !== null && person.value.role !== 'reader')

  async function loadPeople() {
    people.value = await $fetch<Person[]>('/api/sign-in')
  }

  /** Null when the PIN was right, else the sentence that says why not. */
  async function signIn(id: string, pin: string): Promise<string | null> {
    try {
      await $fetch('/api/sign-in', { method: 'POST', body: { person: id, pin } })
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
    await navigateTo('/sign-in')
  }

  return { person, people, changing, isLead, mayWrite, loadPeople, signIn, signOut }
})
