import { refusalsAbout } from '../../../../../core/refusal.ts'
import { database } from '../../../../db/client.ts'
import { devicesOf, takeDevice } from '../../../../db/devices.ts'
import { idOf, refusal } from '../../../../http/answer.ts'
import { route } from '../../../../http/route.ts'

const refusals = refusalsAbout('device', { unknown: () => 'That device is not known for them. Reload the list.' })

/** A device that was lost, or is somebody else's by now: it is a stranger to them again. */
export default route(['lead'], async event => {
  const [person, device] = [idOf(event), idOf(event, 'device')]
  if (!(await takeDevice(database(), person, device))) throw refusal(404, refusals.unknown())
  return devicesOf(database(), person)
})
