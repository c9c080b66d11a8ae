import { getQuery, setResponseHeaders } from 'h3'
import { pictureSizeSchema, sumSchema } from '#shared/schemas'
import { refusalsAbout } from '../../../core/refusal.ts'
import { database } from '../../db/client.ts'
import { pictureOf } from '../../db/photos.ts'
import { fitting, refusal } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

const refusals = refusalsAbout('photograph', {
  notHere: () => 'This photograph has not arrived yet. It is still on the tablet that took it.',
})

/** The file of a photograph. It never changes, is always a JPEG, and is never taken for anything else. */
export default route('signed in', async event => {
  const sha256 = fitting(sumSchema, event.context.params?.sha256)
  const bytes = await pictureOf(database(), sha256, fitting(pictureSizeSchema, getQuery(event).size))
  if (!bytes) throw refusal(404, refusals.notHere())
  setResponseHeaders(event, {
    'content-type': 'image/jpeg',
    'content-disposition': `inline; filename="${sha256.slice(0, 16)}.jpg"`,
    'cache-control': 'private, max-age=31536000, immutable',
  })
  return bytes
})
