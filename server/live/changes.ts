import { EventEmitter } from 'node:events'
import { database, hear } from '../db/client.ts'
import { lastSeqs } from '../db/jobs.ts'
import { endedAmong } from '../db/sessions.ts'
import type { Grown } from '../../shared/answers.ts'
import { pulse } from './pulse.ts'

/** Passes what happened from the database to the screens of this process. One listening connection serves them all. */
const heard = new EventEmitter().setMaxListeners(0)
let hearing: Promise<unknown> | undefined

const heardFor = (what: string) =>
  heard.eventNames().flatMap(name => (String(name).startsWith(`${what} `) ? [String(name).slice(what.length + 1)] : []))

/** What was said while nobody listened is asked for. */
async function catchUp(): Promise<void> {
  const [jobs, ended] = await Promise.all([
    lastSeqs(database(), heardFor('job')),
    endedAmong(database(), heardFor('session')),
  ])
  for (const { id, lastSeq } of jobs) heard.emit(`job ${id}`, { seq: lastSeq } satisfies Grown)
  for (const id of ended) heard.emit(`session ${id}`)
}

const listen = (): Promise<unknown> =>
  hear(
    {
      job_changed: message => {
        const { job, ...grown } = JSON.parse(message) as Grown & { job: string }
        heard.emit(`job ${job}`, grown satisfies Grown)
      },
      session_ended: id => heard.emit(`session ${id}`),
    },
    // A fault here is the database's, and noticed by its pulse.
    () => void catchUp().catch(() => {}),
  )

/** A database that went took the listening with it. */
pulse().onChange(how => {
  // Another start of it that was not missed is listened to already.
  if (how === 'away') hearing = undefined
  else if (heard.eventNames().length) hearing ??= listen()
  hearing?.catch(() => {
    hearing = undefined
  })
})

/** Listens to the database, if nobody does yet. Throws when it cannot be reached: then nothing would be heard. */
export async function listening(): Promise<void> {
  hearing ??= listen()
  await hearing.catch(error => {
    hearing = undefined
    throw error
  })
}

function on<T>(event: string, back: (value: T) => void): () => void {
  heard.on(event, back)
  return () => void heard.off(event, back)
}

/** Calls back whenever the job's ledger grows, in whichever process it did. */
export const onJobChanged = (jobId: string, back: (grown: Grown) => void) => on(`job ${jobId}`, back)

/** Calls back when a session is over: signed out, taken out, demoted, or given another PIN. */
export const onSessionEnded = (id: string, back: () => void) => on(`session ${id}`, back)

/** Calls back when the database goes and when it comes. */
export const onDatabase = (back: (how: 'away' | 'back') => void) => pulse().onChange(back)

const STOPPING = 'stopping'
/** Ends every stream of this process: a page comes back by itself to whoever serves then. */
export const endStreams = () => void heard.emit(STOPPING)

/** Calls back when the streams are to end. */
export const onStopping = (back: () => void) => on(STOPPING, back)
