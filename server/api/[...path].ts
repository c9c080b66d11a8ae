import { refusal } from '../http/answer.ts'
import { route } from '../http/route.ts'

/** What is not there is not there, for those who may ask. */
export default route('signed in', () => {
  throw refusal(404, 'There is nothing at that address.')
})
