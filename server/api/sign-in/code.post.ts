import { codeSchema } from '#shared/schemas'
import { bodyFitting } from '../../http/answer.ts'
import { checkCode } from '../../http/pin.ts'
import { route } from '../../http/route.ts'

/** The code of the site, given once by every new device: then the names are told there. */
export default route('open', async event => {
  const { code } = await bodyFitting(event, codeSchema)
  await checkCode(event, code)
  return { known: true }
})
