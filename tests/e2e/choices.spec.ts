import { expect, test, type Page } from './test.ts'
import { librarySheet } from '../sheets.ts'
import { find, jobAt, jobOn, signAs, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'

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

test('what only a lead may is signed by one on the fitter’s tablet', async ({ page }) => {
  await machineBy('blower-clearances', 'B-932', 'Blower stand')
  await signIn(page)
  await jobAt(page, 'B-932', 'decide-depth')
  await pad(page).getByText('Overhaul it', { exact: true }).click()
  await page.getByLabel('Why', { exact: true }).fill('The lobes nearly touch')
  const decide = page.locator('[data-test=decide-axis]')
  await expect(decide).toHaveText('Decide: Overhaul it, a lead signs')
  await decide.click()
  await signAs(page)
  await expect(page.locator('[data-test=who]')).toContainText('R. Okell')
  await page.getByRole('button', { name: 'Ledger' }).click()
  await expect(pad(page)).toContainText('How far it is taken: Overhaul it. The lobes nearly touch')

  // A mark that only a lead gives up.
  await machineBy(librarySheet('m14-axially-split-pump'), 'P-946', 'Pump of the tests')
  await jobAt(page, 'P-946', 'index-plate')
  await pad(page).getByRole('button', { name: "Can't be marked" }).click()
  await pad(page).getByLabel('Why not? It stays on the record.').fill('The rim is painted over')
  await pad(page).getByRole('button', { name: 'Record as lost: a lead signs' }).click()
  await signAs(page)
  await expect(page.getByRole('list', { name: 'Before this step' })).not.toContainText('Gland plate to case')
})
