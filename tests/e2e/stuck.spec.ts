import { expect, test, type Page } from './test.ts'
import { confirmStep, jobOn, pullJoint, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })

test('what is stuck, or will not go, is looked into before it is forced', async ({ page }) => {
  await machineBy('nut-by-slots', 'N-902', 'Locknut stand')
  await signIn(page)
  await page.goto(`/bench/${await jobOn(page, 'N-902')}`)
  await expect(page.locator('[data-step=isolate]')).toBeVisible()
  await confirmStep(page)

  // Something of one's own is put in, and keeps the gate shut.
  await page.locator('[data-test=items]').click()
  await page.getByLabel('What is put in').fill('rag in the bore')
  await page.locator('[data-test=item-in]').click()
  await expect(pad(page)).toContainText('1 × rag in the bore')
  await page.locator('[data-test=gate]').click()
  await expect(pad(page)).toContainText('Still in: 1 × rag in the bore')

  // Gentler ways first; the one that freed it goes with the step.
  await page.locator('[data-test=trouble]').click()
  await pad(page).getByText('Hook spanner and a blow', { exact: true }).click()
  await pad(page).getByRole('button', { name: 'Back to the step' }).click()
  await confirmStep(page)
  await pad(page).getByRole('radiogroup').first().getByText('reuse', { exact: true }).click()
  await confirmStep(page)
  await pad(page).locator('[data-test=new]').click()
  await pad(page).getByText('in a slot', { exact: true }).click()
  await confirmStep(page)

  // A sign holds its step until it is known what it was.
  await expect(page.locator('[data-step=seat-nut]')).toBeVisible()
  await page.locator('[data-test=trouble]').click()
  await pad(page).locator('[data-test=sign]').click()
  await expect(pad(page)).toContainText('Force nothing')
  await expect(page.getByRole('list', { name: 'Before this step' })).toContainText('The nut stops before its face')
  await pad(page)
    .getByRole('listitem')
    .filter({ hasText: 'The thread is burred' })
    .locator('[data-test=it-was]')
    .click()
  await pullJoint(page)
  await page.getByRole('button', { name: 'Ledger' }).click()
  await expect(pad(page)).toContainText('The nut stops before its face: it was this. The thread is burred')
  await expect(pad(page)).toContainText('by: hook spanner and a blow')

  // Out again, counted.
  await page.locator('[data-test=items]').click()
  await pad(page).getByRole('button', { name: 'Out', exact: true }).click()
  await expect(pad(page).getByRole('alert')).toContainText('Count them')
  await page.getByLabel('How many rag in the bore come out').fill('1')
  await page.getByLabel('How many rag in the bore come out').press('Tab')
  await pad(page).getByRole('button', { name: 'Out', exact: true }).click()
  await expect(pad(page)).toContainText('Nothing of your own is in the machine')
})
