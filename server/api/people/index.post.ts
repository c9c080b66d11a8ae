import { newPersonSchema } from '#shared/schemas'
import { database } from '../../db/client.ts'
import { addPerson, everybody } from '../../db/people.ts'
import { bodyFitting, refusal } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

export default route(['lead'], async event => {
  const fresh = await bodyFitting(event, newPersonSchema)
  if ((await everybody(database())).some(one => one.name.toLowerCase() === fresh.name.toLowerCase()))
    throw refusal(409, `There is a ${fresh.name} already. Choose another name, or change theirs.`)
  return addPerson(database(), fresh)
})
