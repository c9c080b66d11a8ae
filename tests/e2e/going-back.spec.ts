import { expect, test, type Page } from './test.ts'
import { librarySheet } from '../sheets.ts'
import { answer, signAs, confirmStep, doStep, jobAt, readCautions, signIn, waitOut, workUntil } from './hands.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const card = (page: Page) => page.getByRole('region', { name: 'The step in view' })

/** A pump of its own, worked up to a step. */
async function pumpAt(page: Page, tag: string, step: string) {
  await machineBy(librarySheet('m14-axially-split-pump'), tag, 'Pump of the tests')
  await jobAt(page, tag, step)
}

/** What is out beside the way on: typed twice, as it is wanted. */
async function readTwice(page: Page, figure: string) {
  for (const _ of [1, 2]) {
    await page.locator('#figure').fill(figure)
    await page.locator('[data-test=take]').click()
    const sure = page.locator('[data-test=sure]')
    if (await sure.isVisible()) await sure.click()
  }
  await page.locator('[data-test=keep]').click()
}

test('a seal off its line is set again and measured again; until then nothing is drawn up on it', async ({ page }) => {
  await signIn(page)
  await pumpAt(page, 'P-941', 'set-seal')
  await readTwice(page, '47')
  await expect(pad(page)).toContainText('Failed')
  await page.locator('[data-test=remedy]').filter({ hasText: 'Set to its line again' }).click()
  await expect(card(page)).toContainText('put right, not measured again')
  await readTwice(page, '42')
  await expect(card(page)).not.toContainText('put right')
  await doStep(page)
  await expect(page.locator('[data-step=clamp-pull]')).toBeVisible()
})

test('a cap is taken up again: what was drawn up over it is slackened, and it goes on anew', async ({ page }) => {
  await signIn(page)
  await pumpAt(page, 'P-942', 'set-seal')
  await page.locator('[data-test=steps]').click()
  await pad(page)
    .getByRole('button', { name: /Fit the bearing cap, drive end/ })
    .click()
  await page.locator('[data-test=again]').click()
  const pulled = pad(page).getByRole('radiogroup', { name: 'Torque the drive end cap' })
  await expect(pulled.locator('.is-active')).toHaveText('Slackened')
  // Nothing is said of what is wrong yet: it is asked for.
  await page.locator('[data-test=reopen]').click()
  await expect(pad(page).getByRole('alert')).toContainText('Say what is wrong')
  await pad(page).getByLabel('What is wrong with it?').fill('Turned round')
  await page.locator('[data-test=reopen]').click()
  await expect(page.locator('[data-step=cap-on-de]')).toBeVisible()
  await answer(page)
  await doStep(page)
  await expect(page.locator('[data-step=cap-pull-de]')).toBeVisible()
})

test('what lies behind a shut case is taken up again by a lead', async ({ page }) => {
  await signIn(page)
  await pumpAt(page, 'P-943', 'case-pull')
  await page.locator('[data-test=steps]').click()
  await pad(page)
    .getByRole('button', { name: /Lay the new joint gasket/ })
    .click()
  await page.locator('[data-test=again]').click()
  await pad(page).getByLabel('What is wrong with it?').fill('It covers the port')
  await expect(page.locator('[data-test=reopen]')).toHaveText(/a lead signs/)
  await page.locator('[data-test=reopen]').click()
  await signAs(page)
  await expect(page.locator('[data-step=gasket-on]')).toBeVisible()
  // A gasket once pressed is new again.
  await expect(
    pad(page)
      .getByRole('button', { name: /Take a new one|new/i })
      .first(),
  ).toBeVisible()
})

test('the machine is not started over a joint that drops its pressure; it is once that is mended', async ({ page }) => {
  await signIn(page)
  await pumpAt(page, 'P-944', 'leak-test')
  await readCautions(page)
  await waitOut(page, 'hold the test pressure')
  await page.locator('#figure').fill('5.0')
  await page.locator('[data-test=take]').click()
  const sure = page.locator('[data-test=sure]')
  if (await sure.isVisible()) await sure.click()
  await expect(pad(page)).toContainText('Failed')
  await confirmStep(page)
  await workUntil(page, 'run')
  await expect(page.locator('[data-step=run]')).toBeVisible()
  const stop = card(page).getByRole('listitem').filter({ hasText: 'Pressure held for 10 minutes failed' })
  await expect(stop).toBeVisible()
  await stop.getByRole('button', { name: 'Go' }).click()
  await page.locator('[data-test=remedy]').filter({ hasText: 'Case joint torqued again' }).click()
  await page.locator('#figure').fill('6.0')
  await page.locator('[data-test=take]').click()
  await expect(stop).toHaveCount(0)
  await doStep(page)
  await expect(page.locator('[data-step=walk-round]')).toBeVisible()
})
