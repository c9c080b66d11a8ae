import { getCookie, getHeader, useSession, type H3Event, type SessionConfig } from 'h3'
import { database } from '../db/client.ts'
import { addDevice, isDevice } from '../db/devices.ts'

const YEAR = 60 * 60 * 24 * 365
const NAME = 'needler-device'

/** A sealed cookie of its own, so that a tablet stays known when somebody signs out. */
const cookie = (event: H3Event) => {
  const { password, cookie } = useRuntimeConfig(event).session as SessionConfig
  return useSession<{ device?: string }>(event, {
    name: NAME,
    password: process.env.NUXT_SESSION_PASSWORD || password,
    maxAge: YEAR,
    cookie: { ...(cookie || {}), maxAge: YEAR },
  })
}

/** Which device a request says it comes from, by its seal; nothing is asked of the database. */
export async function sealedDevice(event: H3Event): Promise<string | null> {
  return getCookie(event, NAME) ? ((await cookie(event)).data.device ?? null) : null
}

/** The device a request comes from, where it is one of ours. */
export async function deviceOf(event: H3Event): Promise<string | null> {
  // Asked once a request; made known by this very one, its seal is only on the way.
  const known = event.context.needlerDevice as string | null | undefined
  if (known !== undefined) return known
  const id = await sealedDevice(event)
  const device = id && (await isDevice(database(), id)) ? id : null
  event.context.needlerDevice = device
  return device
}

/** The device a request comes from, made one of ours where it is none yet. */
export async function rememberThisDevice(event: H3Event): Promise<string> {
  const known = await deviceOf(event)
  if (known) return known
  const id = await addDevice(database(), getHeader(event, 'user-agent') ?? '')
  await (await cookie(event)).update({ device: id })
  event.context.needlerDevice = id
  return id
}
