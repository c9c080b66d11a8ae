import { refusalsAbout } from '../../core/refusal.ts'
import { refusal } from '../http/answer.ts'
import { route } from '../http/route.ts'

const refusals = refusalsAbout('address', { unknown: () => 'There is nothing at that address.' })

/** What is not there is not there, for those who may ask. */
export default route('signed in', () => {
  throw refusal(404, refusals.unknown())
})
