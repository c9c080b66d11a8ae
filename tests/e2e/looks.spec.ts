import { expect, test, type Page } from './test.ts'
import { jobAt, setDial, signIn, stepNow } from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const card = (page: Page) => page.getByRole('region', { name: 'The step in view' })

/** A pump of its own whose seal is to be looked at. */
async function sealAt(page: Page, tag: string) {
  await signIn(page)
  await machineBy(librarySheet('m14-axially-split-pump'), tag, 'Pump of the tests')
  await jobAt(page, tag, 'look-seal')
}

test('what is seen on a face is told by code, grade and hour; it proposes a new one, and a clean one is one touch', async ({
  page,
}) => {
  await sealAt(page, 'P-961')
  await expect(pad(page)).toContainText('Rotating face: look at it')
  await expect(card(page)).toContainText('Look at: Rotating face')
  await page.locator('[data-code=chip]').click()
  await expect(pad(page)).toContainText('it was knocked')
  await page.locator('[data-grade="2"]').click()
  // Where it is belongs to it.
  await page.locator('[data-test=add-finding]').click()
  await expect(pad(page).getByRole('alert')).toContainText('Set on the dial where it is')
  await setDial(page, '2:00')
  await page.locator('[data-test=add-finding]').click()
  await expect(pad(page)).toContainText('Chipped edge, into its track, at 2:00')
  await expect(pad(page)).toContainText('A new one is proposed')
  // What was not kept yet outlives a reload.
  await page.reload()
  await expect(pad(page)).toContainText('Chipped edge, into its track, at 2:00')
  await page.locator('[data-test=keep-look]').click()
  await expect(pad(page)).toContainText('Stationary seat: look at it')
  await page.locator('[data-test=clean]').click()
  await expect(card(page)).not.toContainText('Stationary seat')
  await expect(card(page)).toContainText('Seal springs, shortest')
})

test('what was kept is corrected with its reason, and more is seen in passing', async ({ page }) => {
  await sealAt(page, 'P-962')
  await page.locator('[data-code=wide]').click()
  await page.locator('[data-grade="1"]').click()
  await page.locator('[data-test=all-round]').click()
  await page.locator('[data-test=keep-look]').click()
  await expect(pad(page)).toContainText('Stationary seat: look at it')
  await page.getByRole('button', { name: /^Find/ }).click()
  await page.getByPlaceholder(/^machine, job/).fill('rotating face')
  await page
    .locator('.hit')
    .filter({ hasText: /Rotating face\s*part/ })
    .first()
    .click()
  await pad(page)
    .getByRole('button', { name: /Track too wide/ })
    .click()
  await page.locator('[data-test=correct]').click()
  await pad(page)
    .getByRole('button', { name: /^Take out/ })
    .click()
  await pad(page)
    .getByLabel(/Why is it corrected/)
    .fill('Looked at the seat')
  await page.locator('[data-test=clean]').click()
  await expect(pad(page)).not.toContainText('Why is it corrected')
  expect(await stepNow(page)).toBe('look-seal')
})

test('what was reported is looked into first, and answered once the machine has run', async ({ page }) => {
  await signIn(page)
  const tag = 'P-963'
  await machineBy(librarySheet('m14-axially-split-pump'), tag, 'Pump of the tests')
  await page.goto(`/?machine=${tag}`)
  await page.getByRole('button', { name: 'Open a job' }).click()
  await page.getByLabel('What was reported?').fill('Drips since Monday')
  await page.getByRole('group', { name: 'What does it do?' }).getByText('seal weeps').click()
  await page.getByRole('button', { name: 'Open the job' }).click()
  await expect(page.getByRole('region', { name: 'Owed' })).toContainText('for what was reported')
  await jobAt(page, tag, 'look-seal')
  await expect(page.locator('[data-test=reported]')).toContainText('Reported: seal weeps')
  await page.locator('[data-test=reported]').getByRole('button').click()
  await expect(pad(page)).toContainText('Answered once this is done')
  await expect(pad(page)).toContainText('not looked at yet')
  await jobAt(page, tag, 'walk-round')
  await page.getByRole('region', { name: 'Owed' }).getByText('Reported: seal weeps').click()
  await pad(page).getByRole('radiogroup', { name: 'Is it gone: seal weeps' }).getByText('gone', { exact: true }).click()
  await pad(page).getByRole('button', { name: 'Keep the answer' }).click()
  await expect(pad(page).getByRole('alert')).toContainText('Say what it was')
  await pad(page).getByLabel('What it was: seal weeps').fill('Heat checks on the rotating face')
  await pad(page).getByRole('button', { name: 'Keep the answer' }).click()
  await expect(pad(page).locator('[data-test=sign-answered]')).toContainText('It was: heat checks')
})
