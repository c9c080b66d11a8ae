import { gzipSync } from 'node:zlib'
import type { Page } from '@playwright/test'

/** What a page fetches until it rests, by sort; scripts, styles and data as they go over the wire, fonts as they lie. */
export interface FirstLoad {
  code: number
  fonts: number
  data: number
  files: number
  /** Whether the library that checks requests is among the scripts; it belongs to the server. */
  hasJoi: boolean
}

/** Opens an address on a page that has fetched nothing yet, and weighs all that comes, in bytes. */
export async function firstLoadOf(page: Page, url: string): Promise<FirstLoad> {
  const { origin } = new URL(url)
  const load: FirstLoad = { code: 0, fonts: 0, data: 0, files: 0, hasJoi: false }
  // A script that was announced and then used is fetched once.
  const seen = new Set<string>()
  page.on('response', async response => {
    const body = await response.body().catch(() => null)
    if (!body || !response.url().startsWith(origin) || seen.has(response.url())) return
    seen.add(response.url())
    load.files = seen.size
    const type = response.headers()['content-type'] ?? ''
    if (/font|woff/.test(type) || response.url().endsWith('.woff2')) load.fonts += body.length
    else load[/javascript|css/.test(type) ? 'code' : 'data'] += gzipSync(body).length
    load.hasJoi ||= /javascript/.test(type) && body.includes('any.required')
  })
  await page.goto(url, { waitUntil: 'networkidle', timeout: 30_000 }).catch(() => {})
  return load
}
