import { v7 as uuid } from 'uuid'
import {
  emptyFold,
  extend,
  isClosed,
  lastAct,
  openingOf,
  planIn,
  sentenceOf,
  viewJob,
  wantsPin,
  type Act,
  type AnyEntry,
  type Folded,
} from '~~/core/job'
import { planFor, sumNamesOf, type ShelfSheet, type Sums } from '~~/core/sheet'
import type { AppendAnswer, JobAnswer, Person, SignedInPerson } from '~~/shared/answers'
import { createAhead } from './ahead'
import * as boxes from './outbox'
import type { Batch, Outbox } from './outbox'
import { askJob, keepEntries } from '~/device/jobs'
import { askSheet } from '~/device/sheets'
import { keptOutbox } from '~/device/outbox'
import { deviceClock } from './clock'
import { isUnreached } from '~/device/answers'
import { pauseAfter } from './pauses'
import { isRefusal, sendBatch, sentAs } from './sending'
import { sumsNamed } from './sums'
import { thisTablet } from './tablet'
import { listenTo } from './stream'

const DATABASE_AWAY =
  'The server does not reach its database just now. What you do is kept on this device and goes out by itself once that is over.'

/** The address, the plate and the names of a job. */
export type JobAbout = Omit<JobAnswer, 'entries'>

/**
 * One job on this screen: its plan, its ledger, and what waits to be sent. An act shows at once; the server is asked
 * afterwards and its order is the order. What waits outlives a reload. It lives until it is closed.
 */
export function createJob(
  answer: JobAnswer,
  sheet: ShelfSheet,
  sums: Sums,
  box: Awaited<ReturnType<typeof keptOutbox>>,
  isReached: boolean,
  copied: Promise<unknown>,
) {
  const session = useSessionStore()
  const { entries: first, ...about } = answer
  const { id } = about.job
  const plan = markRaw(planFor(sheet, openingOf(first).variants, sums))
  const names = new Map(about.people.map(one => [one.id, one.name]))
  const confirmed = shallowRef<Folded>(extend(plan, emptyFold(), first))
  const { outbox, damaged, keeps } = box
  const keep = (now: Outbox) => {
    if (now !== outbox.value) void box.keep(now)
  }
  const reached = ref(isReached)
  /** What the server said why it cannot take anything just now. */
  const trouble = ref<string | null>(null)
  function reachedNow(isThere: boolean) {
    reached.value = isThere
    if (isThere) trouble.value = null
  }
  let failures = 0
  /** Whether all that is known of the job lies on this device, too: it can be reloaded without the network then. */
  const copy = ref<'keeping' | 'kept' | 'none'>('keeping')
  let copying: Promise<void> = Promise.resolve()
  function keepCopy(more: Promise<unknown>) {
    if (copy.value === 'kept') copy.value = 'keeping'
    const all = (copying = Promise.all([copying, more]).then(
      () => {
        if (copying === all && copy.value === 'keeping') copy.value = 'kept'
      },
      () => {
        copy.value = 'none'
      },
    ))
  }
  keepCopy(copied)
  let isOver = false

  const waiting = computed(() => boxes.waiting(outbox.value))
  const refused = computed(() => boxes.refused(outbox.value))
  const ahead = createAhead(plan)
  const waitingEntries = () => waiting.value.map(batch => batch.entries)
  const folded = computed(() => ahead.folded(confirmed.value, waitingEntries()))
  const state = computed(() => folded.value.state)
  /** The plan in force: a choice on the job may have led to another. */
  const planNow = computed(() => markRaw(planIn(plan, state.value)))
  const view = computed(() => viewJob(planNow.value, state.value))
  const lastSeq = () => confirmed.value.entries.at(-1)?.seq ?? 0

  function take(fresh: AnyEntry[]) {
    const known = new Set(confirmed.value.entries.map(one => one.id))
    const more = fresh.filter(one => !known.has(one.id))
    const next = ahead.landed(confirmed.value, more)
    keep(boxes.landed(outbox.value, new Set([...known, ...more.map(one => one.id)])))
    if (!more.length) return
    confirmed.value = next
    keepCopy(keepEntries(id, more))
  }

  async function catchUp() {
    take(await $fetch<AnyEntry[]>(`/api/jobs/${id}/entries`, { query: { after: lastSeq() } }))
  }

  /**
   * Acts as entries of somebody, one press. They are plain data, as they are sent: what a screen still watches cannot be kept
   * on the device.
   */
  function pressed(acts: readonly Act[], { id: madeBy, role }: Pick<Person, 'id' | 'role'>): AnyEntry[] {
    const [press, madeAt, clock] = [uuid(), deviceClock.now(), deviceClock.measured()]
    const saw = { seen: lastSeq(), tablet: thisTablet(), ...(clock ? { clock } : {}) }
    return acts.map(
      one =>
        ({
          id: uuid(),
          ...(JSON.parse(JSON.stringify(one)) as Act),
          ...{ act: press, madeBy, role, madeAt, ...saw, receivedAt: null, seq: null },
        }) as AnyEntry,
    )
  }

  /** The sentence that refuses entries as they would arrive now; null when they are taken. */
  function refusalHere(entries: readonly AnyEntry[]): string | null {
    const why = ahead.refusal(confirmed.value, waitingEntries(), entries)
    return why && sentenceOf(why)
  }

  /** Does acts with one press. Null when they are taken, else the sentence that refuses them; nothing typed is lost by it. */
  function act(...acts: Act[]): string | null {
    const person = session.person
    if (!person) return 'Sign in first.'
    const entries = pressed(acts, person)
    const why = refusalHere(entries)
    if (why) return why
    keep(boxes.put(outbox.value, entries, !session.verified))
    void flush()
    return null
  }

  /** Whether acts of whoever is here are given with a PIN: signatures, and corrections of what another did. */
  const wantsPinHere = (acts: readonly Act[]): boolean =>
    session.person !== null && pressed(acts, session.person).some(one => wantsPin(() => folded.value.entries, one))

  /** Why nothing can be signed at this moment; null when it can. */
  const cannotSign = (): string | null =>
    session.reached && navigator.onLine
      ? null
      : 'A signature is given with a PIN, and without the network none can be asked for. Sign once it is back; other steps go on.'

  /** What was sent to be signed and never answered: sent again, it is the same entries. */
  let unanswered: { about: string; entries: AnyEntry[] } | null = null

  /**
   * Has acts signed by somebody with their PIN, at once; whoever this device is signed in for stays so. Null when it is done,
   * else the sentence that says why not. The PIN goes with the request and is kept nowhere.
   */
  async function sign(signer: SignedInPerson, pin: string, acts: Act[]): Promise<string | null> {
    await flush()
    if (waiting.value.length) return 'What was done before is still to be sent. Try again in a moment.'
    const about = JSON.stringify([signer.id, acts])
    const entries = unanswered?.about === about ? unanswered.entries : pressed(acts, signer)
    unanswered = { about, entries }
    const body = {
      ...{ signer: signer.id, pin },
      entries: entries.map(sentAs),
    }
    try {
      const answer = await $fetch<AppendAnswer>(`/api/jobs/${id}/entries`, { method: 'POST', body })
      unanswered = null
      await landed(entries, answer)
      return null
    } catch (error) {
      if (!isUnreached(error)) unanswered = null
      await catchUp().catch(() => {})
      return sayWhy(error)
    }
  }

  /** Takes in what the server has kept; where another screen wrote in between, its list is the order. */
  async function landed(sent: readonly AnyEntry[], { entries }: AppendAnswer, more: Partial<AnyEntry> = {}) {
    const given = new Map(entries.map(one => [one.id, one]))
    const kept = sent.map(one => ({ ...one, ...more, ...given.get(one.id)! }) as AnyEntry)
    if (kept[0]!.seq === lastSeq() + 1) take(kept)
    else await catchUp()
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
    const answer = await sendBatch(id, batch)
    reachedNow(true)
    failures = 0
    await landed(batch.entries, answer, batch.vouched ? { vouchedBy: batch.vouched } : {})
  }

  /** Whether another than we thought is signed in on this device. */
  async function isSomebodyElse(): Promise<boolean> {
    const before = session.signedIn?.id
    await session.ask()
    return session.signedIn?.id !== before
  }

  let sending: Promise<void> | null = null
  /**
   * Sends what waits, in order; over once all that could be sent is. What another person did on this screen waits until they
   * are signed in again.
   */
  function flush(): Promise<void> {
    return (sending ??= sendAll()
      .finally(() => {
        sending = null
      })
      .then(() => {
        if (reached.value && !isOver && boxes.nextFor(outbox.value, session.signedIn)) return flush()
      }))
  }

  async function sendAll(): Promise<void> {
    let batch: Batch | null = null
    try {
      // After a spell without the network another may be signed in, or nobody: asked before anything goes out.
      if (!session.reached) await session.ask()
      for (;;) {
        batch = boxes.nextFor(outbox.value, session.signedIn)
        if (!batch || isOver) return
        await send(batch)
      }
    } catch (error) {
      const status = (error as { statusCode?: number }).statusCode
      if (batch && isRefusal(error) && (await isSomebodyElse())) {
        // Signed in on another page meanwhile: it waits for who did it.
      } else if (batch && isRefusal(error)) {
        keep(boxes.refuse(outbox.value, batch.act, sayWhy(error)))
        await catchUp().catch(() => {})
      } else {
        reachedNow(false)
        session.reached = status !== undefined && !isUnreached(error)
        if (status !== undefined && isUnreached(error)) trouble.value = sayWhy(error)
        if (status === 401) session.changing = true
        else setTimeout(() => void flush(), pauseAfter(++failures, Math.random()))
      }
    }
  }

  const stopListening = listenTo(id, {
    grown: ({ seq, entries }) => {
      // What follows on what is known is taken as it is told; anything else is asked for.
      if (entries?.[0]?.seq === lastSeq() + 1) take(entries)
      else if (seq > lastSeq())
        void catchUp().catch(() => {
          reachedNow(false)
        })
    },
    reached: isThere => {
      reachedNow(isThere)
      if (isThere) void flush()
    },
    databaseAway: () => {
      reachedNow(false)
      trouble.value = DATABASE_AWAY
    },
  })
  const stopWatching = watch(
    () => session.signedIn,
    () => void flush(),
  )
  take([])
  void flush()

  return reactive({
    id,
    about: markRaw(about),
    opened: plan,
    plan: planNow,
    names: markRaw(names),
    folded,
    state,
    view,
    waiting,
    /** Something waits, and not for the network: the oldest is another's, or was done without a PIN. */
    held: computed(() => waiting.value.length > 0 && !boxes.nextFor(outbox.value, session.signedIn)),
    refused,
    damaged,
    keeps,
    copy,
    reached,
    trouble,
    isClosed: computed(() => isClosed(state.value)),
    act,
    sign,
    cannotSign,
    wantsPin: wantsPinHere,
    /** Why acts would be refused if somebody did them now. */
    refusalFor: (who: Person, acts: Act[]) => refusalHere(pressed(acts, who)),
    undo,
    /** Whoever is signed in, a lead, vouches for what waits under somebody's name. */
    vouch: (doer: string) => {
      if (session.signedIn) keep(boxes.vouch(outbox.value, doer, session.signedIn.id))
      void flush()
    },
    dismiss: (batch: Batch) => keep(boxes.dismiss(outbox.value, batch.act)),
    close: () => {
      isOver = true
      stopListening()
      stopWatching()
    },
  })
}

export type Job = ReturnType<typeof createJob>

/** Fetches a job, from this device where the server cannot be asked, and sets the clock by the server's on the way. */
export async function loadJob(id: string): Promise<Job> {
  await deviceClock.measure()
  const [{ answer, reached, copied }, box] = await Promise.all([askJob(id), keptOutbox(id)])
  const { sheet: name, version } = openingOf(answer.entries)
  const { sheet, copied: sheetCopied } = await askSheet({ id: name, version })
  const sums = await sumsNamed(sumNamesOf(sheet))
  return createJob(answer, sheet, sums, box, reached, Promise.all([copied, sheetCopied]))
}
