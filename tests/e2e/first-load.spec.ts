import { firstLoadOf } from '../load/first-load.ts'
import { openingOf } from '../../core/job/index.ts'
import type { JobAnswer, OpenJob } from '../../shared/answers.ts'
import { expect, test } from './test.ts'
import { signIn } from './hands.ts'

/** What a tablet may have to fetch before somebody can work, scripts and styles, gzipped. */
const MOST = 300 * 1024

test('the bench of every family comes in 300 kB, and its sheet crosses the wire once', async ({
  page,
  browser,
  address,
}) => {
  await signIn(page)
  const jobs = (await (await page.request.get('/api/jobs')).json()) as OpenJob[]
  const cookies = await page.context().cookies()
  const families = new Map<string, OpenJob>()
  // The largest of each.
  for (const job of jobs.sort((a, b) => a.entries - b.entries)) {
    const { entries } = (await (await page.request.get(`/api/jobs/${job.id}`)).json()) as JobAnswer
    families.set(openingOf(entries).sheet, job)
  }
  expect(families.size).toBeGreaterThan(2)
  for (const [i, { id, tag }] of [...families.values()].entries()) {
    const fresh = await browser.newContext({ baseURL: address })
    await fresh.addCookies(cookies)
    const bench = await fresh.newPage()
    const sheets: string[] = []
    bench.on('request', request => void (request.url().includes('/api/sheets/') && sheets.push(request.url())))
    const { code, hasJoi } = await firstLoadOf(bench, `${address}/bench/${id}`)
    await expect(bench.locator('[data-test=step]')).toBeVisible()
    expect(code, tag).toBeLessThan(MOST)
    expect(hasJoi).toBe(false)
    expect(sheets).toHaveLength(1)
    // From then on it lies on the device, whatever its family: neither a reload nor the plate of the machine asks for it again.
    if (!i) {
      await bench.reload()
      await expect(bench.locator('[data-test=step]')).toBeVisible()
      await bench.goto(`/?machine=${tag}`)
      await expect(bench.getByRole('heading', { name: tag })).toBeVisible()
      expect(new Set(sheets).size).toBe(sheets.length)
    }
    await fresh.close()
  }
})
