import { isIP } from 'node:net'
import { hostname } from 'node:os'
import Joi from 'joi'

/** What the server is told from outside; checked once, at the start. */
export interface Config {
  databaseUrl: string
  /** Names besides this machine's own under which pages are asked for. */
  hosts: string[]
  isHttps: boolean
}

const schema = Joi.object({
  DATABASE_URL: Joi.string()
    .uri({ scheme: ['postgres', 'postgresql'] })
    .required()
    .messages({
      'any.required': 'DATABASE_URL is not set. Start Needler with its own command, or set it to a PostgreSQL address.',
    }),
  NUXT_SESSION_PASSWORD: Joi.string().min(32).required().messages({
    '*': 'NUXT_SESSION_PASSWORD must be a secret of at least 32 characters.',
  }),
  NUXT_SESSION_COOKIE_SECURE: Joi.boolean().default(false),
  NEEDLER_HOSTS: Joi.string().allow('').default(''),
  NEEDLER_LOG: Joi.valid('fatal', 'error', 'warn', 'info', 'debug', 'silent').default('info'),
}).unknown()

/** Reads the configuration from the environment. Throws one sentence that says what is wrong with it. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const { error, value } = schema.validate(env, { errors: { label: 'key' } })
  if (error) throw new Error(`The configuration does not fit: ${error.message}`)
  return {
    databaseUrl: value.DATABASE_URL,
    hosts: (value.NEEDLER_HOSTS as string)
      .split(',')
      .map(one => one.trim().toLowerCase())
      .filter(Boolean),
    isHttps: value.NUXT_SESSION_COOKIE_SECURE,
  }
}

let read: Config | undefined
export const config = (): Config => (read ??= readConfig(process.env))

/** The name in a Host header, without its port; null when it is none. */
const nameIn = (host: string) =>
  URL.canParse(`http://${host}`) ? new URL(`http://${host}`).hostname.replace(/^\[|\]$/g, '').toLowerCase() : null

/**
 * Whether pages may be asked for under this host: by number, by this machine's own name, or by a name that was allowed.
 * A name that somebody else points at this address is not.
 */
export function isOurHost(host: string | undefined, { hosts }: Pick<Config, 'hosts'>): boolean {
  const name = host ? nameIn(host) : null
  return (
    name !== null &&
    (isIP(name) !== 0 || name === 'localhost' || name === hostname().toLowerCase() || hosts.includes(name))
  )
}
