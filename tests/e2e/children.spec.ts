import { expect, test, type Page } from './test.ts'
import { changePerson, doStep, jobAt, signAs, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'

/** A seal unit of a pump, on a bench of its own and back. */

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const before = (page: Page) => page.getByRole('list', { name: 'Before this step' })

test('a seal unit goes to its own bench, its pump waits where it goes back, and takes its figures from there', async ({
  page,
}) => {
  await signIn(page)
  await machineBy('dual-seal', 'S-975', 'Seal of the tests')
  await machineBy('cartridge-seal-pump', 'P-976', 'Pump of the tests')
  await jobAt(page, 'P-976', 'decide')
  await expect(pad(page)).toContainText('its own bench')
  await page.locator('[data-test=open-child]').click()
  await expect(page.locator('[data-step=isolate]')).toContainText('Rinse it')
  await expect(page.getByText('P-976.unit').first()).toBeVisible()
  // The pump goes on meanwhile, as far as the place of the unit.
  await jobAt(page, 'P-976', 'unit-build')
  await expect(before(page)).toContainText('is on its own bench')
  const pump = page.url()
  await jobAt(page, 'P-976.unit', 'clips-on')
  await doStep(page)
  await changePerson(page, 'O. Hallam')
  const gate = page.locator('[data-test=gate]')
  await expect(gate).toContainText('Gate open: sign')
  await gate.click()
  await page.locator('.el-radio-button').filter({ hasText: /^yes$/ }).click()
  await page.getByLabel('What caused it?').fill('Springs had set')
  await page.locator('[data-test=sign]').click()
  await signAs(page)
  await expect(gate).toContainText('Signed')
  await expect(page.locator('[data-test=sent]')).toContainText('all sent')
  await page.goto(pump)
  await expect(page.locator('[data-step=unit-build]')).toBeVisible()
  await expect(page.getByText('is on its own bench')).toHaveCount(0)
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  const row = page.getByRole('row', { name: /Back, its job signed/ })
  await expect(row).toContainText('Springs lined up, inboard: 18.5 mm, holds')
})
