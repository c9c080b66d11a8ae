import { expect, test, type Page } from './test.ts'
import type { AnyEntry } from '../../core/job/index.ts'
import { doStep, enterPin, jobAt, openBench, signInAtTheDoor, stepNow } from './hands.ts'

test.use({ serviceWorkers: 'allow' })

/** Until the pages lie on the device: from then on they open without the network. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    const ready = await navigator.serviceWorker.ready
    if (ready.active!.state !== 'activated')
      await new Promise(resolve => ready.active!.addEventListener('statechange', resolve))
  })

const ledger = async (page: Page): Promise<(AnyEntry & { by?: string })[]> =>
  (await page.request.get(`/api/jobs/${page.url().split('/').at(-1)}/entries`)).json()

async function standHere(page: Page, name: string) {
  await page.locator('[data-test=who]').click()
  await page
    .getByRole('list', { name: 'Your name' })
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click()
  await page.getByRole('button', { name: `${name} stands here` }).click()
}

test('the bench opens again without the network, and another may stand at it', async ({ page, context }) => {
  await signInAtTheDoor(page)
  await kept(page)
  await jobAt(page, 'P-440', 'wash')
  // Opened once more under the worker, so that all a bench is made of lies here.
  await openBench(page, 'P-440')
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent')
  // Numbers for tags and bags are fetched while there is a network to fetch them with.
  await expect.poll(() => page.evaluate(() => localStorage.getItem('needler-labels')?.length ?? 0)).toBeGreaterThan(20)

  await context.setOffline(true)
  await page.reload()
  await expect(page.locator('[data-test=who]')).toContainText('R. Okell')
  await expect(page.locator('[data-test=sent]')).toHaveText('not connected')
  const before = await stepNow(page)
  await doStep(page)
  const own = page.locator('[data-test=sent]')
  await expect(own).toContainText('waiting')

  // The shift changes: no PIN can be asked for, and that is said wherever the acts stand.
  await standHere(page, 'T. Brisco')
  await expect(page.locator('[data-test=who]')).toContainText('no PIN given')
  await doStep(page)
  await expect(page.locator('[data-test=unverified]')).toContainText('T. Brisco')
  const after = await stepNow(page)
  expect(after).not.toBe(before)

  // Once more: both shifts' work is still there.
  await page.reload()
  await expect.poll(() => stepNow(page)).toBe(after)
  await expect(page.locator('[data-test=unverified]')).toContainText('T. Brisco')
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(page.getByText('Not connected: as it was')).toBeVisible()
  await page.getByRole('link', { name: /P-440/ }).click()
  await expect.poll(() => stepNow(page)).toBe(after)

  // The network is back. What was done under the open session goes by itself; the rest waits for a PIN.
  await context.setOffline(false)
  await expect.poll(async () => (await ledger(page)).at(-1)!.kind, { timeout: 60_000 }).toBe('step.done')
  await expect(page.locator('[data-test=unverified]').getByRole('button', { name: 'Sign in' })).toBeVisible()
  const door = (await (await page.request.get('/api/sign-in')).json()) as { people: { id: string; name: string }[] }
  const idOf = (name: string) => door.people.find(one => one.name === name)!.id
  expect((await ledger(page)).some(one => one.madeBy === idOf('T. Brisco'))).toBe(false)

  await page.locator('[data-test=unverified]').getByRole('button', { name: 'Sign in' }).click()
  await enterPin(page, 'T. Brisco')
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent')
  expect((await ledger(page)).some(one => one.madeBy === idOf('T. Brisco'))).toBe(true)
  await expect(page.locator('[data-test=unverified]')).toHaveCount(0)
})

test('a lead vouches for what was done without a PIN; a signature has to wait for one', async ({ page, context }) => {
  await signInAtTheDoor(page)
  await kept(page)
  await openBench(page, 'P-310')
  // Opened once more: then it lies here for certain.
  await page.reload()
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent')
  await context.setOffline(true)
  await page.reload()
  await standHere(page, 'T. Brisco')
  await page.getByRole('button', { name: 'Ledger' }).click()
  await page.getByLabel('Note', { exact: true }).fill('Dowel is tight')
  await page.getByRole('button', { name: 'Write it' }).click()
  await expect(page.locator('[data-test=unverified]')).toContainText('Dowel is tight')

  await context.setOffline(false)
  await page.locator('[data-test=unverified]').getByRole('button', { name: 'Sign in' }).click({ timeout: 60_000 })
  await enterPin(page, 'O. Hallam')
  await page.getByRole('button', { name: 'I vouch: T. Brisco did this' }).click()
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent')
  await page.getByRole('link', { name: 'Record' }).click()
  await expect(page.locator('article')).toContainText('T. Brisco (vouched for by O. Hallam)')
})
