import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { get as getPlain } from 'node:http'
import { get as getSecure } from 'node:https'
import { createServer, isIP } from 'node:net'
import { createSecureContext } from 'node:tls'
import { appUrl } from './place.ts'
import { Plain, say } from './plain.ts'

const isFree = (port: number, host: string) =>
  new Promise<boolean>(resolve => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

/** Whether our own server answers; its certificate is the one we gave it, so it is not asked for. */
const isWell = (url: string) =>
  new Promise<boolean>(resolve => {
    const get = url.startsWith('https') ? getSecure : getPlain
    get(`${url}/api/health`, { rejectUnauthorized: false }, answer => {
      answer.resume()
      resolve(answer.statusCode === 200)
    }).on('error', () => resolve(false))
  })

/** Files with a certificate and its key, in PEM. */
export interface Https {
  cert?: string
  key?: string
}

function pem(file: string, what: string): string {
  try {
    return readFileSync(file, 'utf8')
  } catch {
    throw new Plain(`The ${what} cannot be read from ${file}. Check the path and who may read it.`)
  }
}

/** What the server is told so that it speaks https; empty without a certificate. Throws a sentence when the two do not fit. */
function secured({ cert: certFile, key: keyFile }: Https): Record<string, string> {
  if (!certFile && !keyFile) return {}
  if (!certFile || !keyFile) throw new Plain('https wants both: --cert FILE and --key FILE.')
  const [cert, key] = [pem(certFile, 'certificate'), pem(keyFile, 'key')]
  try {
    createSecureContext({ cert, key })
  } catch (error) {
    throw new Plain(`That certificate and key do not go together: ${(error as Error).message}.`)
  }
  return { NITRO_SSL_CERT: cert, NITRO_SSL_KEY: key, NUXT_SESSION_COOKIE_SECURE: 'true' }
}

const isOwn = (host: string) => host === 'localhost' || (isIP(host) === 4 && host.startsWith('127.')) || host === '::1'

/** Serves the built application over a database until it is told to stop. `ready` is called once it answers. */
export async function serveUntilStopped(
  database: string,
  verb: string,
  ready: () => void,
  https: Https = {},
): Promise<void> {
  const tls = secured(https)
  const isSecure = 'NITRO_SSL_CERT' in tls || process.env.NUXT_SESSION_COOKIE_SECURE === 'true'
  const host = process.env.HOST ?? '127.0.0.1'
  const port = Number(process.env.PORT ?? 3000)
  if (!(await isFree(port, host)))
    throw new Plain(`Port ${port} is taken. Stop what uses it, or choose another: PORT=3100 ./needler ${verb}`)
  // The server gets what it needs and no more: the owner's password stays here.
  const { NEEDLER_OWNER_PASSWORD: _owner, NEEDLER_APP_PASSWORD: _app, ...env } = process.env
  const child = spawn('node', ['.output/server/index.mjs'], {
    env: {
      ...env,
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      DATABASE_URL: appUrl(database),
      ...tls,
    },
    // The server notices by the channel when this process is gone, however it went, and stops.
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  const ended = new Promise<number | null>(resolve => child.once('exit', resolve))
  let isStopped = false
  const stop = () => {
    isStopped = true
    child.kill('SIGTERM')
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop)
  // The shell that started this was killed: nothing is left that would keep the port from the next start.
  const shell = process.ppid
  const watching = setInterval(() => process.ppid !== shell && stop(), 500)
  // On every address, a person looks for it on this one.
  const url = `${'NITRO_SSL_CERT' in tls ? 'https' : 'http'}://${host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host}:${port}`
  for (let i = 0; i < 150 && child.exitCode === null; i++) {
    if (await isWell(url)) {
      say(`\nNeedler is at ${url} — Ctrl-C stops it.`)
      if (!isSecure && !isOwn(host))
        say(
          'Over plain http a tablet cannot open its pages again without the network: give --cert FILE and --key FILE.',
        )
      ready()
      break
    }
    await new Promise(resolve => setTimeout(resolve, 200))
  }
  await ended
  clearInterval(watching)
  if (!isStopped) throw new Plain('The server stopped by itself. Its words stand above.')
  say('\nStopped.')
}
