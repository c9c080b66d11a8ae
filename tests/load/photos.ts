import type { Browser } from '@playwright/test'
import { randomBytes } from 'node:crypto'
import sharp from 'sharp'
import { v7 as uuid } from 'uuid'
import { PEOPLE } from '../../demo/thornmere.ts'
import { sumOf } from '../../server/heavy/pictures.ts'
import { bareJpeg } from '../../shared/pictures.ts'
import type { OpenJob } from '../../shared/answers.ts'
import { signIn } from '../api/server.ts'
import { signedInPage } from './page.ts'
import { median, type Say } from './say.ts'

const PHOTOS = 60
const TIMES = 9

/** A picture as large as a tablet sends one, and like no other. */
const picture = async () =>
  bareJpeg(
    await sharp(randomBytes(640 * 480 * 3), { raw: { width: 640, height: 480, channels: 3 } })
      .resize(2560, 1920)
      .jpeg({ quality: 84 })
      .toBuffer(),
  )!

/** How long a bench takes to open and to answer a touch: without a photograph, then with many of the step in view. */
export async function benchWithPhotos(browser: Browser, url: string, say: Say): Promise<void> {
  const fitter = await signIn(url, PEOPLE[0]!.name)
  const jobs = (await (await fitter.get('/api/jobs')).json()) as OpenJob[]
  const { id } = jobs.toSorted((a, b) => b.entries - a.entries)[0]!
  const page = await signedInPage(browser, url)
  const opening: number[] = []
  const touching: number[] = []
  async function measure() {
    opening.length = touching.length = 0
    for (let n = 0; n < TIMES; n++) {
      let from = performance.now()
      await page.goto(`${url}/bench/${id}`)
      await page.locator('[data-test=step]').waitFor()
      opening.push(performance.now() - from)
      await page.waitForTimeout(4600)
      from = performance.now()
      await page.getByRole('button', { name: 'Ledger', exact: true }).click()
      await page.locator('[data-pad=ledger] h2').waitFor()
      touching.push(performance.now() - from)
    }
    return `opened in ${median(opening).toFixed(0)} ms, a touch answered in ${median(touching).toFixed(0)} ms`
  }
  await page.goto(`${url}/bench/${id}`)
  const none = await measure()
  const [step] = [await page.locator('[data-test=step]').getAttribute('data-step')]
  const from = performance.now()
  for (let n = 0; n < PHOTOS; n++) {
    const bytes = await picture()
    const [entry, sha256] = [uuid(), sumOf(bytes)]
    const payload = { photo: uuid(), sha256, width: 2560, height: 1920, on: { what: 'step', id: step } }
    const said = { id: entry, act: entry, kind: 'photo.added', payload, madeAt: new Date().toISOString() }
    if (!(await fitter.post(`/api/jobs/${id}/entries`, said)).ok) throw new Error('a photograph could not be named')
    const sent = await fetch(`${url}/api/jobs/${id}/photos/${sha256}`, {
      method: 'PUT',
      headers: { cookie: fitter.cookie, origin: url },
      body: Buffer.from(bytes),
    })
    if (!sent.ok) throw new Error(`a photograph could not be sent: ${await sent.text()}`)
  }
  say(`${PHOTOS} photographs named, sent and kept`, `${((performance.now() - from) / PHOTOS).toFixed(0)} ms each`)
  say('bench without a photograph', none)
  say(`bench with ${PHOTOS} of the step in view`, await measure(), 'goal: as quick as without')
  await page.context().close()
}
