import { listSums } from '#shared/sums'
import { route } from '../../http/route.ts'

export default route('signed in or key', () => listSums())
