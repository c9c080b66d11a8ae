import { randomBytes } from 'node:crypto'
import { getHeader, setResponseHeader, setResponseHeaders, type H3Event } from 'h3'

const ALWAYS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), microphone=(), geolocation=(), payment=()',
} as const

/** Served over https by our own certificate, a browser asks for nothing else here from then on; this machine's own name aside. */
const hasHttps = (event: H3Event) =>
  Boolean(process.env.NITRO_SSL_CERT) && !/^localhost(:|$)/i.test(getHeader(event, 'host') ?? '')

/** What the worker that keeps the pages may reach: our own address alone. */
const WORKER = /^\/(sw|workbox-[\w-]+)\.js$/

/** Styles may stand in the page, since drawings and the component kit set them; scripts only with this page's own number. */
const policy = (nonce: string) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')

export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    setResponseHeaders(event, {
      ...ALWAYS,
      ...(hasHttps(event) ? { 'strict-transport-security': 'max-age=31536000' } : {}),
      // What is built has names of its own and may be kept; everything else is asked for anew.
      ...(event.path.startsWith('/_nuxt/') ? {} : { 'cache-control': 'no-store' }),
      'content-security-policy': WORKER.test(event.path)
        ? "default-src 'self'"
        : "default-src 'none'; frame-ancestors 'none'",
    })
  })
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = randomBytes(16).toString('base64')
    for (const part of ['head', 'bodyPrepend', 'bodyAppend'] as const)
      html[part] = html[part].map(chunk => chunk.replace(/<script(?=[\s>])/g, `<script nonce="${nonce}"`))
    setResponseHeader(event, 'content-security-policy', policy(nonce))
  })
  nitro.hooks.hook('render:response', response => {
    response.headers = Object.fromEntries(
      Object.entries(response.headers ?? {}).filter(([name]) => name.toLowerCase() !== 'x-powered-by'),
    )
  })
})
