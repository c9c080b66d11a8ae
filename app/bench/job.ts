import { v7 as uuid } from 'uuid'
import {
  emptyFold,
  extend,
  isClosed,
  isKind,
  lastAct,
  refusalOf,
  viewJob,
  type Act,
  type AnyEntry,
  type Folded,
} from '~~/core/job'
import { planFor } from '~~/core/sheet'
import type { AppendAnswer, JobAnswer } from '~~/shared/answers'
import * as boxes from './outbox'
import type { Batch, Outbox } from './outbox'
import { deviceClock } from './clock'
import { listenTo } from './stream'

/** The address, the plate and the names of a job. */
export type JobAbout = Omit<JobAnswer, 'entries' | 'sheet'>

/**
 * One job on this screen: its plan, its ledger, and what waits to be sent. An act shows at once; the server is asked
 * afterwards and its order is the order. What waits outlives a reload. It lives until it is closed.
 */
export function createJob(answer: JobAnswer) {
  const session = useSessionStore()
  const { sheet, entries: first, ...about } = answer
  const { id } = about.job
  const opened = first.find(one => isKind(one, 'job.opened'))
  const plan = markRaw(planFor(sheet, opened && isKind(opened, 'job.opened') ? opened.payload.variants : {}))
  const names = new Map(about.people.map(one => [one.id, one.name]))
  const confirmed = shallowRef<Folded>(extend(plan, emptyFold(), first))
  const { outbox, damaged, keep } = keptOutbox(id)
  const reached = ref(true)
  let isSending = false
  let isOver = false

  const waiting = computed(() => boxes.waiting(outbox.value))
  const refused = computed(() => boxes.refused(outbox.value))
  const folded = computed(() =>
    extend(
      plan,
      confirmed.value,
      waiting.value.flatMap(batch => batch.entries),
    ),
  )
  const state = computed(() => folded.value.state)
  const view = computed(() => viewJob(plan, state.value))
  const lastSeq = () => confirmed.value.entries.at(-1)?.seq ?? 0

  function take(fresh: AnyEntry[]) {
    const known = new Set(confirmed.value.entries.map(one => one.id))
    const more = fresh.filter(one => !known.has(one.id))
    keep(boxes.landed(outbox.value, new Set([...known, ...more.map(one => one.id)])))
    if (more.length) confirmed.value = extend(plan, confirmed.value, more)
  }

  async function catchUp() {
    take(await $fetch<AnyEntry[]>(`/api/jobs/${id}/entries`, { query: { after: lastSeq() } }))
  }

  /** Does acts with one press. Null when they are taken, else the sentence that refuses them; nothing typed is lost by it. */
  function act(...acts: Act[]): string | null {
    const person = session.person
    if (!person) return 'Sign in first.'
    let ahead = folded.value
    const entries: AnyEntry[] = []
    const madeAt = deviceClock.now()
    const press = uuid()
    for (const one of acts) {
      const made = { id: uuid(), ...one, act: press, madeBy: person.id, role: person.role, madeAt }
      const entry = { ...made, receivedAt: null, seq: null } as AnyEntry
      const why = refusalOf(plan, ahead, entry)
      if (why) return why
      ahead = extend(plan, ahead, [entry])
      entries.push(entry)
    }
    keep(boxes.put(outbox.value, entries))
    void flush()
    return null
  }

  /** Takes back this person's newest press, whole. */
  function undo(): string | null {
    const last = session.person ? lastAct(folded.value.entries, session.person.id) : []
    if (!last.length) return 'There is nothing of yours to take back.'
    return act(
      ...last.map(one => ({
        kind: 'entry.corrected' as const,
        payload: { target: one.id, why: 'Taken back at once' },
      })),
    )
  }

  async function send(batch: Batch): Promise<void> {
    const body = batch.entries.map(({ id: number, kind, payload, act: press, madeAt }) => ({
      id: number,
      kind,
      payload,
      act: press,
      madeAt,
    }))
    const { entries } = await $fetch<AppendAnswer>(`/api/jobs/${id}/entries`, { method: 'POST', body })
    reached.value = true
    const given = new Map(entries.map(one => [one.id, one]))
    const kept = batch.entries.map(one => ({ ...one, ...given.get(one.id)! }))
    // Between our last entry and these another screen may have written: then the server's list is the order.
    if (kept[0]!.seq === lastSeq() + 1) take(kept)
    else await catchUp()
  }

  /** Sends what waits, in order. What another person did on this screen waits until they are signed in again. */
  async function flush(): Promise<void> {
    if (isSending || isOver) return
    isSending = true
    let batch: Batch | null = null
    try {
      for (;;) {
        batch = boxes.nextFor(outbox.value, session.person?.id)
        if (!batch || isOver) return
        await send(batch)
      }
    } catch (error) {
      const status = (error as { statusCode?: number }).statusCode
      if (batch && status && status >= 400 && status < 500 && status !== 401 && status !== 429) {
        keep(boxes.refuse(outbox.value, batch.act, sayWhy(error)))
        await catchUp().catch(() => {})
      } else {
        reached.value = false
        if (status === 401) session.changing = true
        else setTimeout(() => void flush(), 3000)
      }
    } finally {
      isSending = false
    }
    if (reached.value && boxes.nextFor(outbox.value, session.person?.id)) void flush()
  }

  const stopListening = listenTo(id, {
    grown: seq => {
      if (seq > lastSeq())
        void catchUp().catch(() => {
          reached.value = false
        })
    },
    reached: isThere => {
      reached.value = isThere
      if (isThere) void flush()
    },
  })
  const stopWatching = watch(
    () => session.person?.id,
    () => void flush(),
  )
  take([])
  void flush()

  return reactive({
    id,
    about: markRaw(about),
    plan,
    names: markRaw(names),
    folded,
    state,
    view,
    waiting,
    refused,
    damaged,
    reached,
    isClosed: computed(() => isClosed(state.value)),
    act,
    undo,
    dismiss: (batch: Batch) => keep(boxes.dismiss(outbox.value, batch.act)),
    close: () => {
      isOver = true
      stopListening()
      stopWatching()
    },
  })
}

export type Job = ReturnType<typeof createJob>

/** What waits on this device for a job. One that cannot be read is set aside under another name, and that is said. */
function keptOutbox(id: string) {
  const key = `needler-outbox-${id}`
  const kept = localStorage.getItem(key)
  const read = boxes.readOutbox(kept)
  const damaged = ref(read === null)
  if (read === null) {
    localStorage.setItem(`${key}-damaged`, kept!)
    localStorage.removeItem(key)
  }
  const outbox = shallowRef<Outbox>(read ?? [])
  return {
    outbox,
    damaged,
    keep: (now: Outbox) => {
      outbox.value = now
      if (now.length) localStorage.setItem(key, JSON.stringify(now))
      else localStorage.removeItem(key)
    },
  }
}

/** Fetches a job and sets this device's clock by the server's on the way. */
export async function loadJob(id: string): Promise<Job> {
  await deviceClock.measure()
  return createJob(await $fetch<JobAnswer>(`/api/jobs/${id}`))
}
