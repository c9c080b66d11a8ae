import { route } from '../http/route.ts'
import { signOutOf } from '../http/session.ts'

export default route('open', async event => {
  await signOutOf(event)
  return { signedOut: true }
})
