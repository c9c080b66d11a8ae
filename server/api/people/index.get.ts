import { database } from '../../db/client.ts'
import { everybody } from '../../db/people.ts'
import { route } from '../../http/route.ts'

export default route(['lead'], () => everybody(database()))
