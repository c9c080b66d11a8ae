import { database } from '../../../../db/client.ts'
import { devicesOf } from '../../../../db/devices.ts'
import { idOf } from '../../../../http/answer.ts'
import { route } from '../../../../http/route.ts'

export default route(['lead'], event => devicesOf(database(), idOf(event)))
