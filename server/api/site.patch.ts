import { siteSchema } from '#shared/schemas'
import { database } from '../db/client.ts'
import { hashSecret } from '../db/people.ts'
import { changeSite } from '../db/site.ts'
import { bodyFitting } from '../http/answer.ts'
import { route } from '../http/route.ts'

export default route(['lead'], async event => {
  const { code, ...change } = await bodyFitting(event, siteSchema)
  const codeHash = code === undefined ? {} : { codeHash: code === null ? null : await hashSecret(code) }
  return changeSite(database(), { ...change, ...codeHash })
})
