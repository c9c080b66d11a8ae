import { expect, test, type Page } from './test.ts'
import { find, jobOn, signIn } from './hands.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })

test('a choice is changed in mid-job, its consequences first', async ({ page }) => {
  await signIn(page)
  await page.goto(`/bench/${await jobOn(page, 'P-411')}`)
  await expect(page.locator('[data-test=step]')).toBeVisible()
  await find(page, 'seal flush choice')
  await expect(pad(page).getByRole('heading', { level: 2 })).toHaveText('Seal flush')
  await pad(page).getByText('clear water', { exact: true }).click()
  await expect(pad(page)).toContainText('Comes in')
  await expect(pad(page)).toContainText('Take off the flush pipe and cap its ends')
  const decide = page.locator('[data-test=decide-axis]')
  await decide.click()
  await expect(pad(page).getByRole('alert')).toContainText('Say why')
  await page.getByLabel('Why', { exact: true }).fill('A pipe was fitted since')
  await decide.click()
  await page.locator('[data-test=gate]').click()
  await expect(pad(page)).toContainText('Seal flush: clear water')
  await page.getByRole('button', { name: 'Ledger' }).click()
  await expect(pad(page)).toContainText('Seal flush: clear water. A pipe was fitted since')
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent')

  // The other tablet, and the record, go by the same plan.
  await page.reload()
  await expect(page.locator('[data-test=step]')).toBeVisible()
  await page.goto(`${page.url()}/record`)
  await expect(page.locator('article')).toContainText('Decided on the job')
  await expect(page.locator('article')).toContainText('Seal flush: clear water')
})
