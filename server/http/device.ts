import { useSession, type H3Event, type SessionConfig } from 'h3'
import { database } from '../db/client.ts'
import { isKnownDevice, rememberDevice } from '../db/site.ts'

const YEAR = 60 * 60 * 24 * 365

/** A sealed cookie of its own, so that a tablet stays known when somebody signs out. */
const cookie = (event: H3Event) => {
  const { password, cookie } = useRuntimeConfig(event).session as SessionConfig
  return useSession<{ device?: string }>(event, {
    name: 'needler-device',
    password: process.env.NUXT_SESSION_PASSWORD || password,
    maxAge: YEAR,
    cookie: { ...(cookie || {}), maxAge: YEAR },
  })
}

/** The device a request comes from, where somebody has signed in on it before. */
export async function deviceOf(event: H3Event): Promise<string | null> {
  const { data } = await cookie(event)
  return data.device && (await isKnownDevice(database(), data.device)) ? data.device : null
}

export async function rememberThisDevice(event: H3Event): Promise<void> {
  const session = await cookie(event)
  await session.update({ device: await rememberDevice(database()) })
}
