import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import {
  emptyFold,
  extend,
  refusalOf,
  viewJob,
  type AnyEntry,
  type EntryKind,
  type Folded,
  type Payloads,
} from '~~/core/job'
import { planFor, type Plan, type Sheet } from '~~/core/sheet'
import type { Person } from './session'

export type Act = { [K in EntryKind]: { kind: K; payload: Payloads[K] } }[EntryKind]

/** Acts done together and sent together: all are kept, or none. */
interface Batch {
  entries: AnyEntry[]
  refused: string | null
}

interface JobAnswer {
  job: { id: string; number: number; equipmentTag: string; signedAt: string | null }
  equipment: { tag: string; name: string; line: string; hoursRun: number }
  sheet: Sheet
  entries: AnyEntry[]
  people: Person[]
}

/**
 * One job on this screen: its plan, its ledger, and what waits to be sent. An act shows at once; the server is asked
 * afterwards and its order is the order. What waits outlives a reload.
 */
export const useJobStore = defineStore('job', () => {
  const session = useSessionStore()
  const about = shallowRef<Omit<JobAnswer, 'entries' | 'sheet'> | null>(null)
  const plan = shallowRef<Plan | null>(null)
  const confirmed = shallowRef<Folded>(emptyFold())
  const outbox = ref<Batch[]>([])
  const reached = ref(true)
  let stream: EventSource | null = null
  let sending = false

  const waiting = computed(() => outbox.value.filter(batch => !batch.refused))
  const refused = computed(() => outbox.value.filter(batch => batch.refused))
  const folded = computed(() =>
    plan.value
      ? extend(
          plan.value,
          confirmed.value,
          waiting.value.flatMap(batch => batch.entries),
        )
      : confirmed.value,
  )
  const state = computed(() => folded.value.state)
  const view = computed(() => (plan.value ? viewJob(plan.value, state.value) : null))
  const names = computed(() => new Map(about.value?.people.map(one => [one.id, one.name]) ?? []))
  const lastSeq = () => confirmed.value.entries.at(-1)?.seq ?? 0

  const storageKey = () => `needler-outbox-${about.value?.job.id}`
  const keepOutbox = () => {
    if (outbox.value.length) localStorage.setItem(storageKey(), JSON.stringify(outbox.value))
    else localStorage.removeItem(storageKey())
  }

  function take(fresh: AnyEntry[]) {
    if (!plan.value) return
    const known = new Set(confirmed.value.entries.map(one => one.id))
    const more = fresh.filter(one => !known.has(one.id))
    const landed = new Set([...known, ...more.map(one => one.id)])
    outbox.value = outbox.value.filter(batch => !batch.entries.every(one => landed.has(one.id)))
    keepOutbox()
    if (more.length) confirmed.value = extend(plan.value, confirmed.value, more)
  }

  async function catchUp() {
    if (!about.value) return
    take(await $fetch<AnyEntry[]>(`/api/jobs/${about.value.job.id}/entries`, { query: { after: lastSeq() } }))
  }

  async function open(id: string) {
    close()
    const { sheet, entries, ...rest } = await $fetch<JobAnswer>(`/api/jobs/${id}`)
    about.value = rest
    const opened = entries.find(one => one.kind === 'job.opened') as { payload: Payloads['job.opened'] } | undefined
    plan.value = markRaw(planFor(sheet, opened?.payload.variants ?? {}))
    confirmed.value = extend(plan.value, emptyFold(), entries)
    outbox.value = JSON.parse(localStorage.getItem(storageKey()) ?? '[]')
    take(entries)
    listen(id)
    void flush()
  }

  function listen(id: string) {
    stream = new EventSource(`/api/jobs/${id}/stream`)
    stream.onmessage = ({ data }) => {
      reached.value = true
      if (Number(data) > lastSeq())
        void catchUp().catch(() => {
          reached.value = false
        })
    }
    stream.onopen = () => {
      reached.value = true
      void flush()
    }
    stream.onerror = () => {
      reached.value = false
    }
  }

  function close() {
    stream?.close()
    stream = null
    about.value = null
    plan.value = null
    confirmed.value = emptyFold()
    outbox.value = []
  }

  /** Does acts together. Null when they are taken, else the sentence that refuses them; nothing typed is lost by it. */
  function act(...acts: Act[]): string | null {
    const person = session.person
    if (!plan.value || !person) return 'Sign in first.'
    if (!session.mayWrite) return 'Your role only looks. Ask a fitter or a lead to do it.'
    let ahead = folded.value
    const entries: AnyEntry[] = []
    const madeAt = new Date().toISOString()
    for (const one of acts) {
      const entry = { id: uuid(), ...one, madeBy: person.id, role: person.role, madeAt, seq: null } as AnyEntry
      const why = refusalOf(plan.value, ahead, entry)
      if (why) return why
      ahead = extend(plan.value, ahead, [entry])
      entries.push(entry)
    }
    outbox.value = [...outbox.value, { entries, refused: null }]
    keepOutbox()
    void flush()
    return null
  }

  /** Sends what waits, in order. What another person did on this screen waits until they are signed in again. */
  async function flush(): Promise<void> {
    if (sending || !about.value) return
    sending = true
    try {
      for (;;) {
        const batch = waiting.value[0]
        if (!batch || batch.entries[0]!.madeBy !== session.person?.id) return
        const body = batch.entries.map(({ id, kind, payload, madeAt }) => ({ id, kind, payload, madeAt }))
        const answer = await $fetch<{ entries: { id: string; seq: number }[] }>(
          `/api/jobs/${about.value.job.id}/entries`,
          { method: 'POST', body },
        )
        reached.value = true
        const seqs = new Map(answer.entries.map(one => [one.id, one.seq]))
        const kept = batch.entries.map(one => ({ ...one, seq: seqs.get(one.id)! }))
        // Between our last entry and these another screen may have written: then the server's list is the order.
        if (kept[0]!.seq === lastSeq() + 1) take(kept)
        else await catchUp()
      }
    } catch (error) {
      const status = (error as { statusCode?: number }).statusCode
      if (status && status >= 400 && status < 500 && status !== 401 && status !== 429) {
        const batch = waiting.value[0]!
        outbox.value = outbox.value.map(one => (one === batch ? { ...one, refused: sayWhy(error) } : one))
        keepOutbox()
        await catchUp().catch(() => {})
      } else {
        reached.value = false
        if (status === 401) session.changing = true
        else setTimeout(() => void flush(), 3000)
      }
    } finally {
      sending = false
    }
    if (waiting.value.length && reached.value) void flush()
  }

  /** Puts a refused batch aside once it has been read. */
  function dismiss(batch: Batch) {
    outbox.value = outbox.value.filter(one => one !== batch)
    keepOutbox()
  }

  watch(
    () => session.person?.id,
    () => void flush(),
  )

  return { about, plan, folded, state, view, names, waiting, refused, reached, open, close, act, dismiss }
})
