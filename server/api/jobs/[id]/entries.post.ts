import { defineEventHandler } from 'h3'
import { entriesSchema } from '#shared/schemas'
import { database } from '../../../db/client.ts'
import { append, type NewEntry } from '../../../db/ledger.ts'
import { bodyFitting, jobIdOf, refusal } from '../../../http/answer.ts'
import { mayWrite } from '../../../http/person.ts'

export default defineEventHandler(async event => {
  const by = await mayWrite(event)
  const fresh = await bodyFitting<NewEntry[]>(event, entriesSchema)
  const answer = await append(database(), jobIdOf(event), by, fresh)
  if (!answer.kept) throw refusal(answer.status, answer.why, { entry: answer.entry })
  return { entries: answer.entries, lastSeq: answer.lastSeq }
})
