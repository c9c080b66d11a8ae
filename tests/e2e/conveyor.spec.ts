import { expect, test, type Page } from './test.ts'
import { doStep, handBack, jobAt, measure, signIn, takeWrong } from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const mate = (page: Page, title: string) => pad(page).locator(`.mate[aria-label="${title}"]`)

test('a conveyor: valve stem down, pistons by their side, adjuster set before low air and low air before full', async ({
  page,
}) => {
  await signIn(page)
  const variants = { size: 'small', tray: 'single', air: 'own' }
  await machineBy(librarySheet('m18-linear-conveyor'), 'H-971', 'Conveyor of the tests', variants)
  await jobAt(page, 'H-971', 'valve-in')
  await measure(page, { 'Seat under its shoulder': ['2.5'] })
  await mate(page, 'Stem of the valve').getByText('its stem, standing up', { exact: true }).click()
  await expect(mate(page, 'Stem of the valve')).toContainText('Stem up, no air comes: it is dead')
  await doStep(page)
  await expect(page.locator('[data-step=valve-read]')).toBeVisible()

  await jobAt(page, 'H-971', 'pistons-in')
  await takeWrong(page, 'Piston, hollow, left')
  await expect(pad(page)).toContainText('the air never turns over')
  await doStep(page)
  await expect(page.locator('[data-step=rails-in]')).toBeVisible()

  await jobAt(page, 'H-971', 'adjuster-set')
  await measure(page, { 'Adjuster stands out': ['1.2'] })
  await expect(page.getByRole('region', { name: 'Owed' })).toContainText('Adjuster stands out failed')
  await page.getByRole('region', { name: 'Owed' }).getByText('Adjuster stands out failed').first().click()
  await expect(pad(page)).toContainText('It hammers its plate')
  await pad(page).getByRole('button', { name: 'Adjuster set again' }).click()
  await measure(page, { 'Adjuster stands out': ['4.0'] })
  await doStep(page)
  await expect(page.locator('[data-step=locknut-pull]')).toBeVisible()

  await jobAt(page, 'H-971', 'low-air')
  await expect(page.locator('[data-step=low-air]')).toBeVisible()
  await jobAt(page, 'H-971', 'handed-over')
  await pad(page).getByText('none moved', { exact: true }).click()
  await doStep(page)
  await handBack(page, 'Grit, from a filter that was never drained')
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.locator('article')).toContainText('Signed by O. Hallam')
  await expect(page.locator('article')).toContainText('Adjuster set again')
})
