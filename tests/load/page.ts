import type { Browser, BrowserContextOptions, Page } from '@playwright/test'
import { PEOPLE } from '../../demo/thornmere.ts'
import { signIn } from '../api/server.ts'

/** A page of its own, signed in on the tablet that all measuring is done on: only so many new ones are let in a day. */
export async function signedInPage(browser: Browser, url: string, options: BrowserContextOptions = {}): Promise<Page> {
  const { cookie } = await signIn(url, PEOPLE[0]!.name)
  const context = await browser.newContext(options)
  await context.addCookies(
    cookie.split('; ').map(one => {
      const at = one.indexOf('=')
      return { name: one.slice(0, at), value: one.slice(at + 1), url }
    }),
  )
  return context.newPage()
}
