import { expect, test, type Page } from './test.ts'
import {
  choose,
  confirmStep,
  doStep,
  handBack,
  jobAt,
  measure,
  readCautions,
  signAs,
  signIn,
  takeWrong,
} from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const before = (page: Page) => page.getByRole('list', { name: 'Before this step' })

async function hoistAt(page: Page, tag: string, step: string) {
  await signIn(page)
  const variants = { size: 'five', guard: 'changeover' }
  await machineBy(librarySheet('m2-lever-hoist'), tag, 'Hoist of the tests', variants)
  await jobAt(page, tag, step)
}

async function decideOn(page: Page, scope: string, why: string) {
  await choose(pad(page).getByRole('radiogroup', { name: 'What is done with it' }), scope)
  await pad(page).getByRole('textbox', { name: 'Why' }).fill(why)
  await page.locator('[data-test=decide-axis]').click()
  await signAs(page)
}

test('a hook that has opened goes back to no work, whatever was decided: it is scrapped, and signed', async ({
  page,
}) => {
  await hoistAt(page, 'L-971', 'hooks-found')
  await measure(page, { 'Throat of the hook': ['48.4', '45.2'] })
  await expect(pad(page)).not.toContainText('Throat of the hook')
  await doStep(page, { 'Twist of the tip': ['1'], 'Seat of the hook worn': ['2'] })
  await jobAt(page, 'L-971', 'decide-scope')
  await expect(pad(page)).toContainText('Readings suggest: Scrap')
  await decideOn(page, 'Examination only', 'It is wanted on Monday')
  await confirmStep(page)
  await jobAt(page, 'L-971', 'after-load')
  await measure(page, { 'Throat of the hook': ['48.4', '45.2'] })
  await doStep(page, {
    'Twist of the tip': ['1'],
    'Seat of the hook worn': ['2'],
    'Chain over five pitches': ['135.4'],
  })
  await expect(page.locator('[data-step=register]')).toBeVisible()
  await before(page)
    .getByText(/Throat of the hook/)
    .first()
    .click()
  await expect(pad(page)).toContainText('a bent hook goes back to no work')
  await page.locator('[data-test=decide-otherwise]').click()
  await decideOn(page, 'Scrap: it does not go back', 'It has been overloaded')
  await expect(page.locator('[data-step=scrapped]')).toBeVisible()
  await pad(page).getByText('cut through', { exact: true }).click()
  await doStep(page)
  await doStep(page)
  await handBack(page, 'Overloaded at the thick-juice pumps')
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.locator('article')).toContainText('Signed by O. Hallam')
  await expect(page.locator('article')).toContainText('Scrap')
})

test('nothing greasy comes to the brake, and a pawl holds only on its own side, in a new ring that is home', async ({
  page,
}) => {
  await hoistAt(page, 'L-972', 'decide-scope')
  await expect(pad(page)).toContainText('Readings suggest: Examination only')
  await decideOn(page, 'Brake too', 'It has stood in the wet')
  await confirmStep(page)
  await jobAt(page, 'L-972', 'brake-clean')
  await pad(page).getByText('a grey or yellow smear', { exact: true }).click()
  await expect(pad(page)).toContainText('Load runs down on that')
  await pad(page).getByRole('button', { name: 'Keep what was found' }).click()
  await page.getByRole('region', { name: 'Owed' }).getByText('Brake side, before the discs go on failed').click()
  await pad(page).getByRole('button', { name: 'Cleaned again' }).click()
  await pad(page).getByText('nothing', { exact: true }).click()
  await pad(page).getByRole('button', { name: 'Keep what was found' }).click()
  await doStep(page)

  await jobAt(page, 'L-972', 'pawls-on')
  await readCautions(page)
  await expect(pad(page)).toContainText('lifted and let go')
  for (const place of ['upper pawl', 'lower pawl'])
    await pad(page)
      .getByRole('radiogroup', { name: new RegExp(place) })
      .getByText('falls in by itself', { exact: true })
      .click()
  await pad(page).getByRole('button', { name: 'Keep what was found' }).click()
  await takeWrong(page, 'Pawl, upper pawl')
  await expect(pad(page)).toContainText('it looks the wrong way, and holds nothing')
  const ring = pad(page).locator('.mate[aria-label="Snap ring of the lower pawl"]')
  await ring.getByText('it sits beside its groove, and slides', { exact: true }).click()
  await expect(ring).toContainText('The pawl walks off its pin, and the load falls')
  // Both put right, the step goes on.
  await doStep(page)
  await expect(page.locator('[data-step=discs-on]')).toBeVisible()
  await jobAt(page, 'L-972', 'register')
  await doStep(page)
  await handBack(page, 'Stored wet')
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.locator('article')).toContainText('Signed by O. Hallam')
  await expect(page.locator('article')).toContainText('Cleaned again')
})
