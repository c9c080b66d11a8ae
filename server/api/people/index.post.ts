import { newPersonSchema } from '#shared/schemas'
import { database } from '../../db/client.ts'
import { addPerson, NameTaken } from '../../db/people.ts'
import { bodyFitting, refusal } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

export default route(['lead'], async event => {
  const fresh = await bodyFitting(event, newPersonSchema)
  return addPerson(database(), fresh).catch(error => {
    throw error instanceof NameTaken ? refusal(409, error.refusal) : error
  })
})
