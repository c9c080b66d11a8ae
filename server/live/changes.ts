import { EventEmitter } from 'node:events'
import { connect } from '../db/client.ts'

/** Passes "job changed" from the database to the screens of this process. One listening connection serves them all. */
const changes = new EventEmitter().setMaxListeners(0)
let listening: Promise<unknown> | undefined

/** Calls back with the newest sequence number whenever the job's ledger grows, in whichever process it did. */
export async function onJobChanged(jobId: string, heard: (seq: number) => void): Promise<() => void> {
  listening ??= connect().sql.listen('job_changed', message => {
    const [job, seq] = message.split(' ')
    changes.emit(job!, Number(seq))
  })
  await listening.catch(error => {
    listening = undefined
    throw error
  })
  changes.on(jobId, heard)
  return () => {
    changes.off(jobId, heard)
  }
}
