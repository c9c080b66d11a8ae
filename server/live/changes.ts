import { EventEmitter } from 'node:events'
import { connect } from '../db/client.ts'

/** Passes what happened from the database to the screens of this process. One listening connection serves them all. */
const heard = new EventEmitter().setMaxListeners(0)
let listening: Promise<unknown> | undefined

function listen(): Promise<unknown> {
  const { sql } = connect()
  return Promise.all([
    sql.listen('job_changed', message => {
      const [job, seq] = message.split(' ')
      heard.emit(`job ${job}`, Number(seq))
    }),
    sql.listen('session_ended', id => heard.emit(`session ${id}`)),
  ])
}

async function on<T>(event: string, back: (value: T) => void): Promise<() => void> {
  listening ??= listen()
  await listening.catch(error => {
    listening = undefined
    throw error
  })
  heard.on(event, back)
  return () => {
    heard.off(event, back)
  }
}

/** Calls back with the newest sequence number whenever the job's ledger grows, in whichever process it did. */
export const onJobChanged = (jobId: string, back: (seq: number) => void) => on(`job ${jobId}`, back)

/** Calls back when a session is over: signed out, taken out, demoted, or given another PIN. */
export const onSessionEnded = (id: string, back: () => void) => on(`session ${id}`, back)
