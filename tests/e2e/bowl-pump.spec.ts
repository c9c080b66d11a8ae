import { expect, test, type Page } from './test.ts'
import { choose, doStep, fillSum, handBack, jobAt, measure, signAs, signIn } from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const mate = (page: Page, title: string) => pad(page).locator(`.mate[aria-label="${title}"]`)
const owed = (page: Page) => page.getByRole('region', { name: 'Owed' })

/** Opens what failed from the list of what is owed. */
const openFailed = (page: Page, words: string) => owed(page).getByText(words).first().click()

test('a bowl pump: bushes foreseen before they are pressed, the line butted, lift from its stretch', async ({
  page,
}) => {
  const tag = 'W-971'
  await signIn(page)
  const variants = { impellers: 'collet', stages: 'three', column: 'short' }
  await machineBy(librarySheet('m7-vertical-bowl-pump'), tag, 'Well pump of the tests', variants)
  await jobAt(page, tag, 'decide-scope')
  await choose(pad(page).getByRole('radiogroup', { name: 'How far it is taken' }), 'Pulled, bowls on the bench')
  await pad(page).getByRole('textbox', { name: 'Why' }).fill('It has not been seen for six years')
  await page.locator('[data-test=decide-axis]').click()
  await signAs(page)

  // A bush that would turn in its seat is found out before a press touches it.
  await jobAt(page, tag, 'bushes-measured')
  await measure(page, { 'Seat of the bush, stage 1': ['60.012', '60.013'] })
  await measure(page, { 'Seat of the bush, stage 2': ['60.012', '60.013'] })
  await measure(page, { 'Seat of the bush, stage 3': ['60.012', '60.013'] })
  await measure(page, { 'Outside of the new bush, stage 1': ['60.022', '60.022'] })
  await openFailed(page, 'Outside of the new bush, stage 1 failed')
  await expect(pad(page)).toContainText('It is another bush')
  await pad(page).getByRole('button', { name: 'Another bush taken' }).click()
  await expect(pad(page)).not.toContainText('Another bush taken')
  await expect(page.locator('#figure')).toBeVisible()
  await measure(page, { 'Outside of the new bush, stage 1': ['60.061', '60.062'] })
  await expect(owed(page)).not.toContainText('Outside of the new bush, stage 1 failed')

  await jobAt(page, tag, 'length-on-p1')
  await measure(page, { 'Shaft over its flange, length 1': ['210'] })
  const ends = mate(page, 'Shaft ends, length 1')
  await expect(ends).toBeVisible()
  await ends.getByText('a line of light between two ends', { exact: true }).click()
  await expect(ends).toContainText('The line is kinked')
  await doStep(page)
  await expect(page.locator('[data-step=length-pull-p1]')).toBeVisible()

  // The lift follows from the stretch of the line: what is left of it after the nut is read, and set again.
  await jobAt(page, tag, 'lift-set')
  await measure(page, {
    'Run-out of the head shaft over the box': ['0', '0.01', '0.03', '0.01', '0', '-0.01', '-0.01', '-0.01'],
  })
  await fillSum(page, 'Lift of the line', ['9.1', '0.8'])
  await openFailed(page, 'Lift of the line failed')
  await expect(pad(page)).toContainText('the impellers grind')
  await pad(page).getByRole('button', { name: 'Nut turned and read again' }).click()
  await expect(page.locator('#figure')).toBeVisible()
  await fillSum(page, 'Lift of the line', ['9.1', '2.6'])
  await doStep(page)
  await expect(page.locator('[data-step=nut-locked]')).toBeVisible()

  // As it is given back it is looked at once more.
  await jobAt(page, tag, 'handed-over')
  await pad(page).getByText('its lock screws by the wrench, canopy beside it', { exact: true }).click()
  await expect(pad(page)).toContainText('A shaft turns open')
  await pad(page).getByRole('button', { name: 'Keep what was found' }).click()
  await page.locator('[data-test=confirm]').click()
  await expect(page.locator('[data-step=handed-over]')).toBeVisible()
  await pad(page).getByRole('button', { name: 'Drawn up and covered' }).click()
  await pad(page).getByText('its lock screws by the wrench, canopy on', { exact: true }).click()
  await doStep(page)
  await handBack(page, 'Sand, through a strainer that was holed')
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.locator('article')).toContainText('Signed by O. Hallam')
  await expect(page.locator('article')).toContainText('Nut turned and read again')
})
